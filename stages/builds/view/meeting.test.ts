import { unitsOf } from "@/core/quantity/systems";
import { definition } from "@/stages/testing/definition";
import { aBuild } from "@/stages/testing/rows";
import { apart, beforeWords, ownGenerations } from "./meeting";
import { proposedView } from "./proposed";

const builds = [
  aBuild("Alder", 1, { makerId: "ana" as never }),
  aBuild("Alder", 2, { makerId: "ben" as never }),
  aBuild("Alder", 3, { makerId: "ben" as never, parents: ["Alder G2"] }),
  aBuild("Alder", 4, { parents: ["Alder G1"] }),
];
const members = [
  { id: "ana", name: "Ana" },
  { id: "ben", name: "Ben" },
];

test("who made how many alone, and who is missing some", () => {
  const { rows, says } = ownGenerations(members, builds, 2);
  expect(rows.map((r) => [r.name, r.own.length, r.missing])).toEqual([
    ["Ana", 1, 1],
    ["Ben", 2, 0],
  ]);
  expect(says).toBe("Ana: 1 more, of 2 generations of one's own.");
  expect(ownGenerations(members, builds, 0).says).toBe("");
});

test("what stands apart was made alone and is in no build yet", () => {
  expect(apart(builds).map((b) => b.id)).toEqual(["Alder G3"]);
});

test("a build of the edition before says what it reached", () => {
  const b = { name: "Adze G3", edition: "Pump 2026", reached: 8.91, definition };
  expect(beforeWords(b)).toBe("Adze G3, 8.9 L/min (Pump 2026)");
  expect(beforeWords({ ...b, reached: null })).toBe("Adze G3 (Pump 2026)");
  expect(beforeWords({ ...b, definition: null })).toBe("Adze G3 (Pump 2026)");
});

test("what was proposed stands beside what was built, with the difference where both are known", () => {
  const proposal = { mass: "4", cost: null, sides: ["0.5", "0.4", "0.3"] };
  const rows = proposedView(proposal, { mass: "4.6", cost: "38", sides: null }, unitsOf("metric"), "€");
  expect(rows.map((r) => [r.name, r.proposed, r.built, r.off])).toEqual([
    ["Mass", "4.00 kg", "4.60 kg", "+0.60 (+15 %)"],
    ["Cost", "–", "38.00 €", ""],
    ["Size", "500 × 400 × 300 mm", "–", ""],
  ]);
  expect(
    proposedView(
      { mass: null, cost: null, sides: null },
      { mass: null, cost: null, sides: null },
      unitsOf("metric"),
      "",
    ),
  ).toEqual([]);
  expect(
    proposedView(
      { mass: "4", cost: "0", sides: null },
      { mass: "3", cost: "2", sides: null },
      unitsOf("metric"),
      "",
    ).map((r) => r.off),
  ).toEqual(["−1.00 (−25 %)", "+2.00"]);
});
