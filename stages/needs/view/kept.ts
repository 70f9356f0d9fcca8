import type { RunSummary } from "@/core/run/assess";
import { channelsOf } from "@/core/run/protocol";
import type { Verdict } from "@/core/vocabulary/needs";
import type { Build } from "@/stages/builds/queries";
import type { ProjectFacts } from "../queries/facts";
import { requirementStatus, summaryOf } from "./verdicts";

/** What a build's runs come to for a channel, as it is kept: the figures, and how the counted one is written. */
export interface KeptSummary extends RunSummary {
  readonly shown: string;
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
export const factsOfBuild = (facts: ProjectFacts, build: Build): ProjectFacts => ({
  ...facts,
  runs: facts.runs.filter((r) => r.buildId === build.id),
  evidence: facts.evidence.filter((e) => e.buildId === build.id),
});

/** A number that can be kept; null where there is none. */
const finite = (x: number | undefined): number | null => (x !== undefined && Number.isFinite(x) ? x : null);

/** Everything that is kept of some builds, computed from the facts. */
export function keptRows(all: ProjectFacts, builds: readonly Build[]): KeptRows {
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
          const summary = { ...value, shown: working.result };
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
