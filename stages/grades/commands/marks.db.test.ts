// Marks as they are typed, against the database: all of a paste or none, undone by what stood before, and on record.
import { execute } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { ok, refused } from "@/stages/testing/database";
import { worldEach } from "@/stages/testing/world-each";
import { gradebook } from "../queries/gradebook";
import { enterMarks } from "./marks";
import { saveScheme } from "./scheme";

const here = worldEach("Marks");
const students = () => here.w.students.slice(0, 3) as [string, string, string];
const components = [
  { key: "book", name: "Notebook", weight: "60", source: { kind: "entered", scale: { kind: "points", of: "20" } } },
  { key: "talk", name: "Talk", weight: "20", source: { kind: "entered" } },
  { key: "review", name: "Review", weight: "20", source: { kind: "rubric", review: "Design review" } },
];
beforeEach(() => ok(saveScheme, here.boss, { projectId: here.w.projectId, baseNumber: 1, decimals: 1, components }));

type Typed = readonly [personId: string, component: string, typed: string, version?: number];
const input = (marks: readonly Typed[]) => ({
  projectId: here.w.projectId,
  marks: marks.map(([personId, component, typed, version = 0]) => ({ personId, component, typed, version })),
});
const enter = (...marks: Typed[]) => ok(enterMarks, here.boss, input(marks));
const cells = async () => {
  const book = await gradebook(here.w.projectId, "2027-02-01");
  return Object.fromEntries(
    book.rows.map((r) => [
      r.student.id,
      r.grade.value.components.map((c) => `${c.state} ${c.percent ?? "–"} ${r.marks[c.key]?.typed ?? ""}`.trim()),
    ]),
  );
};

test("values on each column's scale, excused, missing and by hand; the record says what was typed", async () => {
  const [a, b, c] = students();
  await enter([a, "book", "17"], [b, "book", "ex was ill"], [c, "book", "miss never came"], [a, "talk", "85 calm"]);
  await enter([a, "review", "80 spoke for two"]);
  const now = await cells();
  expect(now[a]).toEqual(["scored 85 17", "scored 85 85 calm", "scored 80 80 spoke for two"]);
  expect([now[b]![0], now[c]![0]]).toEqual(["excused – ex was ill", "missing 0 miss never came"]);
  const [row] = await db()`
    SELECT label, after, reason FROM audit WHERE act = 'enterMarks' AND subject_id = ${a} ORDER BY at DESC LIMIT 1
  `;
  expect(row).toEqual({
    label: "Review",
    after: { kind: "override", share: "0.8", typed: "80 spoke for two" },
    reason: "spoke for two",
  });
});

test("one that cannot be read, or was changed meanwhile, keeps all of them out and is named", async () => {
  const [a, b] = students();
  const name = async (id: string) => (await db()`SELECT name FROM person WHERE id = ${id}`)[0]!.name as string;
  const wrong = await refused(
    enterMarks,
    here.boss,
    input([
      [a, "book", "17"],
      [b, "book", "25"],
    ]),
  );
  expect(wrong.message).toBe(`${await name(b)}, Notebook: That is 125 %: from 0 to 120 % are taken.`);
  expect((await refused(enterMarks, here.boss, input([[a, "review", "80"]]))).message).toContain("This is computed");
  await enter([b, "book", "12"]);
  const late = await execute(
    enterMarks,
    here.boss,
    input([
      [a, "book", "17"],
      [b, "book", "14"],
    ]),
  );
  expect(late).toMatchObject({
    kind: "conflict",
    fields: [{ label: `${await name(b)}, Notebook`, yours: "14", theirs: "12" }],
  });
  expect((await cells())[a]![0]).toBe("not due –");
});

test("what stood before undoes them, also where nothing stood", async () => {
  const [a, b] = students();
  await enter([a, "book", "12"]);
  const { marks } = await enter([a, "book", "17", 1], [b, "book", "9"]);
  expect(marks.map((m) => [m.version, m.before])).toEqual([
    [2, "12"],
    [1, ""],
  ]);
  const back = await enter(...marks.map((m): Typed => [m.personId, m.component, m.before, m.version]));
  expect(back.marks.map((m) => [m.version, m.before])).toEqual([
    [3, "17"],
    [0, "9"],
  ]);
  const now = await cells();
  expect([now[a]![0], now[b]![0]]).toEqual(["scored 60 12", "not due –"]);
});

test("nobody of another project, and no component that is none", async () => {
  const [a] = students();
  const foreign = {
    ...input([[a, "book", "17"]]),
    marks: [{ personId: here.w.projectId, component: "book", typed: "1" }],
  };
  expect((await refused(enterMarks, here.boss, foreign)).kind).toBe("missing");
  expect((await refused(enterMarks, here.boss, input([[a, "no such", "17"]]))).kind).toBe("missing");
});
