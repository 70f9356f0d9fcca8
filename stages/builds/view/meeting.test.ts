import { definition } from "@/stages/testing/definition";
import { aBuild } from "@/stages/testing/rows";
import { apart, beforeWords, ownGenerations } from "./meeting";

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
