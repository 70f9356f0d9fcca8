import { staleReasons } from "@/core/evidence/evidence";
import { type Observation, runMeasure, statusOf } from "@/core/needs/requirement";
import { toSi } from "@/core/quantity/quantity";
import { type AssessedRun, assessRun } from "@/core/run/assess";
import { channelsOf } from "@/core/run/protocol";
import { type RunSummary, summariseRuns } from "@/core/run/summary";
import type { Verdict } from "@/core/vocabulary/needs";
import { type Computed, makeWorking } from "@/core/working/working";
import type { Protocol, StoredRun } from "@/stages/bench/queries/runs";
import type { Build } from "@/stages/builds/queries/builds";
import type { EvidenceRow, MeasuredFacts } from "../queries/facts";
import type { RequirementRow } from "../queries/requirements";
import { limitOf } from "./requirements";

// A run's assessment is a function of the run and the protocol version: it is kept with the versions it came from.
const assessments = new Map<string, AssessedRun>();

const mostKept = 4_000;

function assess(p: Protocol, r: StoredRun, otherVersion: number | undefined): AssessedRun {
  const key = `${r.id} ${r.version} ${p.versionId} ${p.runs > 0} ${otherVersion} ${r.by}`;
  const known = assessments.get(key);
  if (known) return known;
  if (assessments.size >= mostKept) assessments.clear();
  const made = assessRun(p.definition, { ...r, otherVersion });
  assessments.set(key, made);
  return made;
}

/**
 * Every run under its protocol's current version; runs of other versions are not comparable unless their evidence was
 * kept.
 */
export function assessAll(
  runs: readonly StoredRun[],
  protocols: readonly Protocol[],
  evidence: readonly EvidenceRow[] = [],
): Map<string, AssessedRun> {
  const kept = new Set(evidence.flatMap((e) => (e.keptReason && e.runId ? [e.runId] : [])));
  const byId = new Map(protocols.map((p) => [p.id, p]));
  return new Map(
    runs.flatMap((r) => {
      const p = byId.get(r.protocolId);
      if (!p) return [];
      return [[r.id, assess(p, r, r.protocolNumber === p.number || kept.has(r.id) ? undefined : r.protocolNumber)]];
    }),
  );
}

/** What a build's runs come to for one channel of a protocol. */
export function summaryOf(
  facts: Pick<MeasuredFacts, "runs" | "assessed">,
  protocol: Protocol,
  buildId: string,
  key: string,
  only?: ReadonlySet<string>,
): Computed<RunSummary> {
  const mine = facts.runs.filter(
    (r) => r.buildId === buildId && r.protocolId === protocol.id && r.place === "bench" && (!only || only.has(r.id)),
  );
  return summariseRuns(
    protocol.definition,
    mine.flatMap((r) => facts.assessed.get(r.id) ?? []),
    key,
  );
}

/**
 * The status of one requirement for one build, from its evidence: fresh evidence decides; where there is only stale
 * evidence the status is stale.
 */
export function requirementStatus(
  facts: MeasuredFacts,
  r: RequirementRow,
  build: Build | undefined,
): Computed<Verdict> {
  const limit = limitOf(r);
  if (!build)
    return {
      value: "untested",
      working: makeWorking({ title: r.statement, result: "untested", rule: "There is no build yet." }),
    };
  if (!limit && r.measure)
    return {
      value: "untested",
      working: makeWorking({ title: r.statement, result: "untested", rule: "The requirement has no limit yet." }),
    };
  const rows = facts.evidence.filter((e) => e.requirementId === r.id && e.buildId === build.id);
  const run = runMeasure(r.measure);
  const protocol = run ? facts.protocols.find((p) => p.id === run.protocol) : undefined;
  const fitting = rows.filter(
    (e) =>
      e.finding === "not applicable" ||
      (run
        ? e.kind === "run" &&
          facts.runs.some((x) => x.id === e.runId && x.protocolId === run.protocol && x.place === "bench")
        : r.measure
          ? e.kind === "build"
          : e.kind === "finding"),
  );
  const withReasons = fitting.map((e) => ({
    e,
    stale: staleReasons(
      { requirement: e.requirementVersion, build: e.buildRevision, protocol: e.protocolVersion },
      { requirement: r.number, build: build.revision, protocol: protocol?.number ?? null },
    ),
  }));
  const fresh = withReasons.filter((x) => x.stale.length === 0);
  const chosen = fresh.length ? fresh : withReasons;
  const stale = fresh.length ? [] : [...new Set(withReasons.flatMap((x) => x.stale))];
  const newest = chosen.at(-1)?.e;
  const bare = limit ?? { comparator: "yes" as const, target: null, second: null, sides: null, unit: "1" };
  const done = (seen: Observation | null): Computed<Verdict> => {
    const result = statusOf(bare, seen, stale);
    const kept = chosen.find((x) => x.e.keptReason)?.e.keptReason;
    return {
      ...result,
      working: makeWorking({
        ...result.working,
        title: `${r.code} for ${build.team} G${build.number}`,
        warnings: kept
          ? [...result.working.warnings, `Kept although something changed: ${kept}`]
          : result.working.warnings,
        basis: [`requirement version ${r.number}`, ...(protocol ? [`${protocol.name} v${protocol.number}`] : [])],
      }),
    };
  };
  if (!newest) return done(null);
  if (newest.kind === "finding" && newest.value !== null && limit)
    return done({
      kind: "value",
      value: newest.value,
      U: 0,
      inputs: [
        {
          label: "measured by looking",
          value: newest.entered,
          note: newest.note,
          by: newest.recordedBy,
          at: newest.recordedAt,
        },
      ],
    });
  if (newest.kind === "finding")
    return done({
      kind: "finding",
      outcome: newest.finding!,
      note: newest.note,
      by: newest.recordedBy,
      at: newest.recordedAt,
    });
  const source = { by: build.recordedBy, at: build.createdAt };
  if (r.measure === "envelope")
    return done(
      build.sides
        ? {
            kind: "sides",
            sides: build.sides,
            inputs: [
              { label: "sides", value: build.sides.map((s) => Number(s) * 1000).join(" × "), unit: "mm", ...source },
            ],
          }
        : null,
    );
  if (r.measure === "mass" || r.measure === "cost") {
    const value = build[r.measure];
    return done(
      value === null
        ? null
        : {
            kind: "value",
            value,
            U: 0,
            inputs: [{ label: r.measure, value, unit: r.measure === "mass" ? "kg" : "", ...source }],
          },
    );
  }
  if (!protocol) return done(null);
  const ids = new Set(chosen.flatMap((x) => (x.e.runId ? [x.e.runId] : [])));
  // Stale runs are shown as they stood: assessed as if their version were current.
  const pool = stale.length
    ? {
        runs: facts.runs,
        assessed: new Map(facts.runs.filter((x) => ids.has(x.id)).map((x) => [x.id, assess(protocol, x, undefined)])),
      }
    : facts;
  const summary = summaryOf(pool, protocol, build.id, run!.channel, ids);
  if (summary.value.counted === null) return done(null);
  const unit = channelsOf(protocol.definition).find((c) => c.key === run!.channel)!.unit;
  const result = done({
    kind: "value",
    value: toSi(summary.value.counted, unit).toString(),
    U: toSi(summary.value.U, unit).toNumber(),
    inputs: summary.working.inputs,
  });
  return {
    ...result,
    working: {
      ...result.working,
      steps: [...summary.working.steps.slice(0, 1), ...result.working.steps],
      warnings: [...result.working.warnings, ...(stale.length ? [] : summary.working.warnings)],
    },
  };
}
