import type { Award } from "../view/awards";

interface Placed {
  readonly name: string;
  readonly place: number | null;
  readonly shown: string;
  readonly points: string;
}

function Table({ name, note, head, rows }: { name: string; note: string; head: string; rows: readonly Placed[] }) {
  const earns = rows.some((r) => r.points !== "" && r.points !== "–");
  return (
    <section className="mb-5 break-inside-avoid">
      <h2>
        {name} <span className="text-sm font-normal text-soft">{note}</span>
      </h2>
      <table className="mt-1 w-full max-w-xl text-sm">
        <thead>
          <tr>
            {["Place", "Team", head, ...(earns ? ["Points"] : [])].map((h, i) => (
              <th key={h} scope="col" className={i === 1 ? "py-0.5 text-left" : "py-0.5 pr-3 text-right"}>
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.name} className="border-t border-line">
              <td className="w-16 pr-3 text-right">{r.place ?? "–"}</td>
              <td className="py-0.5 font-[600]">{r.name}</td>
              <td className="pr-3 text-right">{r.shown}</td>
              {earns && <td className="pr-3 text-right">{r.points}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** The results of the day on paper: every event, the overall ranking, and the awards. */
export const ResultsSheet = ({
  events,
  overall,
  awards,
}: {
  events: readonly { id: string; name: string; note: string; head: string; rows: readonly Placed[] }[];
  overall: readonly Placed[];
  awards: readonly Award[];
}) => (
  <div className="grid gap-x-10 lg:grid-cols-2 print:block">
    <div>
      {events.map((e) => (
        <Table key={e.id} {...e} />
      ))}
    </div>
    <div>
      {overall.length > 0 && <Table name="Overall" note="" head="Together" rows={overall} />}
      {awards.length > 0 && (
        <section>
          <h2>Awards</h2>
          <ul className="mt-1">
            {awards.map((a) => (
              <li key={a.title}>
                {a.title}: <strong>{a.teams.join(" and ")}</strong> <span className="text-soft">{a.says}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  </div>
);
