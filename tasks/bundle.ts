// export, import, backup and restore from the command line; schema writes the bundle's JSON Schema.
import { readFileSync, writeFileSync } from "node:fs";
import { importProject, restoreSchool } from "@/platform/bundle/bundle";
import { checkBackup } from "@/platform/bundle/check";
import { BundleError } from "@/platform/bundle/open";
import { backupSchool, exportProject } from "@/platform/bundle/pack";
import { bundleSchema } from "@/platform/bundle/schema";
import { closeDb, db } from "@/platform/db/db";
import { tables } from "@/stages/tables";

async function main([verb, ...args]: string[]): Promise<void> {
  const sql = db();
  if (verb === "export") {
    const [slug, file] = args as [string, string];
    const [p] = await sql<{ id: string }[]>`SELECT id FROM project WHERE slug = ${slug}`;
    if (!p) {
      const all = await sql<{ slug: string }[]>`SELECT slug FROM project ORDER BY slug`;
      throw new BundleError(`There is no project “${slug}”. There is: ${all.map((x) => x.slug).join(", ") || "none"}.`);
    }
    writeFileSync(file, await exportProject(tables, p.id));
    console.log(`Wrote ${file}`);
  } else if (verb === "import") {
    const [admin] = await sql<{ id: string }[]>`SELECT id FROM person WHERE admin LIMIT 1`;
    const p = await importProject(tables, readFileSync(args[0]!), admin?.id ?? null);
    console.log(`Imported ${p.title} as ${p.slug}`);
  } else if (verb === "backup") {
    const bytes = await backupSchool(tables);
    writeFileSync(args[0]!, bytes, { mode: 0o600 });
    const checked = await checkBackup(tables, bytes);
    console.log(
      `Wrote ${args[0]}. ${checked.ok ? "Restored into a second database, it gives the same." : checked.message}`,
    );
    if (!checked.ok) process.exitCode = 2;
  } else if (verb === "restore") {
    await restoreSchool(tables, readFileSync(args[0]!));
    console.log("Restored. Everybody must sign in again.");
  } else if (verb === "schema") {
    writeFileSync(args[0]!, `${JSON.stringify(await bundleSchema(tables), null, 2)}\n`);
    console.log(`Wrote ${args[0]}`);
  }
}

main(process.argv.slice(2))
  .catch((error) => {
    console.error(error instanceof BundleError ? error.message : error);
    process.exitCode = 1;
  })
  .finally(closeDb);
