// What a list of marks from a spreadsheet would change, and what is wrong with it.
import type { GridCell, GridColumn } from "./gradebook";
import { importLook, type Named } from "./import-marks";

const columns: GridColumn[] = [
  { key: "book", name: "Notebook", weight: "20", computed: false, scale: { kind: "points", of: "20" } },
  { key: "talk", name: "Talk, first", weight: "20", computed: false, scale: { kind: "percent" } },
  { key: "flow", name: "Performance", weight: "60", computed: true, scale: { kind: "percent" } },
];
const cells = (...of: Partial<GridCell>[]) => columns.map((_, i) => ({ state: "not due", ...of[i] }) as GridCell);
const student = (name: string, more: Partial<Named> = {}): Named => ({
  id: name,
  name,
  email: `${name.toLowerCase()}@s.example`,
  loginName: null,
  cells: cells(),
  ...more,
});
const class_ = [
  student("Ada", {
    cells: cells(
      { state: "scored", percent: "85", typed: "17", version: 2 },
      {},
      { state: "scored", percent: "73.75" },
    ),
  }),
  student("Bén", { loginName: "20417" }),
];
const look = (...rows: string[]) =>
  importLook(
    rows.map((r) => r.split(";")),
    class_,
    columns,
  );
const told = (l: ReturnType<typeof look>) => l.changes.map((c) => [c.student, c.column, c.was, c.typed, c.version]);

test("what changes is told with what stood; the same, empty and computed as it stands change nothing", () => {
  const l = look(
    "Student;Section;Notebook;Talk, first;Performance (%, weight 60 %)",
    "Ada;3;18;;73,75",
    "Ben;3;17 neat;80;not due",
  );
  expect(told(l)).toEqual([
    ["Ada", "Notebook", "17", "18", 2],
    ["Bén", "Notebook", "not due", "17 neat", 0],
    ["Bén", "Talk, first", "not due", "80", 0],
  ]);
  expect([l.same, l.problems, l.columns]).toEqual([2, [], ["Notebook", "Talk, first", "Performance"]]);
});

test("a column of percent is read as percent, whatever the component's scale is", () => {
  const l = look("Email;Notebook (%)", "ada@s.example;85", "ben@s.example;70,5");
  expect(l.problems).toEqual([]);
  const other = look("Email;Notebook (%)", "BÉN@s.example;70,5", "ada@s.example;85");
  expect([told(other), other.same]).toEqual([[["Bén", "Notebook", "not due", "70,5 %", 0]], 1]);
});

test("students are found by the school's number that they sign in with", () =>
  expect(told(look("Number;Talk, first", "20417;90"))).toEqual([["Bén", "Talk, first", "not due", "90", 0]]));

test.each([
  [["Student;Notebook"], "The list needs a row of headings, and a row a student below it."],
  [["Who;Notebook", "Ada;17"], "No column says who it is: head one Student, Email or Sign-in name."],
  [["Student;Nothing", "Ada;17"], "“Nothing” is no component of the scheme: its column is passed over."],
  [["Student;Notebook", "Cai;17"], "Nobody in the class is called “Cai”."],
  [["Student;Notebook", "Ada;18", "Ada;19"], "Ada stands in the list twice."],
  [["Student;Performance", "Ada;80"], "This is computed. To set it by hand, write why after it"],
  [["Student;Notebook", "Ada;30"], "Ada, Notebook: That is 150 %: from 0 to 120 % are taken."],
])("%j is told what is wrong", (rows, wanted) =>
  expect(
    look(...rows)
      .problems.map((p) => p.message)
      .join(" "),
  ).toContain(wanted),
);

test("two of one name are told apart by the e-mail", () => {
  const twins = [
    student("Ada", { id: "1", email: "a1@s.example" }),
    student("Ada", { id: "2", email: "a2@s.example" }),
  ];
  const of = (who: string) =>
    importLook(
      [
        ["Student", "Notebook"],
        [who, "17"],
      ],
      twins,
      columns,
    );
  expect(of("Ada").problems[0]!.message).toContain("could be more than one student");
  expect(of("a2@s.example").changes[0]!.personId).toBe("2");
});
