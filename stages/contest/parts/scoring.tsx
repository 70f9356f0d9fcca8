import { decimalsFor, fromSi } from "@/core/quantity/quantity";
import { levelsOf, showIn, unitAfter } from "@/core/run/reading";
import { runState } from "@/core/vocabulary/runs";
import { cx } from "@/ui/classes";
import type { LimitCheck } from "../queries/attempts";
import type { ScoredEvent } from "../queries/events";
import { overOf } from "../view/attempts";
import { WithdrawEntry } from "./buttons";
import { ChangeEntry } from "./correct-forms";
import { InspectForm } from "./inspect-form";
import { LimitMarks } from "./limit-marks";
import { ScoreEntry } from "./score-entry";
import { VoidAttempt } from "./void-attempt";

const attemptText = (event: ScoredEvent, run: ScoredEvent["runs"][number]): string => {
  if (run.state !== "valid") return runState.labels[run.state];
  return event.needed
    .map((k) => {
      const m = event.protocolDefinition.measures.find((x) => x.key === k)!;
      return run.readings[k] === undefined
        ? "–"
        : unitAfter(
            showIn({ levels: levelsOf(m) }, fromSi(run.readings[k]!, m.unit).toNumber(), decimalsFor(m.resolution)),
            m.unit,
          );
    })
    .join(", ");
};

/** The entries of an event in run order, each with its inspection, its attempts and the next one to score. */
export function Scoring({
  event,
  via,
  large,
  limits,
}: {
  event: ScoredEvent;
  via?: "guest";
  large?: boolean;
  /** How each build stands against the limits. */
  limits: ReadonlyMap<string, LimitCheck[]>;
}) {
  const readings = event.needed
    .map((k) => event.protocolDefinition.measures.find((m) => m.key === k)!)
    .map(({ key, name, unit, kind, levels }) => ({ key, name, unit, kind, levels }));
  return (
    <ol className="grid">
      {event.entries.map((n) => {
        const runs = event.runs.filter((r) => r.entryId === n.id);
        const live = runs.filter((r) => r.state !== "void").length;
        const done = live >= event.definition.policy.n;
        const checks = (n.buildId && limits.get(n.buildId)) || [];
        return (
          <li
            key={n.id}
            className={cx(
              "grid gap-x-6 gap-y-2 border-b border-line py-2.5 md:grid-cols-[170px_1fr]",
              n.inspection === "turned away" && "text-soft",
            )}
          >
            <div>
              <p className={cx("font-[650]", large && "text-[17px]")}>
                {n.runOrder !== null && <span className="mr-2 text-soft">{n.runOrder}.</span>}
                {n.team}
              </p>
              <p className="text-sm text-soft">
                {n.build ? `G${n.build}` : "no build"} ·{" "}
                {n.inspection === "waiting" ? "waits for inspection" : n.inspection}
                {n.inspectionNote && `: ${n.inspectionNote}`}
              </p>
              {n.buildId && <LimitMarks checks={checks} />}
              {!via && event.state !== "confirmed" && (
                <span className="no-print flex flex-wrap gap-x-2.5">
                  {n.taken === 0 && n.builds.some((b) => b.id !== n.buildId) && (
                    <ChangeEntry
                      key={n.version}
                      id={n.id}
                      version={n.version}
                      buildId={n.buildId ?? ""}
                      builds={n.builds.map((b) => ({ value: b.id, label: `G${b.number}` }))}
                    />
                  )}
                  <WithdrawEntry id={n.id} team={n.team} />
                </span>
              )}
            </div>
            <div className="grid content-start gap-2">
              {runs.length > 0 && (
                <p className="flex flex-wrap gap-x-4 gap-y-1">
                  {runs.map((r) => (
                    <span
                      key={r.id}
                      className={cx(
                        "inline-flex items-baseline gap-1.5",
                        r.state === "void" && "text-soft line-through",
                      )}
                    >
                      <span className="text-sm text-soft">{r.attempt}.</span>
                      {attemptText(event, r)}
                      {r.state !== "void" && event.state !== "confirmed" && (
                        <VoidAttempt
                          id={r.id}
                          version={r.version}
                          via={via}
                          label={`attempt ${r.attempt} of ${n.team}`}
                        />
                      )}
                    </span>
                  ))}
                </p>
              )}
              {event.state !== "confirmed" && (
                <>
                  {n.inspection === "passed" && !done && (
                    <ScoreEntry
                      entryId={n.id}
                      team={n.team}
                      attempt={live + 1}
                      of={event.definition.policy.n}
                      readings={readings}
                      via={via}
                      large={large}
                    />
                  )}
                  {n.inspection === "passed" && done && (
                    <p className="text-sm text-soft">All {event.definition.policy.n} attempts are in.</p>
                  )}
                  <InspectForm
                    entryId={n.id}
                    version={n.version}
                    outcome={n.inspection}
                    note={n.inspectionNote}
                    over={overOf(limits, n.buildId)}
                    via={via}
                  />
                </>
              )}
            </div>
          </li>
        );
      })}
    </ol>
  );
}
