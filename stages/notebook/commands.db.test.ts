import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { firstInstructor, freshDatabase, makeProject, ok, refused, type World } from "@/stages/testing/school";
import { amendEntry, writeEntry } from "./commands";
import { entriesOf } from "./queries";

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

test("a notebook entry keeps its first writing beside every amendment", async () => {
  await ok(amendEntry, mate, {
    id: w.entryOfNotebook,
    version: 1,
    text: "The seal leaked at the top.",
    reason: "looked again",
  });
  const [e] = await entriesOf(w.projectId, w.students[0]!);
  expect(e!.versions.map((v) => [v.text, v.reason])).toEqual([
    ["The seal leaked.", ""],
    ["The seal leaked at the top.", "looked again"],
  ]);
  expect((await refused(amendEntry, mate, { id: w.entryOfNotebook, version: 1, text: "x", reason: "y" })).kind).toBe(
    "conflict",
  );
  expect(
    (
      await refused(writeEntry, other, {
        id: w.entryOfNotebook,
        projectId: w.projectId,
        personId: w.students[1],
        text: "mine now",
      })
    ).kind,
  ).toBe("missing");
});
