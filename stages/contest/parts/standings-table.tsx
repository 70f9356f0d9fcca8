import { formatNumber } from "@/core/quantity/quantity";
import { headed } from "@/core/run/reading";
import { cx } from "@/ui/classes";
import { Measured } from "@/ui/measured";
import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import type { ContestEvent } from "../queries/events";
import { placeWords } from "../view/words";

const numeric = (x: string | null) => (x === null ? null : Number(x));

/** Standings as a table: place, team with attempts, what counts, points. Each value opens its working. */
export function StandingsTable({ event }: { event: ContestEvent }) {
  const { unit, points } = event.definition;
  return (
    <DataTable
      caption="Standings"
      columns={[
        { key: "place", text: "Place", num: true },
        { key: "team", text: "Team", className: "font-[600]" },
        { key: "attempts", text: "Attempts", className: "text-soft" },
        {
          key: "counts",
          text: headed({ name: "Counts", unit }),
          label: <Measured name="Counts" unit={unit} />,
          num: true,
        },
        ...(points ? [{ key: "points", text: "Points", num: true }] : []),
      ]}
      rows={event.standings.map((s) => ({
        id: s.id,
        cells: {
          place: { value: s.place, className: "font-[650] text-iron", show: placeWords(s.place) },
          team: {
            value: s.name,
            show: (
              <>
                {s.name}
                {s.shared && <span className="ml-2 text-xs font-normal text-soft">shared</span>}
                {s.decidedBy && (
                  <span className="block text-xs font-normal text-soft">tie broken by {s.decidedBy}</span>
                )}
              </>
            ),
          },
          attempts: {
            value: s.attempts.map((a) => a.text).join(" · "),
            show: s.attempts.length
              ? s.attempts.map((a, i) => (
                  <span key={i}>
                    {i > 0 && " · "}
                    <span className={cx(a.counts && "font-[600] text-ink")}>{a.text}</span>
                  </span>
                ))
              : "–",
          },
          counts: { value: numeric(s.counted), show: <Figure working={s.working}>{s.shown}</Figure> },
          points: { value: numeric(s.points), show: s.points === null ? "–" : formatNumber(s.points, 1) },
        },
      }))}
    />
  );
}
