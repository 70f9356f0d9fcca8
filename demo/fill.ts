import { randomBytes } from "node:crypto";
import { addDays, mondayOf } from "@/core/sessions/date";
import { today } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { createFirstInstructor } from "@/platform/sign-in/sign-in";
import { coldBox } from "./cold-box";
import { morning } from "./contest-day";
import { firstYear } from "./first-year";
import { lastYear } from "./last-year";
import { porchHoist } from "./porch-hoist";
import { clock } from "./run";
import { seedDryer } from "./seed-dryer";
import * as story from "./story";
import { thisYear } from "./terrace-pump";

/** Fills the demo so that today lies in week 7 of its first project, or is the day of its contest, in week 10. */
export async function fillDemo(contestDay = false): Promise<void> {
  clock.today = today();
  const start = addDays(mondayOf(clock.today), contestDay ? -63 : -42);
  const first = await createFirstInstructor({
    ...story.instructors.owner,
    password: randomBytes(18).toString("base64url"),
  });
  if (!first.ok) throw new Error(first.message);
  process.stdout.write("  the two editions before\n");
  const oldest = await firstYear(first.personId, addDays(start, -728));
  const before = await lastYear(first.personId, oldest, addDays(start, -364));
  await seedDryer(first.personId, addDays(start, -364));
  process.stdout.write("  this year's project\n");
  const projectId = await thisYear(
    first.personId,
    story.instructors.co,
    before,
    start,
    contestDay ? clock.today : undefined,
  );
  if (contestDay) await morning(first.personId, projectId, clock.today);
  process.stdout.write("  the college's project\n");
  await coldBox(first.personId, addDays(mondayOf(clock.today), -14));
  process.stdout.write("  the middle school's project\n");
  await porchHoist(first.personId, addDays(mondayOf(clock.today), -7));
  await db()`SELECT set_config('ironstone.now', '', false)`;
}
