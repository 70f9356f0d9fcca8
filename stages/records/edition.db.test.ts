import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { questionsOf } from "@/stages/needs/queries/questions";
import { toolsOf } from "@/stages/shop/queries";
import { firstInstructor, freshDatabase, makeProject, ok, type World } from "@/stages/testing/school";
import { createEdition } from "./commands";

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

test("the next edition carries the schools, the tools and the questions over", async () => {
  const { projectId } = await ok(createEdition, boss, {
    projectId: w.projectId,
    title: "Front, next",
    startsOn: "2028-01-17",
    endsOn: "2028-03-24",
  });
  expect((await toolsOf(projectId)).map((t) => [t.name, t.signed.length])).toEqual([["Drill press", 0]]);
  expect((await questionsOf(projectId)).map((q) => q.text)).toEqual(["What may it weigh?"]);
});
