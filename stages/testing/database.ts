import { randomUUID } from "node:crypto";
import postgres from "postgres";
import type { Actor } from "@/core/access/can";
import { type Command, execute } from "@/platform/command/command";
import type { Result } from "@/platform/command/result";
import { closeDb } from "@/platform/db/db";

const admin = process.env.DATABASE_URL!;

const emptySchool = "ironstone_template";

/** Points this test file at a database of the tests' cluster. */
function use(name: string): void {
  process.env.IRONSTONE_TODAY = "2027-03-02";
  const url = new URL(admin);
  url.pathname = `/${name}`;
  process.env.DATABASE_URL = url.toString();
}

/** Copies of one template wait for each other. */
async function copy(root: postgres.Sql, template: string, name: string): Promise<void> {
  await root`SELECT pg_advisory_lock(99)`;
  await root.unsafe(`CREATE DATABASE ${name} TEMPLATE ${template}`);
  await root`SELECT pg_advisory_unlock(99)`;
}

/**
 * What a template holds, made by the first test file that asks for it; the others wait and read what was made.
 * @param make fills the database that the test file is pointed at, and gives what the others need to know of it
 */
export async function templateOf<T>(name: string, make: () => Promise<T>): Promise<T> {
  const root = postgres(admin, { max: 1, onnotice: () => {} });
  const known = async () =>
    (
      await root<{ told: T | null }[]>`
        SELECT shobj_description(oid, 'pg_database')::jsonb AS told FROM pg_database WHERE datname = ${name}
      `
    )[0]?.told;
  try {
    await root`SELECT pg_advisory_lock(98)`;
    const before = await known();
    if (before) return before;
    const making = `${name}_making`;
    await root.unsafe(`DROP DATABASE IF EXISTS ${making} WITH (FORCE)`);
    await copy(root, emptySchool, making);
    use(making);
    const made = await make();
    await closeDb();
    await root.unsafe(`ALTER DATABASE ${making} RENAME TO ${name}`);
    await root.unsafe(`COMMENT ON DATABASE ${name} IS '${JSON.stringify(made).replaceAll("'", "''")}'`);
    return made;
  } finally {
    await root.end();
  }
}

/** Points this test file at a fresh copy of a template: the migrated one without a school in it, or another. */
export async function freshDatabase(template = emptySchool): Promise<() => Promise<void>> {
  const name = `t_${randomUUID().replaceAll("-", "")}`;
  const root = postgres(admin, { max: 1, onnotice: () => {} });
  await copy(root, template, name);
  use(name);
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
