import type { Must } from "@/core/concepts/screen";
import { formatSi } from "@/core/quantity/quantity";
import type { ProjectUnits } from "@/core/quantity/systems";
import Link from "@/ui/link";
import { DataTable } from "@/ui/table";
import { tip } from "@/ui/tip";
import { VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import type { Concept } from "../queries/concepts";
import { screen } from "../view/concepts";
import { fateClass, size } from "./words";

/** Every concept with its estimates, a mark a must, and its fate. */
export function ConceptsTable({
  slug,
  currency,
  concepts,
  musts,
  units,
}: {
  slug: string;
  currency: string;
  concepts: readonly Concept[];
  musts: readonly Must[];
  units: ProjectUnits;
}) {
  return (
    <DataTable
      caption="Concepts"
      columns={[
        { key: "title", text: "Concept", className: "min-w-48" },
        { key: "by", text: "By", className: "whitespace-nowrap" },
        { key: "mass", text: `Mass ${units.mass}`, num: true },
        { key: "cost", text: `Cost ${currency}`, num: true },
        { key: "size", text: `Size ${units.side}`, className: "whitespace-nowrap" },
        ...musts.map((m) => ({
          key: m.id,
          text: m.code,
          label: <span {...tip(m.statement)}>{m.code}</span>,
          className: "px-1 text-center",
        })),
        { key: "fate", text: "Fate", className: "min-w-40" },
      ]}
      rows={concepts.map((k) => ({
        id: k.id,
        className: k.fate === "set aside" || k.fate === "merged" ? "text-soft" : undefined,
        cells: {
          title: {
            value: k.title,
            show: (
              <>
                <Link href={`/p/${slug}/concepts/${k.id}`} className="font-[600] hover:text-iron">
                  {k.title}
                </Link>
                {k.idea && <span className="line-clamp-1 text-sm text-soft">{k.idea}</span>}
                {k.parents.length > 0 && (
                  <span className="block text-sm text-slate">from {k.parents.map((x) => x.title).join(" and ")}</span>
                )}
              </>
            ),
          },
          by: {
            value: k.author,
            show: (
              <>
                {k.author}
                {k.team && <span className="block text-sm text-soft">{k.team}</span>}
              </>
            ),
          },
          mass: k.mass === null ? null : { value: Number(k.mass), show: formatSi(k.mass, units.mass, 2) },
          cost: k.cost === null ? null : { value: Number(k.cost), show: formatSi(k.cost, "1", 2) },
          size: size(k, units),
          ...Object.fromEntries(
            screen(musts, k).map(({ must, status }) => [
              must.id,
              {
                value: status.value,
                className: status.value === "not met" ? "bg-iron-wash" : undefined,
                show: (
                  <Figure
                    working={workingAt(slug, "screen", { concept: k.id, requirement: must.id })}
                    className="border-b-0"
                  >
                    <VerdictMark verdict={status.value} />
                  </Figure>
                ),
              },
            ]),
          ),
          fate: {
            value: k.fate,
            show: (
              <>
                <span className={fateClass[k.fate]}>{k.fate}</span>
                {k.fateReason && <span className="line-clamp-2 text-sm text-soft">{k.fateReason}</span>}
              </>
            ),
          },
        },
      }))}
    />
  );
}
