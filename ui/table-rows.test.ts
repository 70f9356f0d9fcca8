import { cellOf, copyText, type Row, rowAfter } from "./table-rows";

const row = (id: string, cells: Row["cells"]): Row => ({ id, cells });

test("a cell written short is its value; a missing one has none", () => {
  const r = row("1", { a: 3, b: { value: "x", show: "shown" } });
  expect([cellOf(r, "a"), cellOf(r, "b"), cellOf(r, "c")]).toEqual([
    { value: 3 },
    { value: "x", show: "shown" },
    { value: null },
  ]);
});

test("a copy has the headings, a line a row, and no tools; a tab or line break inside a cell becomes a space", () => {
  const columns = [
    { key: "name", text: "Name" },
    { key: "n", text: "Runs", num: true },
    { key: "act", text: "" },
  ];
  const rows = [row("1", { name: "Al\tder\n two", n: 3, act: "x" }), row("2", { name: "Birch", n: null })];
  expect(copyText(columns, rows)).toBe("Name\tRuns\nAl der two\t3\nBirch\t");
});

test.each([
  ["ArrowDown", 0, 1],
  ["ArrowDown", 39, 39],
  ["ArrowUp", 0, 0],
  ["ArrowUp", 5, 4],
  ["PageDown", 0, 15],
  ["PageDown", 30, 39],
  ["PageUp", 20, 5],
  ["PageUp", 3, 0],
  ["Home", 20, 0],
  ["End", 0, 39],
  ["a", 3, null],
])("%s from row %i goes to %p of 40", (key, at, to) => expect(rowAfter(key, at, 40)).toBe(to));
