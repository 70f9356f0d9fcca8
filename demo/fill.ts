import { randomBytes } from "node:crypto";
import { addDays, mondayOf } from "@/core/sessions/date";
import { today } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { createFirstInstructor } from "@/platform/sign-in/sign-in";
import { coldBox } from "./cold-box";
import { lastYear } from "./last-year";
import { porchHoist } from "./porch-hoist";
import { clock } from "./run";
import * as story from "./story";
import { thisYear } from "./terrace-pump";

/** Fills the demo so that today lies in week 7 of its first project. */
export async function fillDemo(): Promise<void> {
  clock.today = today();
  const start = addDays(mondayOf(clock.today), -42);
  const first = await createFirstInstructor({
    ...story.instructors.owner,
    password: randomBytes(18).toString("base64url"),
  });
  if (!first.ok) throw new Error(first.message);
  process.stdout.write("  last year's project\n");
  const before = await lastYear(first.personId, addDays(start, -364));
  process.stdout.write("  this year's project\n");
  await thisYear(first.personId, story.instructors.co, before, start);
  process.stdout.write("  the college's project\n");
  await coldBox(first.personId, addDays(mondayOf(clock.today), -14));
  process.stdout.write("  the middle school's project\n");
  await porchHoist(first.personId, addDays(mondayOf(clock.today), -7));
  await db()`SELECT set_config('ironstone.now', '', false)`;
}
