import { cx } from "@/ui/classes";
import { VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import type { Protocol } from "../queries";
import type { BenchView } from "../view";
import { AttemptEntry } from "./attempt-entry";
import { RunTools } from "./run-tools";

/** The attempts of a build under a protocol, and the row in which the next one is entered. */
export function AttemptsTable({
  slug,
  view,
  protocol,
  buildId,
  mine,
  staff,
  open,
}: {
  slug: string;
  view: BenchView;
  protocol: Protocol;
  buildId: string;
  mine: boolean;
  staff: boolean;
  open: boolean;
}) {
  const d = protocol.definition;
  const columns = 2 + view.channels.length;
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Attempts">
      <table className="table">
        <thead>
          <tr>
            <th>Attempt</th>
            {d.measures.map((m) => (
              <th key={m.key} className="num">
                {m.name} <span className="unit">{m.unit}</span>
              </th>
            ))}
            {d.derived.map((x) => (
              <th key={x.key} className="num">
                {x.name} <span className="unit">{x.unit}</span>
              </th>
            ))}
            <th>Verdict</th>
          </tr>
        </thead>
        <tbody>
          {view.rows.map(({ run: r, assessed: a, far, typed }) => {
            return (
              <tr key={r.id} className={cx(!a.comparable && "text-[#7b7166]")}>
                <td>{r.attempt}</td>
                {view.channels.map((c) => {
                  const v = a.values[c.key]!;
                  const isRead = d.measures.some((m) => m.key === c.key);
                  return (
                    <td key={c.key} className="num">
                      {v.value ? (
                        isRead ? (
                          v.value.shown
                        ) : (
                          <Figure working={workingAt(slug, "run", { run: r.id, build: buildId, key: c.key })}>
                            {v.value.shown}
                          </Figure>
                        )
                      ) : (
                        "–"
                      )}
                    </td>
                  );
                })}
                <td className="max-w-72">
                  <div className="flex flex-wrap items-start justify-between gap-x-3">
                    <span className="flex items-start gap-1.5">
                      <VerdictMark verdict={a.comparable ? "met" : "not applicable"} />
                      <span>
                        {a.comparable ? "counts" : a.reasons.join("; ")}
                        {far && (
                          <span className="block text-sm text-ochre-deep">
                            stands far from the others: look at it before you trust it
                          </span>
                        )}
                        {a.alarms.map((x) => (
                          <span key={x} className="block text-sm text-iron">
                            {x}
                          </span>
                        ))}
                      </span>
                    </span>
                    {mine && (
                      <RunTools
                        id={r.id}
                        version={r.version}
                        state={r.state}
                        staff={staff}
                        typed={typed}
                        names={[
                          ...d.measures.map((m) => ({
                            key: m.key,
                            name: `${m.name} (${m.unit})`,
                            role: "readings" as const,
                          })),
                          ...d.conditions.map((c) => ({
                            key: c.key,
                            name: `${c.name} (${c.unit})`,
                            role: "conditions" as const,
                          })),
                        ]}
                      />
                    )}
                  </div>
                </td>
              </tr>
            );
          })}
          {mine && open && (
            <AttemptEntry
              // What is half typed belongs to this build and version: it does not move to the next one that is opened.
              key={`${buildId} ${protocol.versionId}`}
              buildId={buildId}
              protocolVersionId={protocol.versionId}
              next={view.next}
              measures={d.measures}
              conditions={d.conditions}
              before={view.ghost}
              derived={d.derived.length}
              lead={columns}
            />
          )}
          {!mine && view.rows.length === 0 && (
            <tr>
              <td colSpan={columns} className="text-soft">
                No attempt yet.
              </td>
            </tr>
          )}
        </tbody>
      </table>
    </div>
  );
}
