import { unitsOf } from "@/core/quantity/systems";
import { definition } from "@/stages/testing/definition";
import { aBuild, aProtocol, aRequirement, aState, aTeam } from "@/stages/testing/rows";
import { generationsView, margin, size } from "./generations";

const mass = aRequirement("R-01", { measure: "mass", comparator: "≤", target: "6", unit: "kg" });
const cost = aRequirement("R-02", { measure: "cost", comparator: "≤", target: "80", unit: "1" });
const room = aRequirement("R-03", {
  measure: "envelope",
  comparator: "fits",
  sides: ["0.4", "0.3", "0.3"],
  unit: "mm",
});
const project = { startsOn: "2027-01-18", currency: "Kr" };
const facts = aState(
  {
    teams: [aTeam("Alder"), aTeam("Birch"), aTeam("Cedar")],
    requirements: [mass, cost, room],
    protocols: [aProtocol(definition)],
    builds: [
      aBuild("Alder", 1, { mass: "6.42", cost: "74.5", builtOn: "2027-01-19" }),
      aBuild("Alder", 2, { mass: "6", sides: ["0.41", "0.2", "0.2"], builtOn: "2027-01-26", predicted: "7.25" }),
      aBuild("Birch", 1),
    ],
  },
  {},
  { "Alder G2": 7.4 },
);
const metric = unitsOf("metric");
const view = (wanted = {}) => generationsView(facts, project, wanted, metric);

test("what breaks a limit says by how much; what just holds it does not", () => {
  const [g1, g2] = view().lines;
  expect(g1!.mass).toEqual({ value: 6.42, shown: "6.42", over: "0.42 kg over the limit" });
  expect(g1!.cost).toEqual({ value: 74.5, shown: "74.50", over: null });
  expect(g2!.mass.over).toBeNull();
});

test("a size is sorted by its volume and judged by its worst side", () => {
  const [g1, g2] = view().lines;
  expect(g1!.size).toEqual({ value: null, shown: null, over: null });
  expect(g2!.size.shown).toBe("410 × 200 × 200");
  expect(g2!.size.value).toBeCloseTo(0.0164, 9);
  expect(g2!.size.over).toBe("10 mm over the limit");
});

test("a build that was not tested has reached nothing", () => {
  expect(view().lines.map((l) => [l.build.id, l.reached, l.predicted])).toEqual([
    ["Alder G1", null, null],
    ["Alder G2", 7.4, "7.3"],
    ["Birch G1", null, null],
  ]);
});

test("one team is picked out, and its build of a week marked; without a team nothing is", () => {
  expect(view({ team: "Alder", week: "2" }).lines.map((l) => [l.build.id, l.marked])).toEqual([
    ["Alder G1", false],
    ["Alder G2", true],
  ]);
  expect(view({ week: "2" }).lines.some((l) => l.marked)).toBe(false);
});

test("teams without a build are named", () => {
  expect(view().bare.map((t) => t.name)).toEqual(["Cedar"]);
  expect(view({ team: "Alder" }).bare).toEqual([]);
});

test("limits on builds stand in words", () => {
  expect(view().limits).toEqual(["mass ≤ 6 kg", "cost ≤ 80 Kr", "envelope 400 × 300 × 300 mm"]);
});

test("no protocol, no column of what was reached", () => {
  expect(generationsView({ ...facts, protocols: [] }, project, {}, metric).channel).toBeUndefined();
});

test("a margin needs a limit and a value", () => {
  expect(margin(aRequirement("R-09"), aBuild("Alder", 1, { mass: "1" }), metric)).toBeNull();
  expect(margin(mass, aBuild("Alder", 1), metric)).toBeNull();
  expect(margin(mass, aBuild("Alder", 1, { mass: "5.5" }), metric)).toEqual({ text: "0.50 kg", bad: false });
  expect(size(aBuild("Alder", 1), metric)).toBeNull();
});

test("in a US project masses are pounds and sides inches, margins too", () => {
  const us = unitsOf("us");
  const boxed = aBuild("Alder", 1, { mass: "4.4", sides: ["0.4572", "0.3048", "0.3556"] });
  expect(size(boxed, us)).toBe("18 × 12 × 14");
  const box = aRequirement("R-10", {
    measure: "envelope",
    comparator: "fits",
    sides: ["0.5", "0.4", "0.4"],
    unit: "in",
  });
  expect(margin(box, boxed, us)).toEqual({ text: "1.69 in", bad: false });
  expect(margin(box, boxed, metric)).toEqual({ text: "43 mm", bad: false });
});
