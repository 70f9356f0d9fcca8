// Fills the demo when the database is empty; --fresh empties it first, --contest-day opens it on its contest's day.
import { fillDemo } from "@/demo/fill";
import { emptySchool } from "@/platform/bundle/bundle";
import { closeDb, db } from "@/platform/db/db";
import { tables } from "@/stages/tables";

process.env.IRONSTONE_POOL = "1"; // the demo's clock is set on its one connection

async function main(): Promise<void> {
  const sql = db();
  if (process.argv.includes("--fresh")) await emptySchool(sql, tables);
  if ((await sql`SELECT FROM person LIMIT 1`).length) return;
  console.log("· Filling in the demo (about half a minute)");
  await fillDemo(process.argv.includes("--contest-day"));
}

main()
  .catch((error) => {
    console.error(error);
    process.exitCode = 1;
  })
  .finally(closeDb);
