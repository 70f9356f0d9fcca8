// A session of the person who keeps the school, for the benchmark of the demo.
import { closeDb, db } from "@/platform/db/db";
import { openSession } from "@/platform/sign-in/sessions";

async function main(): Promise<void> {
  const [admin] = await db()<{ id: string }[]>`SELECT id FROM person WHERE admin`;
  console.log((await openSession(admin!.id)).secret);
}
main().finally(closeDb);
