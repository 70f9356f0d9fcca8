import { aBuild, aRequirement, aState, aTeam } from "@/stages/testing/rows";
import { registerView } from "./register";

const mass = { measure: "mass", comparator: "≤" as const, target: "6", unit: "kg", method: "inspection" as const };
const state = aState(
  {
    teams: [aTeam("Alder"), aTeam("Birch"), aTeam("Cedar")],
    builds: [aBuild("Alder", 1), aBuild("Alder", 2), aBuild("Birch", 1)],
    requirements: [
      aRequirement("R-01", mass),
      aRequirement("R-02", { priority: "should", statement: "It is light", owner: "Ada" }),
      aRequirement("R-03", { comparator: "yes", measure: "inspection" }),
      aRequirement("R-04", { ...mass, comparator: "≥", target: "7" }),
    ],
  },
  {
    "R-01 Alder G1": "not met",
    "R-01 Alder G2": "met",
    "R-01 Birch G1": "not met",
    "R-03 Alder G2": "not met",
    "R-03 Birch G1": "not met",
    "R-04 Birch G1": "stale",
  },
);
const view = (wanted = {}, traced = new Map([["R-02", 1]])) => registerView(state, traced, "Kr", wanted);
const codes = (filter?: string) => view({ filter }).lines.map((l) => l.r.code);

test("musts come first, in their order, and what is no must follows", () => {
  expect(view().lines.map((l) => [l.r.code, l.group])).toEqual([
    ["R-01", "Musts"],
    ["R-03", "Musts"],
    ["R-04", "Musts"],
    ["R-02", "Should and could"],
  ]);
});

test("a team's mark is that of its newest build; a team without a build is untested", () => {
  expect(view().lines[0]!.marks).toEqual([
    { team: "Alder", build: "Alder G2", value: "met" },
    { team: "Birch", build: "Birch G1", value: "not met" },
    { team: "Cedar", build: undefined, value: "untested" },
  ]);
});

test("a line is bad when more than half of the teams miss it", () => {
  expect(view().lines.map((l) => [l.r.code, l.bad, l.met])).toEqual([
    ["R-01", false, 1],
    ["R-03", true, 0],
    ["R-04", false, 0],
    ["R-02", false, 0],
  ]);
});

test("limits are in words, and a vague statement without one is named", () => {
  const [first, , , last] = view().lines;
  expect([first!.measure, first!.limit, first!.vague]).toEqual(["mass", "≤ 6 kg", []]);
  expect([last!.measure, last!.limit, last!.vague]).toEqual([null, null, ["light"]]);
  expect(view().lines[1]!.limit).toBe("yes or no");
});

test.each([
  ["must", ["R-01", "R-03", "R-04"]],
  ["missed", ["R-03"]],
  ["stale", ["R-04"]],
  ["bare", ["R-02"]],
  ["nonsense", ["R-01", "R-03", "R-04", "R-02"]],
])("the filter %s keeps %j", (filter, wanted) => expect(codes(filter)).toEqual(wanted));

test("what cannot be verified is counted among the musts", () => {
  expect([view().musts, view().unverifiable]).toEqual([3, 1]);
});

test("clashing limits are named by their codes", () => {
  expect(view().clashes.map((c) => [c.a, c.b])).toEqual([["R-01", "R-04"]]);
});

test("coverage counts the musts that the newest build meets", () => {
  expect(view().coverage.map((c) => [c.team, c.verified, c.musts])).toEqual([
    ["Alder", 1, 3],
    ["Birch", 0, 3],
    ["Cedar", 0, 3],
  ]);
});

test("without a source of its own, the statements that a requirement traces to stand for it", () => {
  expect(view().lines[3]!.source).toBe("1 statement");
  expect(view({}, new Map([["R-02", 3]])).lines[3]!.source).toBe("3 statements");
});

test("one is looked at by its code", () => {
  expect(view({ open: "R-03" }).selected?.id).toBe("R-03");
  expect(view({ open: "R-99" }).selected).toBeUndefined();
});
