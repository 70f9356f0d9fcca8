import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { createFirstInstructor } from "@/platform/sign-in/sign-in";
import { freshDatabase, templateOf } from "./database";
import { makeProject, type World } from "./world";

/** The first instructor of an empty school. */
export async function firstInstructor(): Promise<Extract<Actor, { kind: "person" }>> {
  const r = await createFirstInstructor({
    name: "Mara Okonedo",
    email: "mara@hartsedge.example",
    password: "a long enough password",
  });
  if (!r.ok) throw new Error(r.message);
  return (await actorOf(r.personId)) as Extract<Actor, { kind: "person" }>;
}

const ofClasses = "ironstone_class";

async function makeClass(): Promise<{ owner: string; guest: string; w: World }> {
  const owner = await firstInstructor();
  const w = await makeProject(owner, "Front");
  const guest = randomUUID();
  await db()`
    INSERT INTO guest_link (id, project_id, role, label, secret_hash, expires_at)
    VALUES (${guest}, ${w.projectId}, 'client', 'Odile', 'x', now() + interval '1 day')
  `;
  return { owner: owner.id, guest, w };
}

/** A school of its own for a test file: an instructor, a project, two students of different teams, and the client. */
export async function openClass(): Promise<{
  done: () => Promise<void>;
  boss: Actor;
  mate: Actor;
  other: Actor;
  client: Extract<Actor, { kind: "guest" }>;
  w: World;
}> {
  const { owner, guest, w } = await templateOf(ofClasses, makeClass);
  const done = await freshDatabase(ofClasses);
  const client = { kind: "guest", id: guest, name: "Odile", role: "client", project: w.projectId } as const;
  const [boss, mate, other] = [await actorOf(owner), await actorOf(w.students[0]!), await actorOf(w.students[1]!)];
  return { done, boss, mate, other, client, w };
}
