import { seededRandom } from "@/core/draw/draw";
import { isAway } from "@/core/log/attendance";
import { addDays } from "@/core/sessions/date";
import type { AttendanceState } from "@/core/vocabulary/classroom";
import { calendarsIn } from "@/platform/project/calendars";
import { studentsOf } from "@/stages/people/queries/students";
import { addDaysOffToProject } from "@/stages/plan/commands/days-off";
import { markAttendance, planClass, remarkOnClass, takeAttendance } from "@/stages/today/commands/classes";
import { meetingsOf } from "@/stages/today/view/classes";
import { at, clock, run } from "./run";

const course = "8 Safety, and where each team stands\nBuilding and bench, one change at a time\n7 Notebook\n5 Clean up";
const remarks = [
  "The drill press was free for half of the class while two teams waited for the laser: say it at the beginning.",
  "Two teams changed two things at once. Begin the next class with the table of what differs.",
];

/** Every class so far with the few who were not there; what the last ones saw, and what the next are for. */
export async function holdClasses(owner: string, projectId: string): Promise<void> {
  const today = clock.today;
  const calendars = (await calendarsIn([projectId])).get(projectId)!;
  const students = await studentsOf(projectId);
  const dice = seededRandom("attendance of the terrace");
  const meetings = meetingsOf(calendars.of);
  for (const section of calendars.sections) {
    const own = meetings.filter((m) => m.section === section.id);
    const past = own.filter((m) => m.date < today);
    const of = students.filter((s) => s.sectionId === section.id);
    for (const { date } of past) {
      const on = { projectId, sectionId: section.id, onDate: date };
      await at(date, 9, 10);
      await run(takeAttendance, owner, { ...on, taken: true });
      for (const s of of) {
        const chance = dice();
        const state: AttendanceState | null =
          chance < 0.012
            ? "absent"
            : chance < 0.035
              ? "excused"
              : chance < 0.06
                ? "late"
                : chance < 0.066
                  ? "left early"
                  : null;
        const minutes = state && !isAway(state) ? 4 + Math.floor(dice() * 12) : undefined;
        if (state) await run(markAttendance, owner, { ...on, personId: s.id, state, minutes });
      }
    }
    const last = past.at(-1);
    if (last) {
      await at(last.date, 16);
      const on = { projectId, sectionId: section.id, onDate: last.date };
      await run(remarkOnClass, owner, { ...on, version: 0, remark: remarks[calendars.sections.indexOf(section) % 2]! });
    }
    const next = own.find((m) => m.date >= today);
    if (next) {
      await at(today, 7, 40);
      await run(planClass, owner, {
        projectId,
        sectionId: section.id,
        onDate: next.date,
        version: 0,
        purpose: "Second prototype on the bench: one change against the last build, five strokes of warm-up",
        agenda: course,
      });
    }
  }
}

/** A class of next week is lost for the second section; the one after it has the work of both. */
export async function loseClass(owner: string, projectId: string): Promise<void> {
  const calendars = (await calendarsIn([projectId])).get(projectId)!;
  const section = calendars.sections[1]!;
  const ahead = meetingsOf(calendars.of).filter((m) => m.section === section.id && m.date > addDays(clock.today, 6));
  const [lost, after] = ahead;
  if (!lost || !after) return;
  await at(clock.today, 7, 50);
  await run(addDaysOffToProject, owner, {
    projectId,
    text: `${lost.date} Heating out, no class`,
    sectionId: section.id,
  });
  await run(planClass, owner, {
    projectId,
    sectionId: section.id,
    onDate: after.date,
    version: 0,
    purpose: "The work of the lost class and of this one: bench first, building only where a test waits for it",
    agenda: "5 What was lost, and what moves\n30 Bench, two teams at a time\n10 What slips, by the plan\n5 Clean up",
  });
}
