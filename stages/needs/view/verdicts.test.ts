// What decides whether a requirement is met: which evidence fits it, which of it is fresh, and what is kept of it.
import type { StoredRun } from "@/stages/bench/queries/runs";
import { definition } from "@/stages/testing/definition";
import { aBuild, aProtocol, aRequirement } from "@/stages/testing/rows";
import type { EvidenceRow, MeasuredFacts } from "../queries/facts";
import { bestOfAll, runsByDay } from "./days";
import { holdingOf } from "./holding";
import { factsOfBuild, keptRows } from "./kept";
import { assessAll, requirementStatus, summaryOf } from "./verdicts";

const protocol = aProtocol(definition);
const build = aBuild("Alder", 1, { revision: 2, createdAt: "2027-02-01T08:00:00Z", recordedBy: "Ada" } as never);
// An assessment is remembered by its run and the version of it: each run of a test is its own.
let version = 0;
/** Kilograms of water in a minute: 7.485 kg are 7.5 L/min. */
const run = (id: string, m: string, more: Partial<StoredRun> = {}): StoredRun =>
  ({
    id,
    attempt: 1,
    state: "valid",
    reason: null,
    readings: { m },
    conditions: { h: "1.6" },
    buildId: build.id,
    teamId: "Alder",
    protocolId: protocol.id,
    protocolVersionId: protocol.versionId,
    protocolNumber: 1,
    buildRevision: 2,
    place: "bench",
    entryId: null,
    version: ++version,
    by: "Ada",
    at: "2027-02-02T09:00:00Z",
    note: "",
    photos: [],
    penalties: [],
    ...more,
  }) as StoredRun;
const evidence = (more: Partial<EvidenceRow>): EvidenceRow =>
  ({
    id: `e ${more.runId ?? more.kind}`,
    requirementId: "R-01",
    buildId: build.id,
    kind: "run",
    runId: null,
    requirementVersion: 1,
    buildRevision: 2,
    protocolVersion: 1,
    finding: null,
    value: null,
    entered: "",
    note: "",
    keptReason: null,
    recordedBy: "Mara",
    recordedAt: "2027-02-03T08:00:00Z",
    ...more,
  }) as EvidenceRow;
const flow = aRequirement("R-01", {
  measure: `run:${protocol.id}:Q`,
  comparator: "≥",
  unit: "L/min",
  target: String(7.5 / 60_000),
});
const facts = (more: Partial<MeasuredFacts> & { runs?: readonly StoredRun[] } = {}): MeasuredFacts => {
  const runs = more.runs ?? [run("a", "8.0"), run("b", "7.0")];
  const given = more.evidence ?? runs.map((r) => evidence({ runId: r.id }));
  return {
    requirements: [flow],
    builds: [build],
    protocols: [protocol],
    assessed: assessAll(runs, [protocol], given),
    ...more,
    runs,
    evidence: given,
  };
};
const verdict = (f: MeasuredFacts, r = flow, b = build) => requirementStatus(f, r, b).value;

describe("measured on the bench", () => {
  test("the counted value against the limit: the best of the runs here", () => {
    expect(verdict(facts())).toBe("met");
    expect(verdict(facts({ runs: [run("a", "7.0"), run("b", "6.0")] }))).toBe("not met");
    expect(requirementStatus(facts(), flow, build).working.title).toBe("R-01 for Alder G1");
    expect(requirementStatus(facts(), flow, build).working.basis).toEqual(["requirement version 1", "Timed lift v1"]);
  });

  test("without a build, a limit or a run it is untested", () => {
    expect(requirementStatus(facts(), flow, undefined).value).toBe("untested");
    expect(requirementStatus(facts(), { ...flow, comparator: null }, build)).toMatchObject({
      value: "untested",
      working: { rule: "The requirement has no limit yet." },
    });
    expect(verdict(facts({ evidence: [] }))).toBe("untested");
  });

  test("runs of a contest, of another protocol or of another build say nothing of it", () => {
    expect(verdict(facts({ runs: [run("a", "8.0", { place: "contest" as never })] }))).toBe("untested");
    expect(verdict(facts({ runs: [run("a", "8.0", { protocolId: "drop" as never })] }))).toBe("untested");
    const other = facts({ evidence: [evidence({ runId: "a" as never, buildId: "Alder G2" as never })] });
    expect(verdict(other)).toBe("untested");
  });

  test.each([
    ["the limit changed", { requirementVersion: 0 }],
    ["the build was changed", { buildRevision: 1 }],
    ["the protocol has a new version", { protocolVersion: 0 }],
  ])("%s since: what was measured is stale, and shown as it stood", (_, more) => {
    const f = facts({ evidence: [evidence({ runId: "a" as never, ...more })] });
    const status = requirementStatus(f, flow, build);
    expect(status.value).toBe("stale");
    expect(status.working.inputs.length).toBeGreaterThan(0);
  });

  test("one fresh piece of evidence decides alone: what is stale beside it is out", () => {
    const f = facts({
      evidence: [evidence({ runId: "a" as never, buildRevision: 1 }), evidence({ runId: "b" as never })],
    });
    expect(verdict(f)).toBe("not met");
  });

  test("evidence that was kept says why", () => {
    const f = facts({ evidence: [evidence({ runId: "a" as never, keptReason: "only the handle was painted" })] });
    const status = requirementStatus(f, flow, build);
    expect(status.value).toBe("met");
    expect(status.working.warnings).toContain("Kept although something changed: only the handle was painted");
  });

  test("a run under an earlier version compares only where its evidence was kept", () => {
    const old = [run("a", "8.0", { protocolNumber: 0 as never })];
    const comparable = (given: EvidenceRow[]) => assessAll(old, [protocol], given).get("a")!.comparable;
    expect(comparable([evidence({ runId: "a" as never })])).toBe(false);
    expect(comparable([evidence({ runId: "a" as never, keptReason: "the same test" })])).toBe(true);
    expect(assessAll(old, [], []).size).toBe(0);
  });
});

describe("told by the build or by somebody", () => {
  const mass = aRequirement("R-01", { measure: "mass", comparator: "≤", unit: "kg", target: "5" });
  const weighed = (kg: string | null) => aBuild("Alder", 1, { mass: kg, revision: 2 } as never);
  const by = (more: Partial<EvidenceRow>) => facts({ evidence: [evidence({ protocolVersion: null, ...more })] });

  test("a mass is the build's own", () => {
    expect(verdict(by({ kind: "build" }), mass, weighed("4.9"))).toBe("met");
    expect(verdict(by({ kind: "build" }), mass, weighed("5.1"))).toBe("not met");
    expect(verdict(by({ kind: "build" }), mass, weighed(null))).toBe("untested");
  });

  test("a size fits an envelope however it is turned", () => {
    const size = aRequirement("R-01", {
      measure: "envelope",
      comparator: "fits",
      unit: "mm",
      sides: ["0.6", "0.4", "0.3"],
    });
    const made = (...sides: string[]) => aBuild("Alder", 1, { sides, revision: 2 } as never);
    expect(verdict(by({ kind: "build" }), size, made("0.3", "0.59", "0.4"))).toBe("met");
    expect(verdict(by({ kind: "build" }), size, made("0.3", "0.61", "0.4"))).toBe("not met");
  });

  test("what is looked at is as it was found, the newest counts", () => {
    const looks = aRequirement("R-01", { comparator: "yes" });
    const found = (finding: string) => evidence({ kind: "finding", finding: finding as never, protocolVersion: null });
    expect(verdict(facts({ evidence: [found("not met")] }), looks)).toBe("not met");
    expect(verdict(facts({ evidence: [found("not met"), found("met")] }), looks)).toBe("met");
    expect(verdict(facts({ evidence: [found("not applicable")] }), looks)).toBe("not applicable");
  });

  test("a value that was read by looking is held against the limit", () => {
    const width = aRequirement("R-01", { comparator: "≤", unit: "mm", target: "0.3" });
    const read = (value: string) => by({ kind: "finding", finding: "met" as never, value, entered: `${value} m` });
    expect(verdict(read("0.29"), width)).toBe("met");
    expect(verdict(read("0.31"), width)).toBe("not met");
  });

  test("a limit that changed: builds that hold it as it is now, and those that do not", () => {
    const changed = { ...mass, number: 2 };
    const light = aBuild("Alder", 1, { mass: "4.9", revision: 2 } as never);
    const heavy = aBuild("Bramble", 1, { mass: "5.5", revision: 2 } as never);
    const f = facts({
      builds: [light, heavy],
      evidence: [light, heavy].map((b) => evidence({ kind: "build", buildId: b.id, protocolVersion: null })),
    });
    const { holding, others } = holdingOf(f, changed);
    expect([holding, others].map((list) => list.map((b) => b.id))).toEqual([["Alder G1"], ["Bramble G1"]]);
    expect(holdingOf(f, mass)).toEqual({ holding: [], others: [] });
  });
});

describe("what is kept", () => {
  const days = [
    run("a", "7.0"),
    run("b", "8.0", { at: "2027-02-02T10:00:00Z" as never }),
    run("c", "9.0", { at: "2027-02-05T10:00:00Z" as never, state: "void" as never, reason: "hose off" as never }),
    run("d", "9.5", { at: "2027-02-06T10:00:00Z" as never, conditions: { h: "1.9" } as never }),
    run("e", "9.9", { place: "contest" as never }),
  ];
  const kept = () => keptRows(facts({ runs: days, evidence: [] }), [build]);

  test("a build's bench by day: how many ran, and the best that is valid and inside its tolerances", () => {
    const { summary } = kept().summaries.find((s) => s.key === "Q")!;
    expect(summary.days.map((d) => [d.date, d.n, d.best?.toFixed(2) ?? null])).toEqual([
      ["2027-02-02", 2, "8.02"],
      ["2027-02-05", 1, null],
      ["2027-02-06", 1, null],
    ]);
    expect(summary.bestRun).toBe("b");
  });

  test("each run with its values, and whether it is sound; a verdict for each requirement", () => {
    const rows = kept();
    const of = (id: string) => rows.runs.find((r) => r.runId === id && r.key === "Q")!;
    expect([of("b").sound, of("c").sound, of("d").sound]).toEqual([true, false, false]);
    expect(of("d").reasons.join()).toContain("outside");
    expect(rows.verdicts).toEqual([
      { requirementId: "R-01", buildId: build.id, value: "untested", requirementNumber: 1, buildRevision: 2 },
    ]);
    expect(factsOfBuild(facts(), aBuild("Alder", 2)).runs).toEqual([]);
  });

  test("a summary of some of the runs alone", () => {
    const f = facts({ runs: days, evidence: [] });
    const best = (only?: ReadonlySet<string>) => summaryOf(f, protocol, build.id, "Q", only).value.best?.toFixed(2);
    expect([best(), best(new Set(["a"]))]).toEqual(["8.02", "7.01"]);
  });

  test("the project's days by team, and the best of all with the run that reached it", () => {
    const other = aBuild("Bramble", 1);
    const summaries: Record<string, unknown> = {
      "Alder G1": { best: 8, bestRun: "b", days: [{ date: "2027-02-02", n: 2, best: 8 }] },
      "Bramble G1": { best: 9, bestRun: "x", days: [] },
    };
    const state = {
      builds: [build, other],
      protocols: [protocol],
      summary: (b: string) => (summaries[b] ?? null) as never,
    };
    expect(runsByDay(state, protocol)).toEqual([{ team: "Alder", date: "2027-02-02", n: 2, best: 8 }]);
    expect(runsByDay(state, null)[0]!.best).toBeNull();
    expect(bestOfAll(state, protocol)).toEqual({ value: 9, run: "x", build: "Bramble G1" });
    const less = aProtocol({ ...definition, better: "less" });
    expect(bestOfAll({ ...state, protocols: [less] }, less)?.run).toBe("b");
    expect(bestOfAll({ ...state, summary: () => null }, protocol)).toBeNull();
  });
});
