// What a scheme does to a class: moves, marks that hang by a rounding, the spread, and the dots that show it.
import type { GradebookRow } from "../queries/gradebook";
import { dotsOf } from "./dots";
import { effectView } from "./effect";

const row = (id: string, grade: string | null, letter: string | null = null, exact = grade) =>
  ({
    student: { id, name: id.toUpperCase(), section: "3" },
    grade: { value: { grade, exact, letter } },
  }) as never as GradebookRow;
const letters = [
  { letter: "A", from: "90" },
  { letter: "B", from: "80" },
];

test("who moves by how much, the largest first; who gets a first grade before all; letters where they differ", () => {
  const before = [row("ada", "89", "B"), row("ben", "70"), row("cai", null), row("dee", "60")];
  const after = [row("ada", "90", "A"), row("ben", "62.5"), row("cai", "75"), row("dee", "60")];
  const e = effectView(before, after, { decimals: 1, components: [], letters });
  expect(e.moves.map((m) => [m.name, m.from, m.to, m.by, m.letters])).toEqual([
    ["CAI", null, "75", null, ""],
    ["BEN", "70", "62.5", "-7.5", ""],
    ["ADA", "89", "90", "1", "B → A"],
  ]);
  expect([e.students, e.mean]).toEqual([4, { before: "73.0", after: "71.9" }]);
  expect(e.bands).toEqual([
    { from: 60, to: 70, before: 1, after: 2 },
    { from: 70, to: 80, before: 1, after: 1 },
    { from: 80, to: 90, before: 1, after: 0 },
    { from: 90, to: 100, before: 0, after: 1 },
  ]);
});

test("without a scheme before nobody moves; marks within a rounding of a letter are named, the nearest first", () => {
  const after = [row("ada", "90", "A", "89.96"), row("ben", "80", "B", "80.1"), row("cai", "79.8", null, "79.8")];
  const e = effectView([], after, { decimals: 1, components: [], letters });
  expect(e.moves).toEqual([]);
  expect(e.fragile.map((f) => [f.name, f.letter, f.off])).toEqual([
    ["ADA", "A", "-0.04"],
    ["BEN", "B", "0.1"],
  ]);
});

test("dots stand on each other where grades are the same percent, and are as small as the tallest stack asks", () => {
  const room = { width: 300, height: 40 };
  const { from, to, rows, size } = dotsOf([[71.2, 70.8, 95], [62]], room);
  expect([from, to]).toEqual([60, 100]);
  expect(rows[0]).toEqual([
    { value: 71, nth: 0 },
    { value: 71, nth: 1 },
    { value: 95, nth: 0 },
  ]);
  expect(size).toBe(7);
  expect(dotsOf([Array(20).fill(80)], room).size).toBe(2);
  expect(dotsOf([[104]], room).to).toBe(110);
});
