// A session of the person who keeps the school and a scorer's of the demo, as cookies in JSON, for the benchmark.
import { execute } from "@/platform/command/command";
import { closeDb, db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { guestCookie } from "@/platform/sign-in/guests";
import { openSession } from "@/platform/sign-in/sessions";
import { createGuestLink } from "@/stages/people/commands/guests";

async function main(): Promise<void> {
  const [admin] = await db()<{ id: string }[]>`SELECT id FROM person WHERE admin`;
  const [project] = await db()<{ id: string }[]>`SELECT id FROM project WHERE slug = 'terrace-pump'`;
  const asked = { projectId: project!.id, role: "scorer", label: "The benchmark's scorer", days: 2 };
  const link = await execute(createGuestLink, await actorOf(admin!.id), asked);
  if (!link.ok) throw new Error(link.message);
  const keeper = `ironstone_session=${(await openSession(admin!.id)).secret}`;
  const scorer = `ironstone_guest=${await guestCookie(link.value.secret)}`;
  console.log(JSON.stringify({ keeper, scorer }));
}
main().finally(closeDb);
