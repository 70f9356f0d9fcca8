import { readByTwo } from "@/core/contest/attempt";
import { decimalsFor, fromSi } from "@/core/quantity/quantity";
import { type Kind, levelsOf, showIn, unitAfter } from "@/core/run/reading";
import { type InspectionState, inspectionState } from "@/core/vocabulary/contest";
import { type RunState, runState } from "@/core/vocabulary/runs";
import type { FieldEvent, FieldRecord, ScoredEvent } from "../queries/events";

/** A reading that a scorer takes for one attempt. */
export type FieldReading = Kind & {
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  readonly resolution: string;
};

/** How attempts are scored beside the field. */
export interface FieldRules {
  readonly eventId: string;
  readonly n: number;
  readonly readings: readonly FieldReading[];
  /** Readings that two people take. */
  readonly twice: readonly string[];
  readonly penalties: readonly { readonly key: string; readonly name: string; readonly charge: string }[];
  /** A foul has what it reached until it left the course. */
  readonly where: boolean;
  /** The rules in a line, for who stands beside the field. */
  readonly says: readonly string[];
}

export interface FieldAttempt {
  readonly id: string;
  readonly number: number;
  readonly text: string;
  readonly state: RunState;
  readonly version: number;
  readonly by: string;
}

/** An attempt that two people scored: the record that stands, and the one that waits beside it. */
export interface ScoredTwice {
  readonly first: FieldAttempt;
  readonly second: FieldAttempt;
}

/** An entry as it is scored. */
export interface FieldRow {
  readonly id: string;
  readonly team: string;
  readonly order: number | null;
  readonly build: string;
  readonly buildId: string | null;
  readonly inspection: InspectionState;
  readonly note: string;
  /** Attempts that stand. */
  readonly live: number;
  /** The number of the last record, also of one that was set aside: it only grows. */
  readonly last: number;
  /** The latest, and how many are before them. */
  readonly attempts: readonly FieldAttempt[];
  readonly earlier: number;
  readonly twice: readonly ScoredTwice[];
}

/** The readings of an attempt with their units, and what it is charged. */
function wordsOf(event: ScoredEvent, run: FieldRecord): string {
  // What was set aside says what it was.
  const was = run.state === "void" ? run.voidFrom : run.state;
  const state = was === "foul" || was === "no_finish" ? runState.labels[was] : "";
  const read = event.needed.flatMap((k) => {
    const m = event.protocolDefinition.measures.find((x) => x.key === k)!;
    if (run.readings[k] === undefined) return [];
    const value = fromSi(run.readings[k]!, m.unit).toNumber();
    return [unitAfter(showIn({ levels: levelsOf(m) }, value, decimalsFor(m.resolution)), m.unit)];
  });
  const charged = run.penalties.map((p) => {
    const name = event.definition.penalties?.find((r) => r.key === p.key)?.name ?? p.key;
    return `${p.count} × ${name}${p.reason ? ` (${p.reason})` : ""}`;
  });
  return [state, read.join(", "), ...charged].filter(Boolean).join(" · ") || "–";
}

/** The latest attempts: those before stand in the standings. */
const shown = 6;

/** The entries of an event as they are scored, each with its latest attempts and what two people scored. */
export function fieldRows(event: ScoredEvent): FieldRow[] {
  return event.entries.map((n) => {
    const runs = event.attempts.filter((r) => r.entryId === n.id);
    const attemptOf = (r: FieldRecord): FieldAttempt => ({
      id: r.id,
      number: r.attempt,
      text: wordsOf(event, r),
      state: r.state,
      version: r.version,
      by: r.by,
    });
    const settled = runs.filter((r) => r.rivalOf === null);
    return {
      id: n.id,
      team: n.team,
      order: n.runOrder,
      build: n.build ? `G${n.build}` : "no build",
      buildId: n.buildId,
      inspection: n.inspection,
      note: n.inspectionNote,
      live: n.taken,
      last: Math.max(0, ...runs.map((r) => r.attempt)),
      attempts: settled.slice(-shown).map(attemptOf),
      earlier: Math.max(0, (runs[0]?.settled ?? 0) - shown),
      twice: runs.flatMap((r) => {
        const first = runs.find((x) => x.id === r.rivalOf);
        return first ? [{ first: attemptOf(first), second: attemptOf(r) }] : [];
      }),
    };
  });
}

/** How the attempts of an event are scored. */
export function fieldRules(event: FieldEvent): FieldRules {
  const d = event.definition;
  const measures = event.needed.map((k) => event.protocolDefinition.measures.find((m) => m.key === k)!);
  const sign = d.better === "less" ? "+" : "−";
  return {
    eventId: event.id,
    n: d.policy.n,
    readings: measures.map(({ key, name, unit, kind, levels, resolution }) => ({
      key,
      name,
      unit,
      kind,
      levels,
      resolution,
    })),
    twice: readByTwo(d.care, measures),
    penalties: (d.penalties ?? []).map((p) => ({
      key: p.key,
      name: p.name,
      charge: `${sign}${unitAfter(p.each, d.unit)}`,
    })),
    where: d.policy.foul === "where",
    says: [
      ...(d.target === undefined ? [] : [`Exactly ${unitAfter(d.target, d.unit)}: the closest is best.`]),
      ...(d.care === "mean" ? ["Two people read; the mean of both is taken."] : []),
      ...(d.care === "smaller" ? ["Two people read; the smaller of both is taken."] : []),
      ...(d.policy.foul === "where"
        ? ["Where it leaves the course, write what it reached and press Foul or No finish."]
        : []),
    ],
  };
}

/** How an inspection stands, in words. */
export const inspectionWords = (state: InspectionState): string =>
  state === "waiting" ? "waits for inspection" : inspectionState.labels[state];
