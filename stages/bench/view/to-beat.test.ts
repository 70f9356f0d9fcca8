import { definition } from "@/stages/testing/definition";
import { aBuild, aProtocol, aRequirement, aState, aTeam } from "@/stages/testing/rows";
import { settingsOfRun, toBeat } from "./to-beat";

const builds = [aBuild("Alder", 1), aBuild("Alder", 2), aBuild("Birch", 1, { variables: { valve: "ball" } })];
const protocol = aProtocol(definition);
const state = aState(
  { builds, teams: [aTeam("Alder"), aTeam("Birch")], protocols: [protocol] },
  {},
  { "Alder G1": 5, "Alder G2": 6.5, "Birch G1": 8 },
);
const last = { team: "Adze", build: 3, edition: "Pump 2026", value: 6.4 };

test("limit, last year, class and own best, each with how far it is", () => {
  const view = toBeat(state, protocol, builds[1]!, last);
  expect(view.marks.map((m) => [m.label, m.shown, m.stands])).toEqual([
    ["best of Pump 2026: Adze G3", "6.40", "beaten by 0.10"],
    ["best of the class: Birch G1", "8.00", "1.50 to go"],
    ["best of Alder: G2", "6.50", ""],
  ]);
  expect(view.steps).toEqual(["G1 5.00", "G2 6.50 (+1.50)"]);
});

test("a record that an older edition holds stands beside last year's best", () => {
  const record = { team: "Weir", build: 2, edition: "Pump 2024", value: 9.1 };
  const { marks } = toBeat(state, protocol, builds[1]!, last, record);
  expect(marks.slice(0, 2).map((m) => [m.label, m.shown, m.stands])).toEqual([
    ["record of all editions, Pump 2024: Weir G2", "9.10", "2.60 to go"],
    ["best of Pump 2026: Adze G3", "6.40", "beaten by 0.10"],
  ]);
});

test("the best of the class is not named twice for its own team, and has no distance to itself", () => {
  const { marks, steps } = toBeat(state, protocol, builds[2]!, null);
  expect(marks.map((m) => [m.label, m.stands])).toEqual([["best of the class: Birch G1", ""]]);
  expect(steps).toEqual(["G1 8.00"]);
});

test("a requirement on the main value is a mark; without a run there is nothing to stand to it", () => {
  const r = aRequirement("R-02", {
    measure: `run:${protocol.id}:${definition.primary}`,
    comparator: "≥",
    target: String(7.5 / 60000),
    unit: "L/min",
  } as never);
  const asked = aState({ builds, requirements: [r], protocols: [protocol] }, {}, { "Alder G1": 5 });
  expect(toBeat(asked, protocol, builds[0]!, null).marks[0]).toEqual({
    label: "R-02 ≥",
    shown: "7.50",
    stands: "2.50 to go",
  });
  expect(toBeat(asked, protocol, builds[1]!, null).marks[0]!.stands).toBe("");
});

test("the settings of a run: design variables, and conditions as measured or as set", () => {
  const conditions = [
    { key: "h", name: "Lift", unit: "m", target: "1.60", tolerance: "0.01" },
    { key: "n", name: "Strokes", unit: "1", target: "60", tolerance: "3" },
  ];
  expect(settingsOfRun({ variables: { valve: "ball" } }, conditions, { h: "1.605" })).toEqual([
    { name: "valve", value: "ball" },
    { name: "Lift", value: "1.605 m" },
    { name: "Strokes", value: "60, as set" },
  ]);
});

test("what theory gives, and how much of it was measured", () => {
  const ideal = { key: "Qi", name: "Ideal flow", unit: "L/s", expression: "m / (rho * t)", decimals: 2, rule: "" };
  const d = { ...definition, derived: [...definition.derived, ideal], theory: "Qi" };
  const told = aProtocol(d);
  const facts = aState({ builds, protocols: [told] }, {}, { "Alder G2": 6 });
  // Six litres a minute of six a second.
  expect(toBeat(facts, told, builds[1]!, null).theory).toEqual({ name: "Ideal flow", shown: "6.00 L/s", share: "2" });
  expect(toBeat(facts, told, builds[0]!, null).theory).toBeNull();
  expect(toBeat(state, protocol, builds[1]!, null).theory).toBeNull();
});
