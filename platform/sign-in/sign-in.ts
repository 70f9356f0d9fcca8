import type * as row from "../db/rows";
import "server-only";
import { hash, verify } from "@node-rs/argon2";
import { db, inTransaction, newId } from "@/platform/db/db";
import { account, address, knockAt, waitWords, wasRight } from "./guess";
import * as s from "./schema";

export async function schoolIsEmpty(): Promise<boolean> {
  return (await db()`SELECT FROM person WHERE password_hash IS NOT NULL LIMIT 1`).length === 0;
}

export type SignIn = { ok: true; personId: string } | { ok: false; message: string };

/** No password is longer: a longer text is not hashed. */
const longest = 200;

/**
 * Checks an email or sign-in name and a password; guesses are counted before they are looked at and slowed down, and a
 * wrong name takes as long as a wrong password.
 */
export async function signIn(typed: string, password: string, from: string): Promise<SignIn> {
  const name = typed.trim().toLowerCase().slice(0, longest);
  const [own, shared] = [account(name), address(from)];
  for (const door of [shared, own]) {
    const wait = await knockAt(door);
    if (wait) return { ok: false, message: waitWords(wait) };
  }
  const [person] = await db()<{ id: row.Person["id"]; passwordHash: row.Person["passwordHash"] }[]>`
    SELECT id, password_hash
    FROM person
    WHERE (email = ${name} OR login_name = ${name}) AND erased_at IS NULL
    ORDER BY email = ${name} DESC NULLS LAST
    LIMIT 1
  `;
  const right =
    password.length <= longest && (await verify(person?.passwordHash ?? (await decoy()), password).catch(() => false));
  if (!person?.passwordHash || !right)
    return {
      ok: false,
      message: "This name and password do not belong together. Check both; capitals count in the password.",
    };
  await wasRight(own, shared);
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
