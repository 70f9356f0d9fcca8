// People who press at the same moment: each command against itself, and the pairs that undid each other.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { execute } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { commands } from "@/stages/commands";
import { ok } from "@/stages/testing/database";
import { table } from "@/stages/testing/matrix";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { enterMarks } from "./grades/commands/marks";
import { saveScheme } from "./grades/commands/scheme";
import { mergeStatements } from "./needs/commands/statements";
import { importRoster } from "./people/commands/roster";
import { studentsOf } from "./people/queries/students";

let done: () => Promise<void>;
let boss: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, w } = await openClass());
});
afterAll(() => done());

const atOnce = <T>(n: number, work: (i: number) => Promise<T>) =>
  Promise.all(Array.from({ length: n }, (_, i) => work(i)));

test("a roster that is sent ten times at once makes its people once", async () => {
  const rows = ["Ann One", "Bea Two", "Cid Three", "Dee Four", "Eve Five"].map((name) => ({ name, section: "3" }));
  const before = (await studentsOf(w.projectId)).length;
  await atOnce(10, () => execute(importRoster, boss, { projectId: w.projectId, rows }));
  expect((await studentsOf(w.projectId)).length).toBe(before + 5);
});

test("of ten first marks that were opened at the same version, one is kept and nine are asked", async () => {
  await ok(saveScheme, boss, {
    projectId: w.projectId,
    baseNumber: 1,
    decimals: 1,
    components: [{ key: "n", name: "Notebook", weight: "100", source: { kind: "entered" } }],
  });
  const mark = (percent: number) =>
    execute(enterMarks, boss, {
      projectId: w.projectId,
      marks: [{ personId: w.students[0], component: "n", version: 0, typed: String(percent) }],
    });
  const answers = await atOnce(10, (i) => mark(50 + i));
  expect(answers.filter((a) => a.ok)).toHaveLength(1);
  expect(answers.filter((a) => !a.ok && a.kind === "conflict")).toHaveLength(9);
});

test("two statements merged into each other at once do not both vanish", async () => {
  await Promise.all([
    execute(mergeStatements, boss, { projectId: w.projectId, into: w.statement, from: [w.statement2] }),
    execute(mergeStatements, boss, { projectId: w.projectId, into: w.statement2, from: [w.statement] }),
  ]);
  const left = await db()`
    SELECT FROM statement WHERE id = ANY(${[w.statement, w.statement2]}::uuid[]) AND merged_into IS NULL
  `;
  expect(left).toHaveLength(1);
});

test.each(Object.keys(table))("%s against itself: each answer is a saved one or a reason", async (name) => {
  const input = table[name]!.input(w);
  const count = async () => (await db()`SELECT count(*)::int AS n FROM audit WHERE act = ${name}`)[0]!.n as number;
  const before = await count();
  const answers = await atOnce(3, () => execute(commands[name]!, boss, input, randomUUID()));
  for (const a of answers)
    if (!a.ok) expect([a.kind, a.message]).toEqual([expect.not.stringMatching(/failed|unknown/), a.message]);
  const saved = answers.filter((a) => a.ok).length;
  expect((await count()) - before >= saved).toBe(true);
  if (saved === 0) expect(await count()).toBe(before);
});
