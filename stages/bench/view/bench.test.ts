import { shelf } from "@/core/run/shelf";
import { definition } from "@/stages/testing/definition";
import { aBuild, aProtocol, aState, aTeam } from "@/stages/testing/rows";
import { type BenchFacts, benchView, sizeOf } from "./bench";

const builds = [aBuild("Alder", 1), aBuild("Alder", 2)];
const state = aState({ builds, teams: [aTeam("Alder")] });
const facts = (values: Record<string, number[]>): BenchFacts => ({
  runs: [],
  assessed: new Map(),
  attempts: [],
  values: Object.entries(values).flatMap(([buildId, list]) =>
    list.map((value, i) => ({ buildId, runId: `${buildId} ${i}`, value })),
  ),
});

test("a difference is said without its sign, its interval from the small end to the large", () => {
  expect(sizeOf({ difference: -9.98, interval: [-10.2, -9.8] })).toEqual({ size: 9.98, from: 9.8, to: 10.2 });
  expect(sizeOf({ difference: 0.7, interval: [0.3, 1.1] })).toEqual({ size: 0.7, from: 0.3, to: 1.1 });
});

test("steps are shown one by one beside the build before; what cannot have been passed is left out", () => {
  const steps = aProtocol(shelf.find((t) => t.key === "steps")!.definition);
  const view = benchView(state, facts({ "Alder G1": [1, 5], "Alder G2": [5, 5, 3, 9] }), steps, builds[1]!);
  expect(view.sequence?.now.value.steps.map((s) => s.reached)).toEqual([3, 3, 3, 3, 2]);
  expect(view.sequence?.now.value.chain).toBeCloseTo(2 / 3);
  expect(view.sequence?.before?.value.chain).toBeCloseTo(1 / 2);
  expect(benchView(state, facts({}), steps, builds[0]!).sequence?.before).toBeNull();
  expect(benchView(state, facts({}), aProtocol(definition), builds[0]!).sequence).toBeNull();
});

test("levels are counted by generation and compared by their ranks; no limit line is drawn for them", () => {
  const drop = aProtocol(shelf.find((t) => t.key === "damage")!.definition);
  const view = benchView(state, facts({ "Alder G1": [2, 3, 2, 3, 2], "Alder G2": [0, 0, 1, 0, 0] }), drop, builds[1]!);
  expect(view.levelled.map((g) => [g.label, g.middle, g.counts])).toEqual([
    ["G1", 2, [0, 0, 3, 2]],
    ["G2", 0, [4, 1, 0, 0]],
  ]);
  expect(view.comparison?.value).toMatchObject({ kind: "levels", share: 1, distinct: true });
  expect(view.limit).toBeNull();
  expect(benchView(state, facts({}), aProtocol(definition), builds[1]!).levelled).toEqual([]);
});
