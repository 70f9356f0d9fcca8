import { formatNumber } from "@/core/quantity/quantity";
import { cx } from "@/ui/classes";
import { Figure } from "@/ui/working";
import type { ContestEvent } from "../queries/events";

const place = (p: number) => (Number.isInteger(p) ? String(p) : `${Math.floor(p)}½`);

/** Standings as a table: place, team with attempts, what counts, points. Each value opens its working. */
export function StandingsTable({ event }: { event: ContestEvent }) {
  return (
    <table className="table">
      <thead>
        <tr>
          <th className="num">Place</th>
          <th>Team</th>
          <th>Attempts</th>
          <th className="num">
            Counts <span className="unit">{event.definition.unit}</span>
          </th>
          {event.definition.points && <th className="num">Points</th>}
        </tr>
      </thead>
      <tbody>
        {event.standings.map((s) => (
          <tr key={s.id}>
            <td className="num font-[650] text-iron">{s.place === null ? "–" : place(s.place)}</td>
            <td className="font-[600]">
              {s.name}
              {s.shared && <span className="ml-2 text-xs font-normal text-soft">shared</span>}
              {s.decidedBy && <span className="block text-xs font-normal text-soft">tie broken by {s.decidedBy}</span>}
            </td>
            <td className="text-soft">
              {s.attempts.map((a, i) => (
                <span key={i}>
                  {i > 0 && " · "}
                  <span className={cx(a.counts && "font-[600] text-ink")}>{a.text}</span>
                </span>
              ))}
              {s.attempts.length === 0 && "–"}
            </td>
            <td className="num">
              <Figure working={s.working}>{s.shown}</Figure>
            </td>
            {event.definition.points && <td className="num">{s.points === null ? "–" : formatNumber(s.points, 1)}</td>}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
