// A scheme as an outline and back; what a change of it does to a class.
import fc from "fast-check";
import { bandsOf, fragileOf, movesOf, type Standing } from "./effect";
import { endOf, type OutlineRow, outlineOf, sharesOfWhole, treeOf } from "./outline";
import { isGroup, leavesOf, type SchemeNode } from "./scheme";

const leaf = (key: string, weight = "1"): SchemeNode => ({ key, name: key, weight, source: { kind: "entered" } });
const group = (key: string, parts: SchemeNode[], weight = "1"): SchemeNode => ({ key, name: key, weight, parts });
const trees = fc.letrec<{ node: SchemeNode }>((tie) => ({
  node: fc.oneof(
    { depthSize: "small" },
    fc.integer({ min: 1, max: 9 }).map((n) => leaf(`l${n}`, String(n))),
    fc.array(tie("node"), { maxLength: 3 }).map((parts) => group("g", parts, "2")),
  ),
}));

test("any scheme written as an outline is the same scheme again", () => {
  fc.assert(
    fc.property(fc.array(trees.node, { maxLength: 4 }), (parts) => {
      expect(treeOf(outlineOf(parts))).toEqual({ parts });
    }),
  );
});

test("a line lies in the group above it, and in nothing else", () => {
  const row = (node: SchemeNode, depth: number) => ({ ...outlineOf([node])[0]!, depth }) as OutlineRow;
  expect(treeOf([row(leaf("a"), 0), row(leaf("b"), 1)])).toEqual({ wrong: "b lies in no group." });
  expect(treeOf([row(group("g", []), 0), row(leaf("b"), 2)])).toEqual({ wrong: "b lies in no group." });
  expect(treeOf([row(group("g", []), 0), row(leaf("b"), 1), row(leaf("c"), 0)])).toEqual({
    parts: [group("g", [leaf("b")]), leaf("c")],
  });
});

test("what lies in a line ends before the next that is no deeper", () => {
  const rows = [0, 1, 2, 1, 0].map((depth) => ({ depth }));
  expect(rows.map((_, i) => endOf(rows, i))).toEqual([4, 3, 3, 4, 5]);
});

test("shares of the whole: in a group by proportion; components of a whole make its weight", () => {
  const row = (depth: number, weight: string) => ({ depth, weight });
  expect(sharesOfWhole([row(0, "60"), row(1, "3"), row(2, " 1,5 "), row(2, "0.5"), row(1, "1"), row(0, "40")])).toEqual(
    [60, 45, 33.75, 11.25, 15, 40],
  );
  expect(sharesOfWhole([row(0, "x"), row(1, "1"), row(0, "0")])).toEqual([null, null, null]);
  expect(sharesOfWhole([row(0, "50"), row(1, "0"), row(1, "2")])).toEqual([50, null, 50]);
  expect(sharesOfWhole([row(1, "30")])).toEqual([30]);
  fc.assert(
    fc.property(trees.node, (node) => {
      const rows = outlineOf([{ ...node, weight: "100" }]);
      const shares = sharesOfWhole(rows);
      const leaves = leavesOf([node]);
      const empty = rows.some(
        (r, i) => isGroup({ ...r, parts: [] } as never) && !("source" in r) && endOf(rows, i) === i + 1,
      );
      if (!leaves.length || empty) return;
      const sum = rows.reduce((s, r, i) => s + ("source" in r ? shares[i]! : 0), 0);
      expect(sum).toBeCloseTo(100, 6);
    }),
  );
});

const at = (id: string, grade: string | null, letter: string | null = null, exact = grade): Standing => ({
  id,
  grade,
  exact,
  letter,
});

test("moves: first grades and lost ones before all, then the largest; a letter alone is a move too", () => {
  const before = [at("a", "80", "B"), at("b", "70"), at("c", null), at("d", "60"), at("e", "50", "D"), at("g", "40")];
  const after = [
    at("a", "82", "B"),
    at("b", "65"),
    at("c", "75"),
    at("d", "60"),
    at("e", "50", "C"),
    at("f", "9"),
    at("g", null),
  ];
  expect(movesOf(before, after)).toEqual([
    { id: "c", from: null, to: "75", by: null, letters: null },
    { id: "f", from: null, to: "9", by: null, letters: null },
    { id: "g", from: "40", to: null, by: null, letters: null },
    { id: "b", from: "70", to: "65", by: "-5", letters: null },
    { id: "a", from: "80", to: "82", by: "2", letters: null },
    { id: "e", from: "50", to: "50", by: "0", letters: ["D", "C"] },
  ]);
  expect(movesOf([], [])).toEqual([]);
});

test("fragile is who lies within one step of rounding of a boundary, on it too; the nearest first", () => {
  const letters = [
    { letter: "A", from: "90" },
    { letter: "B", from: "80" },
  ];
  const standings = [
    at("far", "91.2"),
    at("edge", "91"),
    at("near", "89.7"),
    at("on", "80"),
    at("none", null),
    at("low", "78.9"),
  ];
  expect(fragileOf(standings, { decimals: 0, letters }).map((f) => [f.id, f.letter, f.off])).toEqual([
    ["on", "B", "0"],
    ["near", "A", "-0.3"],
    ["edge", "A", "1"],
  ]);
  expect(fragileOf(standings, { decimals: 1, letters }).map((f) => f.id)).toEqual(["on"]);
  expect(fragileOf(standings, { decimals: 0 })).toEqual([]);
});

test("bands of ten hold their lower end and not their upper; the last has no end", () => {
  const bands = bandsOf(["0", "9.99", "10", "100", "119", null], ["99.9"]);
  expect(bands.map((b) => [b.from, b.to, b.before, b.after]).filter(([, , a, b]) => a || b)).toEqual([
    [0, 10, 2, 0],
    [10, 20, 1, 0],
    [90, 100, 0, 1],
    [100, null, 2, 0],
  ]);
  expect(bands).toHaveLength(11);
});
