import { guestPin } from "@/core/access/guests";
import type * as row from "@/platform/db/rows";
import "server-only";
import { randomInt } from "node:crypto";
import { hash } from "@node-rs/argon2";
import { command, projectOf, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { digest, firstPassword, newSecret } from "@/platform/sign-in/secrets";
import { guestActs, staffActs } from "../acts";
import * as s from "../schema";

/** Adds a co-instructor; a person new to the school gets a first password, shown once. */
export const addCoInstructor = command({
  name: "addCoInstructor",
  shownOnce: true,
  act: staffActs.manage,
  schema: s.coInstructor,
  subject: (_, i) => ({ project: i.projectId }),
  prepare: firstPassword,
  async run({ sql, audit }, input, first): Promise<{ password: string | null }> {
    const email = input.email.toLowerCase();
    const [known] = await sql<
      { id: row.Person["id"]; instructor: row.Person["instructor"] }[]
    >`SELECT id, instructor FROM person WHERE email = ${email}`;
    if (known && !known.instructor) refuse("This email address belongs to a student.", "email");
    const password = known ? null : first.password;
    const id = known?.id ?? newId();
    if (password)
      await sql`
        INSERT INTO person (id, name, email, password_hash, instructor)
        VALUES (${id}, ${input.name}, ${email}, ${first.passwordHash}, true)
      `;
    await sql`INSERT INTO staff (project_id, person_id, role) VALUES (${input.projectId}, ${id}, 'co')`;
    audit({ type: "staff", id, label: input.name, after: { role: "co-instructor" } });
    return { password };
  },
});

/** Makes a guest link: its secret (and PIN for judges and scorers) is shown once and stored as a hash. */
export const createGuestLink = command({
  name: "createGuestLink",
  afterFinish: true,
  shownOnce: true,
  act: guestActs.manage,
  schema: s.guestLink,
  subject: (_, i) => ({ project: i.projectId }),
  async prepare(input) {
    const pin = guestPin[input.role] ? String(randomInt(100_000, 1_000_000)) : null;
    return { pin, pinHash: pin && (await hash(pin)) };
  },
  async run({ sql, audit }, input, { pin, pinHash }): Promise<{ secret: string; pin: string | null }> {
    const secret = newSecret();
    const id = newId();
    await sql`
      INSERT INTO guest_link (id, project_id, role, label, secret_hash, pin_hash, expires_at)
      VALUES (
        ${id}, ${input.projectId}, ${input.role}, ${input.label}, ${digest(secret)}, ${pinHash},
        now() + make_interval(days => ${input.days})
      )
    `;
    audit({ type: "guest link", id, label: `${input.label} (${input.role})` });
    return { secret, pin };
  },
});

export const revokeGuestLink = command({
  name: "revokeGuestLink",
  afterFinish: true,
  act: guestActs.manage,
  schema: s.guestLinkId,
  subject: (sql, i) => projectOf(sql, "guest_link", i.id),
  async run({ sql, audit }, input) {
    const [g] = await sql<{ label: row.GuestLink["label"] }[]>`
      UPDATE guest_link
      SET revoked_at = coalesce(revoked_at, now()), version = version + 1
      WHERE id = ${input.id}
      RETURNING label
    `;
    audit({ type: "guest link", id: input.id, label: g?.label, after: { revoked: true } });
  },
});
