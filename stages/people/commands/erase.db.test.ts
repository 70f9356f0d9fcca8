import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { notesOf } from "@/stages/needs/queries/notes";
import { writeEntry } from "@/stages/notebook/commands";
import { entriesOf } from "@/stages/notebook/queries";
import { tables } from "@/stages/tables";
import { ok } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { studentsOf } from "../queries/students";
import { eraseStudent } from "./erase";
import { importRoster } from "./roster";

let done: () => Promise<void>;
let boss: Actor;
let mate: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, mate, w } = await openClass());
});
afterAll(() => done());

test("an erased student's name stands in no table any more, and what the class did stays", async () => {
  const [name, me] = [(mate as { name: string }).name, w.students[0]!];
  const anywhere = async () => {
    const out: string[] = [];
    for (const t of tables) {
      const [r] = await db().unsafe<{ n: number }[]>(
        `SELECT count(*)::int AS n FROM ${t.name} x WHERE to_jsonb(x)::text LIKE $1`,
        [`%${name}%`],
      );
      if (r!.n) out.push(t.name);
    }
    return out;
  };
  expect((await anywhere()).length).toBeGreaterThan(5);
  const before = (await notesOf(w.projectId)).length;
  await ok(eraseStudent, boss, { projectId: w.projectId, personId: me, confirm: name });
  expect(await anywhere()).toEqual([]);
  const [notes, entries, own] = [
    await notesOf(w.projectId),
    await entriesOf(w.projectId, { personId: me }),
    await db()`
      SELECT
      FROM wish
      WHERE person_id = ${me}
      UNION ALL
      SELECT
      FROM trait
      WHERE person_id = ${me}
      UNION ALL
      SELECT
      FROM tool_sign_off
      WHERE person_id = ${me}
    `,
  ];
  expect([notes.length, notes.some((n) => n.author === "erased student"), entries.length, own.length]).toEqual([
    before,
    true,
    0,
    0,
  ]);
});

test("a name that is a word takes nothing else with it, and what people wrote is named, not rewritten", async () => {
  await ok(importRoster, boss, { projectId: w.projectId, rows: [{ name: "Q", section: "3" }] });
  const [q] = (await studentsOf(w.projectId)).filter((x) => x.name === "Q");
  await ok(writeEntry, await actorOf(w.students[1]!), {
    id: randomUUID(),
    projectId: w.projectId,
    personId: w.students[1],
    text: "Q and I glued the seal.",
  });
  const [before] = await db()`SELECT definition FROM protocol_version`;
  const schemes = await db()`SELECT definition FROM scheme_version`;
  const { mentions } = await ok(eraseStudent, boss, { projectId: w.projectId, personId: q!.id, confirm: "Q" });
  expect(mentions).toContainEqual({ table: "notebook_version", column: "text", n: 1 });
  expect(await db()`SELECT definition FROM protocol_version`).toEqual([before]);
  expect(await db()`SELECT definition FROM scheme_version`).toEqual(schemes);
  expect(
    (await entriesOf(w.projectId, { personId: w.students[1]! })).some((e) => JSON.stringify(e).includes("Q and I")),
  ).toBe(true);
});

test("where somebody else has the same name, it stays theirs", async () => {
  const twins = [1, 2].map(() => ({ name: "Uma Reyes", section: "3" }));
  await ok(importRoster, boss, { projectId: w.projectId, rows: [twins[0]!] });
  const [first] = (await studentsOf(w.projectId)).filter((x) => x.name === "Uma Reyes");
  const second = randomUUID();
  await db()`INSERT INTO person (id, name) VALUES (${second}, 'Uma Reyes')`;
  await db()`INSERT INTO enrolment (id, person_id, section_id) VALUES (${randomUUID()}, ${second}, ${w.section})`;
  await db()`UPDATE run SET recorded_by = 'Uma Reyes'`;
  await ok(eraseStudent, boss, { projectId: w.projectId, personId: first!.id, confirm: "Uma Reyes" });
  expect(await db()`SELECT DISTINCT recorded_by FROM run`).toEqual([{ recordedBy: "Uma Reyes" }]);
  await ok(eraseStudent, boss, { projectId: w.projectId, personId: second, confirm: "Uma Reyes" });
  expect(await db()`SELECT DISTINCT recorded_by FROM run`).toEqual([{ recordedBy: "erased student" }]);
});
