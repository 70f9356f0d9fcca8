import { Sheet } from "@/ui/page";
import { Figure } from "@/ui/working";
import type { RatedTeam } from "../view/peers";

/** A team's factors, what is odd in its ratings, and who gave what. */
export function TeamRatings({ team, caps }: { team: RatedTeam; caps: boolean }) {
  const initials = (name: string) =>
    name
      .split(/\s+/)
      .map((x) => x[0])
      .join("");
  return (
    <Sheet title={team.team}>
      {team.odd.map((words) => (
        <p key={words} className="mb-1 border-l-4 border-ochre bg-ochre-wash px-2 py-1 text-sm">
          {words}
        </p>
      ))}
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={`Ratings of ${team.team}`}>
        <table className="table">
          <thead>
            <tr>
              <th>Gave ↓ to →</th>
              {team.members.map((m) => (
                <th key={m.id} className="num" title={m.name}>
                  {initials(m.name)}
                </th>
              ))}
              <th className="num">Mean received</th>
              <th className="num">Factor</th>
              {caps && <th className="num">Capped</th>}
            </tr>
          </thead>
          <tbody>
            {team.members.map((m) => (
              <tr key={m.id}>
                <td>
                  {m.name}
                  {m.comments.map((c) => (
                    <span key={c.about} className="block text-sm text-soft">
                      on {c.about}: {c.text}
                    </span>
                  ))}
                </td>
                {m.gave.map((g, i) => (
                  <td key={team.members[i]!.id} className="num text-soft">
                    {team.members[i]!.id === m.id ? "" : (g ?? "–")}
                  </td>
                ))}
                <td className="num">
                  {m.mean ?? "–"} <span className="text-soft">of {m.raters}</span>
                </td>
                <td className="num">
                  <Figure working={m.working}>{m.factor ?? "–"}</Figure>
                </td>
                {caps && <td className="num">{m.capped ?? "1"}</td>}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Sheet>
  );
}
