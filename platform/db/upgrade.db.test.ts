// A school of an earlier schema, with data in it, comes up to the present one: nothing of it is lost or changed.
import { randomUUID } from "node:crypto";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import postgres from "postgres";
import type { Actor } from "@/core/access/can";
import { columnsOf, inOrder } from "@/platform/bundle/catalog";
import { backupSchool } from "@/platform/bundle/pack";
import { actorOf } from "@/platform/sign-in/actors";
import { scoreAttempt } from "@/stages/contest/commands/attempts";
import { eventsOf } from "@/stages/contest/queries/events";
import { verifyStandings } from "@/stages/contest/queries/standings";
import { projectState } from "@/stages/needs/queries/state";
import { verifyProject } from "@/stages/needs/queries/verify";
import { tables } from "@/stages/tables";
import { freshDatabase, ok } from "@/stages/testing/database";
import { inspected } from "@/stages/testing/inspected";
import { firstInstructor } from "@/stages/testing/school";
import { makeProject, type World } from "@/stages/testing/world";
import { inDatabase, type Tx } from "./db";
import { migrate } from "./migrate";

const folder = join(process.cwd(), "platform/db/migrations");
const migrations = readdirSync(folder)
  .filter((f) => f.endsWith(".sql"))
  .sort();
// Each with IRONSTONE_UPGRADES=all; otherwise every twelfth and the last three.
const every = process.env.IRONSTONE_UPGRADES === "all" ? 1 : 12;
const earlier = migrations.slice(0, -1).filter((_, i, all) => i % every === 0 || i >= all.length - 3);

let done: () => Promise<void>;
let boss: Actor;
let w: World;
let here: postgres.Sql;

beforeAll(async () => {
  done = await freshDatabase();
  boss = await firstInstructor();
  w = await makeProject(boss, "Kept");
  boss = await actorOf((boss as { id: string }).id);
  await inspected(boss, w.build);
  await ok(scoreAttempt, boss, { id: randomUUID(), entryId: w.entry, state: "valid", readings: { m: "8.6" } });
  here = postgres(process.env.DATABASE_URL!, { max: 1, onnotice: () => {} });
  // The schemas before matches could hold none.
  await here`DELETE FROM event WHERE format <> 'attempts'`;
  // Nor inspections of builds: what was decided of them stood in their entries.
  await here`ALTER TABLE inspection DISABLE TRIGGER USER`;
  await here`DELETE FROM inspection`;
});
afterAll(async () => {
  await here?.end();
  await done();
});

/** A database that an Ironstone of that time has made. */
async function databaseOf(last: string): Promise<{ url: string; sql: postgres.Sql; drop: () => Promise<void> }> {
  const url = new URL(process.env.DATABASE_URL!);
  url.pathname = `/u_${randomUUID().replaceAll("-", "")}`;
  await here.unsafe(`CREATE DATABASE ${url.pathname.slice(1)}`);
  const sql = postgres(url.toString(), { max: 1, onnotice: () => {} });
  await sql`CREATE TABLE migration (name text PRIMARY KEY, at timestamptz NOT NULL DEFAULT now())`;
  for (const name of migrations.slice(0, migrations.indexOf(last) + 1)) {
    await sql.unsafe(readFileSync(join(folder, name), "utf8"));
    await sql`INSERT INTO migration (name) VALUES (${name})`;
  }
  const drop = async () => {
    await sql.end();
    await here.unsafe(`DROP DATABASE ${url.pathname.slice(1)} WITH (FORCE)`);
  };
  return { url: url.toString(), sql, drop };
}

/** The rows of a table in these columns, as text. */
const rowsOf = async (sql: postgres.Sql, table: string, columns: readonly string[]) =>
  (
    await sql.unsafe<{ row: string }[]>(
      `SELECT to_jsonb(x)::text AS row FROM (SELECT ${columns.map((c) => `"${c}"`).join(", ")} FROM ${table}) x`,
    )
  )
    .map((r) => r.row)
    .sort();

test.each(earlier)("from %s: every row is there with every value, and the program works on it", async (last) => {
  const old = await databaseOf(last);
  try {
    const columns = await columnsOf(old.sql as unknown as Tx);
    const known = (await inOrder(old.sql as unknown as Tx, tables)).flatMap((t) => {
      const own = columns.filter((c) => c.table === t.name).map((c) => c.column);
      return own.length ? [{ name: t.name, columns: own }] : [];
    });
    await old.sql.begin(async (tx) => {
      for (const t of known) {
        const list = t.columns.map((c) => `"${c}"`).join(", ");
        const rows = await rowsOf(here, t.name, t.columns);
        if (rows.length)
          await tx.unsafe(
            `INSERT INTO ${t.name} (${list})
             SELECT ${list} FROM jsonb_populate_recordset(NULL::${t.name}, $1::text::jsonb)`,
            [`[${rows.join(",")}]`],
          );
      }
    });
    const before = await Promise.all(known.map((t) => rowsOf(old.sql, t.name, t.columns)));
    expect(before.reduce((n, r) => n + r.length, 0)).toBeGreaterThan(40);

    expect(await migrate(old.url)).toEqual(migrations.slice(migrations.indexOf(last) + 1));
    for (const [i, t] of known.entries())
      expect({ table: t.name, rows: await rowsOf(old.sql, t.name, t.columns) }).toEqual({
        table: t.name,
        rows: before[i],
      });
    await inDatabase(old.url, async () => {
      expect((await eventsOf(w.projectId))[0]!.standings[0]).toMatchObject({ name: "Alder", place: 1 });
      expect((await projectState(w.projectId)).summary(w.build, w.protocol, "m")?.counted).toBeGreaterThan(0);
      expect((await verifyProject(w.projectId, "Kept")).wrong).toEqual([]);
      expect((await verifyStandings(w.projectId, "Kept")).wrong).toEqual([]);
      expect((await backupSchool(tables)).length).toBeGreaterThan(1000);
    });
  } finally {
    await old.drop();
  }
});
