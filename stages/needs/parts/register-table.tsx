import type { ReactNode } from "react";
import Link from "@/ui/link";
import { DataTable } from "@/ui/table";
import { tip } from "@/ui/tip";
import { VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import type { RegisterLine } from "../view/register";

/** The register as a table: a line a requirement, a mark a team; the one that is looked at opens under its line. */
export function RegisterTable({
  slug,
  lines,
  teams,
  open,
  detail,
  hrefOf,
  empty,
  many,
}: {
  slug: string;
  lines: readonly RegisterLine[];
  teams: readonly { id: string; name: string }[];
  /** The code of the one that is looked at. */
  open: string | undefined;
  detail: ReactNode;
  /** The address at which one is opened; none closes. */
  hrefOf: (code?: string) => string;
  empty: ReactNode;
  /** What can be done to several at once. */
  many: ReactNode;
}) {
  return (
    <DataTable
      caption="Requirements"
      empty={empty}
      many={many}
      columns={[
        { key: "code", text: "Code", className: "whitespace-nowrap" },
        { key: "statement", text: "Statement", className: "min-w-52" },
        { key: "kind", text: "Kind" },
        { key: "limit", text: "Measure and limit", className: "min-w-36" },
        { key: "method", text: "Verified by" },
        { key: "owner", text: "Looked after by" },
        { key: "source", text: "From", className: "max-w-44" },
        { key: "version", text: "Version", num: true },
        {
          key: "met",
          text: "Met by",
          label: (
            <span className="flex">
              {teams.map((t) => (
                <abbr key={t.id} className="w-[22px] text-center no-underline" {...tip(t.name)}>
                  {t.name[0]}
                </abbr>
              ))}
              <span className="sr-only">Met by</span>
            </span>
          ),
          className: "pr-2",
        },
      ]}
      rows={lines.map((l) => {
        const { r } = l;
        const mine = open === r.code;
        return {
          id: r.id,
          group: l.group,
          className: mine ? "bg-[#f1eadc]" : l.bad ? "bg-iron-wash" : undefined,
          detail: mine && detail,
          cells: {
            code: {
              value: r.code,
              show: (
                <Link
                  href={hrefOf(mine ? undefined : r.code)}
                  className="font-[650] hover:text-iron"
                  scroll={false}
                  aria-expanded={mine}
                >
                  {r.code}
                </Link>
              ),
            },
            statement: {
              value: r.statement,
              show: (
                <>
                  <Link href={hrefOf(r.code)} scroll={false} className="hover:text-iron">
                    {r.statement}
                  </Link>
                  {l.vague.length > 0 && (
                    <span className="block text-sm text-ochre-deep">
                      “{l.vague.join("”, “")}” has no measure. Ask the client, or set a limit.
                    </span>
                  )}
                </>
              ),
            },
            kind: r.kind,
            limit:
              l.measure === null
                ? { value: "", show: <span className="text-sm text-ochre-deep">no measure yet</span> }
                : {
                    value: `${l.measure} ${l.limit}`,
                    show: (
                      <>
                        {l.measure} <strong className="font-[600]">{l.limit}</strong>
                      </>
                    ),
                  },
            method: r.method,
            owner: r.owner,
            source: {
              value: l.source,
              show: <span className="line-clamp-2 text-soft">{l.source || "–"}</span>,
            },
            version: r.number,
            met: {
              value: l.met,
              show: (
                <span className="flex">
                  {l.marks.map((m) => (
                    <span key={m.team} className="w-[22px] text-center">
                      <Figure
                        working={workingAt(slug, "verdict", { requirement: r.id, build: m.build ?? "" })}
                        className="border-b-0"
                      >
                        <VerdictMark verdict={m.value} />
                        <span className="sr-only"> {m.team}</span>
                      </Figure>
                    </span>
                  ))}
                </span>
              ),
            },
          },
        };
      })}
    />
  );
}
