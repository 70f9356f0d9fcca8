import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import type { MatchEvent } from "../queries/matches";

/** Places of an event of matches; each opens its working. */
export const MatchStandingsTable = ({ event }: { event: Pick<MatchEvent, "standings" | "rules"> }) => {
  const tabled = event.standings.some((s) => s.points !== null);
  return (
    <DataTable
      caption="Standings"
      empty="No match has been played yet."
      columns={[
        { key: "place", text: "Place", num: true },
        { key: "team", text: "Team", className: "font-[600]" },
        { key: "won", text: "Won", num: true },
        { key: "lost", text: "Lost", num: true },
        ...(tabled
          ? [
              { key: "points", text: "Points", num: true },
              { key: "difference", text: "Difference", num: true },
            ]
          : []),
      ]}
      rows={event.standings.map((s) => ({
        id: s.id,
        cells: {
          place: {
            value: s.place,
            className: "font-[650] text-iron",
            show: (
              <Figure working={s.working}>
                {s.place === null ? "–" : s.sharing > 1 && !tabled ? `${s.place}–${s.place + s.sharing - 1}` : s.place}
              </Figure>
            ),
          },
          team: { value: s.name },
          won: { value: s.won },
          lost: { value: s.lost },
          points: { value: s.points === null ? null : Number(s.points), show: s.points ?? "–" },
          difference: { value: s.difference === null ? null : Number(s.difference), show: s.difference ?? "–" },
        },
      }))}
    />
  );
};
