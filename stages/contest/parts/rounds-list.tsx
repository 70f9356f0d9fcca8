import type { roundsOf } from "@/core/contest/matches";

/** The rounds of a table: who met whom and how it ended. */
export const RoundsList = ({
  rounds,
  names,
}: {
  rounds: ReturnType<typeof roundsOf>;
  names: ReadonlyMap<string, string>;
}) => (
  <ol className="grid gap-x-6 gap-y-3 sm:grid-cols-2 xl:grid-cols-3">
    {rounds.map((r) => (
      <li key={r.round}>
        <h3 className="text-sm text-soft">Round {r.round}</h3>
        <ul>
          {r.matches.map((m) => (
            <li key={m.slot.key} className="flex flex-wrap items-baseline gap-x-2 border-b border-line py-1">
              {[m.a, m.b].map((id, i) => (
                <span key={id} className={m.winner === id ? "font-[650]" : m.state === "played" ? "text-soft" : ""}>
                  {i > 0 && <span className="font-normal text-soft">: </span>}
                  {names.get(id ?? "")}
                </span>
              ))}
              <span className="ml-auto text-sm text-soft">
                {m.result?.score?.join(" : ") ?? (m.result?.outcome === "drawn" ? "drawn" : "")}
              </span>
            </li>
          ))}
        </ul>
      </li>
    ))}
  </ol>
);
