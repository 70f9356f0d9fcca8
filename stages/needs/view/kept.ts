import { channelsOf } from "@/core/run/protocol";
import type { RunSummary } from "@/core/run/summary";
import type { Verdict } from "@/core/vocabulary/needs";
import type { Protocol } from "@/stages/bench/queries/runs";
import type { Build } from "@/stages/builds/queries/builds";
import type { MeasuredFacts } from "../queries/facts";
import { requirementStatus, summaryOf } from "./verdicts";

/** What a build's runs come to for a channel, as it is kept: the figures, and how the counted one is written. */
export interface KeptSummary extends RunSummary {
  readonly shown: string;
  /** Bench runs by day: how many, and the best of those that are valid and inside all tolerances. */
  readonly days: readonly { readonly date: string; readonly n: number; readonly best: number | null }[];
  /** The comparable run with the best value. */
  readonly bestRun: string | null;
}

export interface KeptRows {
  readonly runs: readonly {
    runId: string;
    key: string;
    buildId: string;
    value: number | null;
    u: number | null;
    comparable: boolean;
    sound: boolean;
    reasons: readonly string[];
    runVersion: number;
    protocolNumber: number;
  }[];
  readonly summaries: readonly {
    buildId: string;
    protocolId: string;
    key: string;
    summary: KeptSummary;
    protocolNumber: number;
  }[];
  readonly verdicts: readonly {
    requirementId: string;
    buildId: string;
    value: Verdict;
    requirementNumber: number;
    buildRevision: number;
  }[];
}

/** The facts of one build alone: what its verdicts and summaries are computed from. */
export const factsOfBuild = (facts: MeasuredFacts, build: Build): MeasuredFacts => ({
  ...facts,
  runs: facts.runs.filter((r) => r.buildId === build.id),
  evidence: facts.evidence.filter((e) => e.buildId === build.id),
});

/** A number that can be kept; null where there is none. */
const finite = (x: number | undefined): number | null => (x !== undefined && Number.isFinite(x) ? x : null);

/** A build's bench runs of a protocol by day, and the best that compares. */
function daysOf(facts: MeasuredFacts, protocol: Protocol, key: string): Pick<KeptSummary, "days" | "bestRun"> {
  const { better } = protocol.definition;
  const beats = (a: number, b: number | null) => b === null || (better === "more" ? a > b : a < b);
  const days = new Map<string, { n: number; best: number | null }>();
  let top: { run: string; value: number } | null = null;
  for (const r of facts.runs) {
    if (r.protocolId !== protocol.id || r.place !== "bench") continue;
    const a = facts.assessed.get(r.id);
    const value = finite(a?.values[key]?.value?.value);
    const date = r.at.slice(0, 10);
    const day = days.get(date) ?? { n: 0, best: null };
    const sound = a?.inside && a.state === "valid" && value !== null;
    days.set(date, { n: day.n + 1, best: sound && beats(value, day.best) ? value : day.best });
    if (a?.comparable && value !== null && beats(value, top?.value ?? null)) top = { run: r.id, value };
  }
  return {
    days: [...days].sort(([a], [b]) => (a < b ? -1 : 1)).map(([date, d]) => ({ date, ...d })),
    bestRun: top?.run ?? null,
  };
}

/** Everything that is kept of some builds, computed from the facts. */
export function keptRows(all: MeasuredFacts, builds: readonly Build[]): KeptRows {
  const protocols = new Map(all.protocols.map((p) => [p.id as string, p]));
  const per = builds.map((build) => ({ build, facts: factsOfBuild(all, build) }));
  return {
    runs: per.flatMap(({ facts }) =>
      facts.runs.flatMap((r) => {
        const a = facts.assessed.get(r.id);
        const protocol = protocols.get(r.protocolId);
        if (!a || !protocol) return [];
        return channelsOf(protocol.definition).map((c) => ({
          runId: r.id,
          key: c.key,
          buildId: r.buildId,
          value: finite(a.values[c.key]?.value?.value),
          u: finite(a.values[c.key]?.value?.u),
          comparable: a.comparable,
          sound: a.inside && a.state === "valid",
          reasons: a.reasons,
          runVersion: r.version,
          protocolNumber: protocol.number,
        }));
      }),
    ),
    summaries: per.flatMap(({ build, facts }) =>
      [...new Set(facts.runs.filter((r) => r.place === "bench").map((r) => r.protocolId as string))].flatMap((id) => {
        const protocol = protocols.get(id);
        if (!protocol) return [];
        return channelsOf(protocol.definition).map((c) => {
          const { value, working } = summaryOf(facts, protocol, build.id, c.key);
          const summary = { ...value, shown: working.result, ...daysOf(facts, protocol, c.key) };
          return { buildId: build.id, protocolId: id, key: c.key, summary, protocolNumber: protocol.number };
        });
      }),
    ),
    verdicts: per.flatMap(({ build, facts }) =>
      facts.requirements.map((r) => ({
        requirementId: r.id,
        buildId: build.id,
        value: requirementStatus(facts, r, build).value,
        requirementNumber: r.number,
        buildRevision: build.revision,
      })),
    ),
  };
}
