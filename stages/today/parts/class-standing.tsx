import type { Channel } from "@/core/run/protocol";
import { headed } from "@/core/run/reading";
import { plural } from "@/platform/registry/words";
import Link from "@/ui/link";
import { DataTable } from "@/ui/table";
import type { ClassView } from "../view/classes";

/** Who stands where: a row a team, as the record tells it. */
export const ClassStanding = ({
  slug,
  standing,
  channel,
}: {
  slug: string;
  standing: ClassView["standing"];
  /** What counts first, where a protocol says it. */
  channel: Channel | null;
}) => (
  <DataTable
    caption="Who stands where"
    columns={[
      { key: "team", text: "Team" },
      { key: "build", text: "Newest build" },
      ...(channel ? [{ key: "best", text: headed(channel), num: true }] : []),
      { key: "musts", text: "Musts met", num: true },
      { key: "machine", text: "At a machine" },
      { key: "away", text: "Not here" },
    ]}
    empty="No team of this section yet."
    rows={standing.map((t) => ({
      id: t.id,
      cells: {
        team: {
          value: t.name,
          show: (
            <Link href={`/p/${slug}/teams/${t.id}`} className="font-[600] hover:text-iron">
              {t.name}
            </Link>
          ),
        },
        build: {
          value: t.build ? t.build.name : "none",
          show: t.build ? (
            <>
              <Link href={`/p/${slug}/builds/${t.build.id}`} className="hover:text-iron">
                {t.build.name}
              </Link>
              <span className="block text-sm text-soft">
                {t.build.since > 0 ? `${plural(t.build.since, "session")} ago` : "of this class"}
              </span>
            </>
          ) : (
            <span className="text-soft">none yet</span>
          ),
        },
        ...(channel && {
          best: {
            value: t.counted?.value ?? null,
            show: t.counted ? t.counted.shown : <span className="text-soft">untested</span>,
          },
        }),
        musts: { value: t.verified, show: `${t.verified} of ${t.musts}` },
        machine: t.machines.map((b) => `${b.tool} ${b.starts}–${b.starts! + b.minutes}`).join(", "),
        away: t.away.join(", "),
      },
    }))}
  />
);
