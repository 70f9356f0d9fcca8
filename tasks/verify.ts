// Computes every kept value anew from the facts and names what differs.
import { closeDb, db } from "@/platform/db/db";
import { verifyStandings } from "@/stages/contest/queries/standings";
import { verifyProject } from "@/stages/needs/queries/verify";

async function main(): Promise<void> {
  const projects = await db()<{ id: string; title: string }[]>`SELECT id, title FROM project ORDER BY title`;
  let [compared, wrong] = [0, 0];
  for (const p of projects) {
    const found = [await verifyProject(p.id, p.title), await verifyStandings(p.id, p.title)];
    compared += found.reduce((n, f) => n + f.compared, 0);
    const differ = found.flatMap((f) => f.wrong);
    wrong += differ.length;
    for (const d of differ) console.log(`${d.project}: ${d.what}: kept ${d.kept}, computed ${d.computed}`);
  }
  console.log(`${compared} kept values of ${projects.length} projects computed anew: ${wrong} differ`);
  if (wrong) process.exitCode = 1;
}

main()
  .catch((error) => {
    console.error(error);
    process.exitCode = 1;
  })
  .finally(closeDb);
