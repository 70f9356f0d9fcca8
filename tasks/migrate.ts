// Brings a database up to date; with --create, makes it first on the server that its address names.
import postgres from "postgres";
import { migrate, NewerDatabase } from "@/platform/db/migrate";

async function create(address: string): Promise<void> {
  const url = new URL(address);
  const name = decodeURIComponent(url.pathname.slice(1));
  url.pathname = "/postgres";
  const sql = postgres(url.toString(), { max: 1, onnotice: () => {} });
  try {
    if (!(await sql`SELECT FROM pg_database WHERE datname = ${name}`).length) await sql`CREATE DATABASE ${sql(name)}`;
  } finally {
    await sql.end();
  }
}

async function main(): Promise<void> {
  const url = process.env.DATABASE_URL!;
  if (process.argv.includes("--create")) await create(url);
  for (const n of await migrate(url)) console.log(`  ${n}`);
}

main().catch((error) => {
  console.error(error instanceof NewerDatabase ? error.message : error);
  process.exitCode = 1;
});
