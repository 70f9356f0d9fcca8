import type * as row from "../db/rows";
import "server-only";
import { db } from "@/platform/db/db";
import { digest, newSecret } from "./secrets";

const sessionDays = 14;

export async function openSession(personId: string): Promise<{ secret: string; maxAge: number }> {
  const secret = newSecret();
  await db()`DELETE FROM session_token WHERE expires_at < now()`;
  await db()`DELETE FROM request_done WHERE at < now() - interval '7 days'`;
  await db()`
    INSERT INTO session_token (hash, person_id, expires_at)
    VALUES (${digest(secret)}, ${personId}, now() + make_interval(days => ${sessionDays}))
  `;
  return { secret, maxAge: sessionDays * 86_400 };
}

export async function personOfSession(secret: string): Promise<string | null> {
  const [row] = await db()<
    { personId: row.SessionToken["personId"] }[]
  >`SELECT person_id FROM session_token WHERE hash = ${digest(secret)} AND expires_at > now()`;
  return row?.personId ?? null;
}

export async function closeSession(secret: string): Promise<void> {
  await db()`DELETE FROM session_token WHERE hash = ${digest(secret)}`;
}
