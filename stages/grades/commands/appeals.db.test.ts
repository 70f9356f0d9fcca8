// Appeals and versions that are taken back, against the database.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { ok, refused } from "@/stages/testing/database";
import { worldEach } from "@/stages/testing/world-each";
import { appealsOf } from "../queries/appeals";
import { publicationsOf, publishedTo } from "../queries/publications";
import { answerAppeal, fileAppeal } from "./appeals";
import { enterMarks } from "./marks";
import { publishGrades, takeBackPublication } from "./publish";
import { saveScheme } from "./scheme";

const here = worldEach("Appeals");
let ada: string;
let ben: string;
let mate: Actor;
let published: string;
const enter = (personId: string, version: number, typed: string) =>
  ok(enterMarks, here.boss, {
    projectId: here.w.projectId,
    marks: [{ personId, component: "talk", version, typed }],
  });
beforeEach(async () => {
  const { projectId } = here.w;
  [ada, ben] = here.w.students as [string, string];
  mate = (await actorOf(ada)) as Actor;
  const components = [{ key: "talk", name: "Talk", weight: "100", source: { kind: "entered" } }];
  await ok(saveScheme, here.boss, { projectId, baseNumber: 1, decimals: 1, components });
  await enter(ada, 0, "80");
  await ok(publishGrades, here.boss, { projectId });
  published = (await publicationsOf(projectId))[0]!.id;
});
const ask = (more: object = {}) => ({
  id: randomUUID(),
  publicationId: published,
  component: "talk",
  words: "I held the last part alone.",
  ...more,
});

test("a student asks once about the own published grade, and reads the answer; sent twice it counts once", async () => {
  const sent = ask();
  await ok(fileAppeal, mate, sent);
  expect((await refused(fileAppeal, mate, ask())).message).toContain("You have asked already");
  const [a] = await appealsOf(here.w.projectId, ada);
  expect(a).toMatchObject({ words: sent.words, outcome: null, number: 1 });
  expect(await appealsOf(here.w.projectId, ben)).toEqual([]);
  await ok(answerAppeal, here.boss, { id: a!.id, version: 1, outcome: "changed", answer: "You are right." });
  expect(
    (await refused(answerAppeal, here.boss, { id: a!.id, version: 1, outcome: "stands", answer: "No" })).kind,
  ).toBe("conflict");
  await ok(answerAppeal, here.boss, { id: a!.id, version: 2, outcome: "stands", answer: "Heard again." });
  expect((await appealsOf(here.w.projectId, ada))[0]).toMatchObject({ outcome: "stands", answer: "Heard again." });
  // Answered, it can be asked about something else.
  await ok(fileAppeal, mate, ask({ component: "" }));
});

test("nobody asks about another's grade, an unknown component or a version that was taken back", async () => {
  expect((await refused(fileAppeal, mate, ask({ component: "nothing" }))).message).toContain(
    "is not part of your grade",
  );
  const outside = (await actorOf(here.w.students.at(-1)!)) as Actor;
  await db()`UPDATE publication SET ledger = jsonb_path_query_array(ledger, '$[*] ? (@.name == "nobody")')`;
  expect((await refused(fileAppeal, outside, ask())).message).toContain("does not hold your grade");
  await ok(takeBackPublication, here.boss, { id: published, version: 1, reason: "Wrong weights" });
  expect((await refused(fileAppeal, mate, ask())).kind).toBe("missing");
  expect((await refused(fileAppeal, here.boss, ask())).kind).toBe("forbidden");
});

test("a version that is taken back stays with its reason; students read the one before until a new one", async () => {
  const { projectId } = here.w;
  await enter(ada, 1, "90");
  await ok(publishGrades, here.boss, { projectId, whatChanged: "heard again" });
  const second = (await publicationsOf(projectId))[0]!;
  await ok(takeBackPublication, here.boss, { id: second.id, version: 1, reason: "Typed into the wrong row" });
  const [two, one] = await publishedTo(projectId, ada);
  expect([two!.line.grade, two!.withdrawnReason, one!.line.grade, one!.withdrawnAt]).toEqual([
    "90",
    "Typed into the wrong row",
    "80",
    null,
  ]);
  expect((await refused(takeBackPublication, here.boss, { id: second.id, version: 2, reason: "x" })).message).toContain(
    "withdrawn already",
  );
  await ok(publishGrades, here.boss, { projectId, whatChanged: "heard again" });
  expect((await publicationsOf(projectId)).map((p) => p.number)).toEqual([3, 2, 1]);
});

test("what is published holds the facts that the grade is computed from, and its arithmetic", async () => {
  const [line] = (await publicationsOf(here.w.projectId))[0]!.ledger.filter((l) => l.personId === ada);
  expect(line!.facts).toEqual([{ key: "talk", state: "scored", share: "0.8", late: 0, override: null }]);
  expect(line!.components[0]).toMatchObject({ key: "talk", percent: "80", working: { rule: "Entered by hand." } });
});
