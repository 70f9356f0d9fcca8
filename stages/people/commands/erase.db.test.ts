import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { notesOf } from "@/stages/needs/queries/notes";
import { entriesOf } from "@/stages/notebook/queries";
import { tables } from "@/stages/tables";
import { ok } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { eraseStudent } from "./erase";

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
    await entriesOf(w.projectId, me),
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
