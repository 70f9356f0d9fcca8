import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { createFirstInstructor } from "@/platform/sign-in/sign-in";
import { freshDatabase } from "./database";
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

/** A school of its own for a test file: an instructor, a project, two students of different teams, and the client. */
export async function openClass(): Promise<{
  done: () => Promise<void>;
  boss: Actor;
  mate: Actor;
  other: Actor;
  client: Extract<Actor, { kind: "guest" }>;
  w: World;
}> {
  const done = await freshDatabase();
  const owner = await firstInstructor();
  const w = await makeProject(owner, "Front");
  const client = { kind: "guest", id: randomUUID(), name: "Odile", role: "client", project: w.projectId } as const;
  await db()`
    INSERT INTO guest_link (id, project_id, role, label, secret_hash, expires_at)
    VALUES (${client.id}, ${w.projectId}, 'client', 'Odile', 'x', now() + interval '1 day')
  `;
  const [boss, mate, other] = [await actorOf(owner.id), await actorOf(w.students[0]!), await actorOf(w.students[1]!)];
  return { done, boss, mate, other, client, w };
}
