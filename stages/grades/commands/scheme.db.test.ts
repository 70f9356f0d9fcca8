// A scheme as a tree against the database: what is refused, what it would do, and what a change after publishing says.
import { db } from "@/platform/db/db";
import { ok, refused } from "@/stages/testing/database";
import { worldEach } from "@/stages/testing/world-each";
import { effectOf, readScheme } from "../queries/effect";
import { gradebook } from "../queries/gradebook";
import { schemeOf } from "../queries/scheme";
import { extendDeadline } from "./extensions";
import { enterMarks } from "./marks";
import { publishGrades } from "./publish";
import { saveScheme } from "./scheme";

const here = worldEach("Scheme");
const TODAY = "2027-02-26";
const entered = { kind: "entered" };
/** A group with two marks, and one beside it. */
const tree = (team = "60") => ({
  decimals: 1,
  components: [
    { depth: 0, key: "team", name: "Team", weight: team },
    { depth: 1, key: "talk", name: "Talk", weight: "2", source: entered },
    { depth: 1, key: "build", name: "Construction", weight: "1", source: entered },
    { depth: 0, key: "own", name: "Own part", weight: String(100 - Number(team)), source: entered },
  ],
});
const save = (definition: object, baseNumber = 1, why = "") =>
  ok(saveScheme, here.boss, { projectId: here.w.projectId, baseNumber, why, ...definition });
const marks = (personId: string, of: Record<string, string>) =>
  ok(enterMarks, here.boss, {
    projectId: here.w.projectId,
    marks: Object.entries(of).map(([component, typed]) => ({ personId, component, version: 0, typed })),
  });
const gradeOf = async (personId: string) =>
  (await gradebook(here.w.projectId, TODAY, { only: personId })).rows[0]!.grade.value;

test("an outline is stored as a tree and counts as one", async () => {
  const [ada] = here.w.students as [string];
  await save(tree());
  expect((await schemeOf(here.w.projectId))!.definition.components).toMatchObject([
    { key: "team", parts: [{ key: "talk" }, { key: "build" }] },
    { key: "own" },
  ]);
  await marks(ada, { talk: "90", build: "60", own: "50" });
  // (2 × 90 + 60) ÷ 3 = 80, and 0.6 × 80 + 0.4 × 50.
  expect(await gradeOf(ada)).toMatchObject({ grade: "68", parts: [{ percent: "80" }, {}, {}, { percent: "50" }] });
});

test("what cannot be graded by is refused in words, and nothing is written", async () => {
  const refuse = async (definition: object) =>
    (await refused(saveScheme, here.boss, { projectId: here.w.projectId, baseNumber: 1, decimals: 1, ...definition }))
      .message;
  const one = (more: object) => ({ components: [{ key: "a", name: "A", weight: "100", source: entered, ...more }] });
  expect(await refuse(one({ depth: 1 }))).toBe("A lies in no group.");
  expect(await refuse(one({ weight: "90" }))).toBe("The weights make 90, not 100.");
  expect(await refuse(one({ source: { kind: "milestone" } }))).toBe("A: choose the milestone.");
  const overall = {
    kind: "points",
    full: "10",
    measure: { overall: true },
    rule: { kind: "pass", points: "1", limit: "1" },
  };
  expect(await refuse(one({ source: overall }))).toContain("A: a place in the contest takes the rule by placing.");
  expect(await refuse({ ...one({ peer: true }), peers: { round: here.w.a, low: "0.9", high: "1.1" } })).toBe(
    "The rating that makes the peer factor is not here (any more).",
  );
  expect((await schemeOf(here.w.projectId))!.number).toBe(1);
});

test("what a scheme would do is told before it is saved; once published a change of grades says why", async () => {
  const [ada, ben] = here.w.students as [string, string];
  await save(tree());
  await marks(ada, { talk: "90", build: "90", own: "50" });
  await marks(ben, { talk: "70", build: "70", own: "70" });
  const heavier = await readScheme(db(), here.w.projectId, tree("80"));
  const { moves, mean } = await effectOf(here.w.projectId, TODAY, heavier);
  expect(moves).toEqual([expect.objectContaining({ id: ada, from: "74", to: "82", by: "8" })]);
  expect(mean).toEqual({ before: "72.0", after: "76.0" });

  await ok(publishGrades, here.boss, { projectId: here.w.projectId });
  const again = { projectId: here.w.projectId, baseNumber: 2, ...tree("80") };
  expect(await refused(saveScheme, here.boss, again)).toMatchObject({
    message: "Grades are published, and 1 grade would move: say why.",
    fields: { why: expect.any(String) },
  });
  await ok(saveScheme, here.boss, { ...again, why: "the team's part is what the client sees" });
  expect((await schemeOf(here.w.projectId))!.why).toBe("the team's part is what the client sees");
  // A change that moves nobody asks for no reason.
  await save({ ...tree("80"), decimals: 2 }, 3);
});

test("late by what was typed, with grace; an extension takes sessions off, is changed and taken back", async () => {
  const [ada] = here.w.students as [string];
  const late = { perSession: "10", grace: 1, floor: "50" };
  await save({ decimals: 1, components: [{ key: "talk", name: "Talk", weight: "100", source: entered, late }] });
  await marks(ada, { talk: "18 of 20 late 3 glue was wet" });
  expect((await gradeOf(ada)).grade).toBe("70");
  const extend = (version: number, sessions: number) => ({
    projectId: here.w.projectId,
    personId: ada,
    component: "talk",
    version,
    sessions,
    reason: "was ill",
  });
  await ok(extendDeadline, here.boss, extend(0, 1));
  expect((await gradeOf(ada)).grade).toBe("80");
  expect((await refused(extendDeadline, here.boss, extend(0, 2))).kind).toBe("conflict");
  await ok(extendDeadline, here.boss, extend(1, 2));
  expect((await gradeOf(ada)).grade).toBe("90");
  await ok(extendDeadline, here.boss, extend(2, 0));
  expect((await gradeOf(ada)).grade).toBe("70");
  expect(await db()`SELECT FROM extension`).toHaveLength(0);
});
