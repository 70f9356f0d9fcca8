import fc from "fast-check";
import type { MarkScale } from "@/core/grades/mark";
import type { Gradebook } from "../queries/gradebook";
import {
  copied,
  type GridCell,
  gridOf,
  inOrder,
  lookOf,
  packCell,
  rowsShown,
  type Shown,
  takes,
  typedOf,
  unpackCell,
  wrongWith,
} from "./gradebook";

const columns = [
  { key: "book", name: "Notebook", weight: "20", computed: false, scale: { kind: "percent" } as MarkScale },
  { key: "lift", name: "Lift", weight: "80", computed: true, scale: { kind: "percent" } as MarkScale },
];
const student = (name: string, team: string, book: GridCell, lift: GridCell = { state: "not due" }, section = "3") => ({
  id: name.toLowerCase(),
  name,
  section,
  team,
  grade: book.percent ?? null,
  cells: [book, lift],
});
const marked = (percent: string, more: object = {}): GridCell => ({
  state: "scored",
  percent,
  typed: percent,
  ...more,
});
const students = [
  student("Ödön", "Gully", marked("70"), marked("91")),
  student("Ada", "Gully", marked("70"), marked("91")),
  student("Ben", "Alder", { state: "missing", percent: "0", typed: "miss never came" }),
  student("Cai", "Alder", { state: "excused", typed: "ex was ill" }),
  student("Dee", "", marked("85", { computed: "60" }), undefined, "5"),
];
const all: Shown = { by: "students", team: "", words: "", sort: "", down: false };
const shown = (more: Partial<Shown>) => rowsShown(students, columns, { ...all, ...more });
const names = (more: Partial<Shown>) => shown(more).map((r) => r.name);

test("rows are filtered by team and words, whatever their accents, and sorted either way", () => {
  expect(names({})).toEqual(["Ödön", "Ada", "Ben", "Cai", "Dee"]);
  expect(names({ team: "Alder" })).toEqual(["Ben", "Cai"]);
  expect(names({ words: " odon" })).toEqual(["Ödön"]);
  expect(names({ words: "gully" })).toEqual(["Ödön", "Ada"]);
  expect(names({ sort: "name" })).toEqual(["Ada", "Ben", "Cai", "Dee", "Ödön"]);
  expect(names({ sort: "name", down: true })[0]).toBe("Ödön");
  // What has no percent comes before zero.
  expect(names({ sort: "book" })).toEqual(["Cai", "Ben", "Ödön", "Ada", "Dee"]);
  expect(names({ sort: "grade", down: true })[0]).toBe("Dee");
});

test("rows keep the order that they had when they were sorted; who is new comes last", () => {
  const ids = shown({ sort: "book" }).map((r) => r.id);
  const later = [...students.slice(1), student("Eli", "", marked("99")), student("Ödön", "Gully", marked("5"))];
  const rows = rowsShown(later, columns, { ...all, sort: "book" });
  expect(inOrder(rows, ids).map((r) => r.name)).toEqual(["Cai", "Ben", "Ödön", "Ada", "Dee", "Eli"]);
});

test("by team: a row a team with its students, who has none is a row alone", () => {
  const rows = shown({ by: "teams" });
  expect(rows.map((r) => [r.name, r.students.map((s) => s.name)])).toEqual([
    ["Gully", ["Ödön", "Ada"]],
    ["Alder", ["Ben", "Cai"]],
    ["Dee", ["Dee"]],
  ]);
  expect([lookOf(rows[0]!, 0), lookOf(rows[1]!, 0)]).toEqual([
    { text: "70.0", look: "mark" },
    { text: "differ", look: "differs" },
  ]);
  expect([typedOf(rows[0]!, 0), typedOf(rows[1]!, 0)]).toEqual(["70", ""]);
});

test("copied for a spreadsheet: what is shown, and no name that a spreadsheet would compute", () => {
  const rows = rowsShown([students[0]!, student("=1+1", "", marked("0"))], columns, all);
  expect(copied(rows, columns).split("\n")).toEqual([
    "Student\tSection\tTeam\tNotebook (%)\tLift (%)\tGrade (%)",
    "Ödön\t3\tGully\t70.0\t91.0\t70",
    "'=1+1\t3\t\t0.0\tnot due\t0",
  ]);
});

test("not due, excused, missing, zero and set by hand are told apart", () => {
  const look = (cell: GridCell) => lookOf({ ...shown({})[0]!, students: [student("X", "", cell)] }, 0);
  expect([
    look({ state: "not due" }),
    look({ state: "excused" }),
    look({ state: "missing", percent: "0" }),
    look({ state: "scored", percent: "0" }),
    look({ state: "scored", percent: "85", computed: "not due" }),
  ]).toEqual([
    { text: "not due", look: "not due" },
    { text: "excused", look: "excused" },
    { text: "0 missing", look: "missing" },
    { text: "0.0", look: "mark" },
    { text: "85.0 ✎", look: "hand" },
  ]);
});

test("a cell comes out of its short text as it went in", () => {
  const text = fc.string({ minLength: 1, maxLength: 20 }).filter((t) => t.trim() === t);
  const percent = fc.constantFrom("0", "85", "66.67", "120");
  const cells = fc.oneof(
    fc.constant<GridCell>({ state: "not due" }),
    fc.record({ state: fc.constant("scored" as const), percent }),
    fc.record({ state: fc.constant("missing" as const), percent: fc.constant("0"), typed: text, version: fc.nat() }),
    fc.record({ state: fc.constant("excused" as const), typed: text, version: fc.nat() }),
    fc.record({
      state: fc.constant("scored" as const),
      percent,
      typed: fc.oneof(text, percent),
      version: fc.nat(),
      computed: fc.constantFrom("77.08", "not due"),
    }),
  );
  fc.assert(fc.property(cells, (cell) => expect(unpackCell(packCell(cell))).toEqual(cell)));
});

test("a column says what it takes and what is wrong with what was typed", () => {
  const letters: MarkScale = { kind: "letters", table: [{ letter: "A", percent: "95" }] };
  const of = (scale: MarkScale, computed = false) => ({ ...columns[0]!, scale, computed });
  expect([
    takes(of({ kind: "percent" })),
    takes(of({ kind: "points", of: "20" })),
    takes(of(letters)),
    takes(of({ kind: "percent" }, true)),
  ]).toEqual([
    "percent, or for example 17 of 20",
    "points of 20, or a percent: 85 %",
    "A 95 %",
    "nothing, it comes from the record; a number with its reason sets it by hand",
  ]);
  expect([wrongWith("17", of({ kind: "points", of: "20" })), wrongWith("21", of(letters))]).toEqual([
    null,
    expect.stringContaining("Write one of A"),
  ]);
});

test("what is known of a class becomes columns and cells; what is empty is left out", () => {
  const component = (key: string, more: object) => ({ key, name: key, weight: "50", overridden: null, ...more });
  const book = {
    scheme: {
      definition: {
        components: [
          { key: "a", name: "Marks", weight: "50", source: { kind: "entered", scale: { kind: "points", of: "20" } } },
          { key: "b", name: "Review", weight: "50", source: { kind: "rubric", review: "Final" } },
        ],
      },
    },
    rows: [
      {
        student: { id: "ada", name: "Ada", section: "3", team: null },
        marks: { a: { typed: "17", version: 2, reason: "" } },
        grade: {
          value: {
            grade: "85",
            components: [
              component("a", { state: "scored", percent: "85" }),
              component("b", { state: "not due", percent: null }),
            ],
          },
        },
      },
    ],
  } as unknown as Gradebook;
  const grid = gridOf(book);
  expect(grid.columns.map((c) => [c.key, c.computed, c.scale.kind])).toEqual([
    ["a", false, "points"],
    ["b", true, "percent"],
  ]);
  expect(grid.students[0]).toEqual({
    id: "ada",
    name: "Ada",
    section: "3",
    team: "",
    grade: "85",
    cells: ["s85~2~~17", "n"],
  });
});
