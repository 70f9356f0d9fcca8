import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import postgres from "postgres";
import type * as row from "./rows";

const folder = join(process.cwd(), "platform", "db", "migrations");

/** The database has been brought further than this program knows. */
export class NewerDatabase extends Error {
  constructor(names: readonly string[]) {
    super(
      `This database was used by a newer Ironstone (${names.join(", ")}), which this one would misread. ` +
        "Start the newer one, or restore a backup that this one made. Nothing was changed.",
    );
  }
}

/**
 * Runs the numbered migrations that this database has not seen, each in a transaction of its own. Gives the names of
 * those it ran. Throws `NewerDatabase` where a newer program was here before.
 */
export async function migrate(url: string): Promise<string[]> {
  const sql = postgres(url, { max: 1, onnotice: () => {} });
  try {
    await sql`SELECT pg_advisory_lock(714023)`;
    await sql`CREATE TABLE IF NOT EXISTS migration (name text PRIMARY KEY, at timestamptz NOT NULL DEFAULT now())`;
    const known = new Set(
      (await sql<{ name: row.Migration["name"] }[]>`SELECT name FROM migration`).map((r) => r.name),
    );
    const names = readdirSync(folder)
      .filter((f) => f.endsWith(".sql"))
      .sort();
    const strange = [...known].filter((n) => !names.includes(n));
    if (strange.length) throw new NewerDatabase(strange);
    const ran: string[] = [];
    for (const name of names) {
      if (known.has(name)) continue;
      await sql.begin(async (tx) => {
        await tx.unsafe(readFileSync(join(folder, name), "utf8"));
        await tx`INSERT INTO migration (name) VALUES (${name})`;
      });
      ran.push(name);
    }
    return ran;
  } finally {
    await sql.end();
  }
}
