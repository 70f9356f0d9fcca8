import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import type { JudgedEvent } from "../queries/judged";

const figure = (x: string | null) => (x === null ? "–" : Number(x).toFixed(2));

/** Places of a judged event, with the plain mean and the severity-adjusted mark; each opens its working. */
export const JudgedStandingsTable = ({ event }: { event: Pick<JudgedEvent, "standings" | "rules"> }) => (
  <DataTable
    caption="Standings"
    empty="No team has entered."
    columns={[
      { key: "place", text: "Place", num: true },
      { key: "team", text: "Team", className: "font-[600]" },
      { key: "sheets", text: "Sheets", num: true },
      { key: "raw", text: event.rules.method === "mean" ? "Mean, counts" : "Mean", num: true },
      { key: "adjusted", text: event.rules.method === "adjusted" ? "Adjusted, counts" : "Adjusted", num: true },
      ...(event.rules.method === "trimmed" ? [{ key: "counted", text: "Ends left out, counts", num: true }] : []),
      { key: "points", text: "Points", num: true },
    ]}
    rows={event.standings.map((s) => ({
      id: s.id,
      cells: {
        place: {
          value: s.place,
          className: "font-[650] text-iron",
          show: <Figure working={s.working}>{s.place ?? "–"}</Figure>,
        },
        team: { value: s.name, show: s.decidedBy ? `${s.name} (${s.decidedBy})` : s.name },
        sheets: { value: s.sheets },
        raw: { value: s.raw === null ? null : Number(s.raw), show: figure(s.raw) },
        adjusted: { value: s.adjusted === null ? null : Number(s.adjusted), show: figure(s.adjusted) },
        counted: { value: s.counted === null ? null : Number(s.counted), show: s.shown },
        points: { value: s.points === null ? null : Number(s.points), show: figure(s.points) },
      },
    }))}
  />
);
