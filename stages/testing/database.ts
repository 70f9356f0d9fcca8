import { randomUUID } from "node:crypto";
import postgres from "postgres";
import type { Actor } from "@/core/access/can";
import { type Command, execute } from "@/platform/command/command";
import type { Result } from "@/platform/command/result";
import { closeDb } from "@/platform/db/db";

const admin = process.env.DATABASE_URL!;

/** Points this test file at a fresh copy of the migrated template. */
export async function freshDatabase(): Promise<() => Promise<void>> {
  process.env.IRONSTONE_TODAY = "2027-03-02";
  const name = `t_${randomUUID().replaceAll("-", "")}`;
  const root = postgres(admin, { max: 1, onnotice: () => {} });
  // Copies of one template wait for each other.
  await root`SELECT pg_advisory_lock(99)`;
  await root.unsafe(`CREATE DATABASE ${name} TEMPLATE ironstone_template`);
  await root`SELECT pg_advisory_unlock(99)`;
  const url = new URL(admin);
  url.pathname = `/${name}`;
  process.env.DATABASE_URL = url.toString();
  return async () => {
    await closeDb();
    await root.unsafe(`DROP DATABASE ${name} WITH (FORCE)`);
    await root.end();
  };
}

/** Runs a command that must succeed. */
export async function ok<I, O>(cmd: Command<I, O>, actor: Actor, input: unknown, requestId?: string): Promise<O> {
  const r = await execute(cmd, actor, input, requestId);
  if (!r.ok) throw new Error(`${cmd.name}: ${r.kind}, ${r.message}`);
  return r.value;
}

/** The failure of a command that must fail, with these words where some are given. */
export async function refused<I, O>(
  cmd: Command<I, O>,
  actor: Actor,
  input: unknown,
  says?: RegExp,
): Promise<Exclude<Result<O>, { ok: true }>> {
  const r = await execute(cmd, actor, input);
  if (r.ok) throw new Error(`${cmd.name} went through`);
  if (says) expect(JSON.stringify(r)).toMatch(says);
  return r;
}
