import type * as row from "../db/rows";
import "server-only";
import { hash, verify } from "@node-rs/argon2";
import { db, inTransaction, newId } from "@/platform/db/db";
import * as s from "./schema";

export async function schoolIsEmpty(): Promise<boolean> {
  return (await db()`SELECT FROM person WHERE password_hash IS NOT NULL LIMIT 1`).length === 0;
}

// Ten failures per account and two hundred per address in a quarter of an hour: a class behind one address still gets
// in.
const limits = [
  ["account", 10],
  ["address", 200],
] as const;

export type SignIn = { ok: true; personId: string } | { ok: false; message: string };

/**
 * Checks an email and password; attempts are counted and limited, and a wrong email takes as long as a wrong password.
 */
export async function signIn(emailTyped: string, password: string, address: string): Promise<SignIn> {
  const email = emailTyped.trim().toLowerCase();
  const keys = [`account:${email}`, `address:${address}`];
  const sql = db();
  await sql`DELETE FROM sign_in_attempt WHERE at < now() - interval '15 minutes'`;
  const counts = await sql<
    { key: row.SignInAttempt["key"]; n: number }[]
  >`SELECT key, count(*)::int AS n FROM sign_in_attempt WHERE key IN ${sql(keys)} GROUP BY key`;
  if (limits.some(([, most], i) => (counts.find((c) => c.key === keys[i])?.n ?? 0) >= most))
    return { ok: false, message: "Too many attempts. Wait a quarter of an hour, then try again." };
  const [person] = await sql<
    { id: row.Person["id"]; passwordHash: row.Person["passwordHash"] }[]
  >`SELECT id, password_hash FROM person WHERE email = ${email} AND erased_at IS NULL`;
  const right = await verify(person?.passwordHash ?? (await decoy()), password).catch(() => false);
  if (!person?.passwordHash || !right) {
    await sql`INSERT INTO sign_in_attempt (key) SELECT unnest(${keys}::text[])`;
    return {
      ok: false,
      message: "This email and password do not belong together. Check both; capitals count in the password.",
    };
  }
  return { ok: true, personId: person.id };
}

let decoyHash: Promise<string> | undefined;

const decoy = () => (decoyHash ??= hash("nobody"));

/** Makes the first instructor of an empty school, who also keeps it; a second call is refused. */
export async function createFirstInstructor(raw: unknown): Promise<SignIn> {
  const input = await s.firstInstructor.validate(raw);
  const passwordHash = await hash(input.password);
  return inTransaction(async (sql) => {
    await sql`LOCK TABLE person IN EXCLUSIVE MODE`;
    if ((await sql`SELECT FROM person WHERE password_hash IS NOT NULL LIMIT 1`).length)
      return { ok: false as const, message: "This school has its first instructor already. Sign in instead." };
    const id = newId();
    await sql`
      INSERT INTO person (id, name, email, password_hash, instructor, admin)
      VALUES (${id}, ${input.name}, ${input.email.toLowerCase()}, ${passwordHash}, true, true)
    `;
    await sql`
      INSERT INTO audit (id, actor_kind, actor_id, actor_name, act, subject_type, subject_id, label)
      VALUES (${newId()}, 'person', ${id}, ${input.name}, 'createFirstInstructor', 'person', ${id}, ${input.name})
    `;
    return { ok: true as const, personId: id };
  });
}
