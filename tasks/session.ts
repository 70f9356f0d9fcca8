// A session of the person who keeps the school, for the benchmark of the demo.
import { closeDb, db } from "@/data/db";
import { openSession } from "@/data/people";

async function main(): Promise<void> {
  const [admin] = await db()<{ id: string }[]>`SELECT id FROM person WHERE admin`;
  console.log((await openSession(admin!.id)).secret);
}
main().finally(closeDb);
