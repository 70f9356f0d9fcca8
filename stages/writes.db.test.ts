import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { auditOf } from "@/platform/audit/audit";
import { execute } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { createGuestLink } from "@/stages/people/commands/guests";
import { editProject } from "@/stages/plan/commands/projects";
import { ok, refused } from "@/stages/testing/database";
import type { World } from "@/stages/testing/world";
import { worldEach } from "@/stages/testing/world-each";

const here = worldEach("Pump");
let boss: Actor;
let w: World;
beforeEach(() => {
  ({ boss, w } = here);
});

describe("writes", () => {
  test("a repeated request has the effect of one, also when both arrive at once", async () => {
    const input = { projectId: w.projectId, title: "Twice", dueOn: "2027-03-03" };
    const id = randomUUID();
    const { saveMilestone } = await import("@/stages/plan/commands/milestones");
    const [a, b] = await Promise.all([
      execute(saveMilestone, boss, input, id),
      execute(saveMilestone, boss, input, id),
    ]);
    expect(a).toEqual(b);
    expect((await db()`SELECT FROM milestone WHERE project_id = ${w.projectId} AND title = 'Twice'`).length).toBe(1);
  });

  test("what is shown once is stored nowhere, not even for a retry", async () => {
    const input = { projectId: w.projectId, role: "scorer", label: "Gym", days: 2 };
    const id = randomUUID();
    const first = await execute(createGuestLink, boss, input, id);
    if (!first.ok) throw new Error(first.message);
    expect(await execute(createGuestLink, boss, input, id)).toMatchObject({
      ok: false,
      message: expect.stringContaining("shown only once"),
    });
    for (const { table } of await db()<{ table: string }[]>`
      SELECT relname AS table
      FROM pg_class
      JOIN pg_namespace n ON n.oid = relnamespace
      WHERE nspname = 'public' AND relkind = 'r'
    `)
      expect([
        table,
        (await db().unsafe(`SELECT 1 FROM ${table} x WHERE to_jsonb(x)::text LIKE '%${first.value.secret}%'`)).length,
      ]).toEqual([table, 0]);
  });

  test("a stale form gets both values and can be sent again over them", async () => {
    const input = {
      projectId: w.projectId,
      version: 1,
      title: "Theirs",
      kind: "both",
      startsOn: "2027-01-18",
      endsOn: "2027-03-26",
    };
    await ok(editProject, boss, input);
    const r = await refused(editProject, boss, { ...input, title: "Mine" });
    expect(r).toMatchObject({
      kind: "conflict",
      version: 2,
      fields: expect.arrayContaining([{ field: "title", label: "Title", yours: "Mine", theirs: "Theirs" }]),
    });
    await ok(editProject, boss, { ...input, title: "Mine", version: 2 });
  });

  test("every write leaves an audit row with who, before and after; a refused one leaves nothing", async () => {
    await ok(editProject, boss, {
      projectId: w.projectId,
      version: 1,
      title: "Renamed",
      kind: "client",
      startsOn: "2027-01-18",
      endsOn: "2027-03-26",
    });
    const [row] = await auditOf(w.projectId);
    expect(row).toMatchObject({
      act: "editProject",
      actorName: "Mara Okonedo",
      after: expect.objectContaining({ title: "Renamed" }),
      before: expect.objectContaining({ kind: "both" }),
    });
    const before = (await auditOf(w.projectId, { limit: 500 })).length;
    await refused(editProject, boss, {
      projectId: w.projectId,
      version: 2,
      title: "",
      kind: "client",
      startsOn: "2027-01-18",
      endsOn: "2027-01-01",
    });
    expect((await auditOf(w.projectId, { limit: 500 })).length).toBe(before);
  });

  test("errors name their fields", async () => {
    const r = await refused(editProject, boss, {
      projectId: w.projectId,
      version: 1,
      title: "",
      kind: "client",
      startsOn: "2027-01-18",
      endsOn: "2027-01-01",
    });
    expect(r).toMatchObject({
      kind: "invalid",
      fields: { title: "This is needed.", endsOn: "The last day is before the first day." },
    });
  });
});
