import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { firstInstructor, freshDatabase, makeProject, ok, type World } from "@/stages/testing/school";
import { importRoster, previewRoster } from "./roster";

let done: () => Promise<void>;

let boss: Actor;

let mate: Actor;

let other: Actor;

let w: World;

let client: Actor;

beforeAll(async () => {
  done = await freshDatabase();
  const owner = await firstInstructor();
  w = await makeProject(owner, "Front");
  boss = await actorOf(owner.id);
  [mate, other] = [await actorOf(w.students[0]!), await actorOf(w.students[1]!)];
  client = { kind: "guest", id: randomUUID(), name: "Odile", role: "client", project: w.projectId };
  await db()`
    INSERT INTO guest_link (id, project_id, role, label, secret_hash, expires_at)
    VALUES (${client.id}, ${w.projectId}, 'client', 'Odile', 'x', now() + interval '1 day')
  `;
});

afterAll(() => done());

test("a roster of 1,500 rows comes in; wrong rows are named by their line", async () => {
  const row = (i: number) => `Student ${i},3,s${i}@roster.example`;
  const rows = Array.from({ length: 1500 }, (_, i) => row(i));
  const bad = await ok(previewRoster, boss, {
    projectId: w.projectId,
    text: ["Name,Section,Email", ...rows.map((r, i) => (i === 700 ? "Student 700,9,x" : r))].join("\n"),
  });
  expect([bad.problems.length > 0, bad.problems.every((p) => JSON.stringify(p).includes("702"))]).toEqual([true, true]);
  const good = await ok(previewRoster, boss, {
    projectId: w.projectId,
    text: ["Name,Section,Email", ...rows].join("\n"),
  });
  expect((await ok(importRoster, boss, { projectId: w.projectId, rows: good.rows })).added).toBe(1500);
});
