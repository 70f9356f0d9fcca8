import type * as row from "@/platform/db/rows";
import "server-only";
import { createEvents, type EventAttributes } from "ics";
import { addDays } from "@/core/sessions/date";
import { db } from "@/platform/db/db";
import type { Frame } from "@/platform/project/frame";
import { milestonesOf } from "./queries/milestones";
import { dueFor } from "./view/tasks";

const parts = (d: string): [number, number, number] => d.split("-").map(Number) as [number, number, number];

/** A section's class calendar as iCalendar: a whole-day entry a class session, milestone, review day and event. */
export async function calendarOf(frame: Frame, sectionId: string): Promise<string> {
  const p = frame.project;
  const section = frame.sections.find((s) => s.id === sectionId)!;
  const [milestones, reviews] = await Promise.all([
    milestonesOf(p.id),
    db()<{ title: row.Review["title"]; heldOn: row.Review["heldOn"] }[]>`
      SELECT DISTINCT r.title, r.held_on
      FROM review r
      JOIN team t ON t.id = r.team_id
      WHERE r.project_id = ${p.id} AND (t.section_id IS NULL OR t.section_id = ${sectionId})
    `,
  ]);
  const day = (uid: string, date: string, title: string, description = ""): EventAttributes => ({
    uid: `${uid}@ironstone`,
    start: parts(date),
    end: parts(addDays(date, 1)),
    title,
    description,
    productId: "ironstone",
    calName: `${p.title}, section ${section.name}`,
    busyStatus: "FREE",
  });
  const sessions = frame.calendars.get(sectionId) ?? [];
  const { value, error } = createEvents([
    ...sessions.map((s) =>
      day(`${p.id}-${sectionId}-${s.number}`, s.date, `${p.title}: session ${s.number} of ${sessions.length}`),
    ),
    ...milestones.map((m) => day(m.id, dueFor(m, sectionId), `${p.title}: ${m.title} due`)),
    ...reviews.map((r) =>
      day(`${p.id}-${r.title}-${r.heldOn}`.replace(/\s/g, "-"), r.heldOn, `${p.title}: ${r.title}`),
    ),
    ...((section.eventOn ?? p.eventOn)
      ? [day(`${p.id}-event`, (section.eventOn ?? p.eventOn)!, `${p.title}: event`)]
      : []),
  ]);
  if (error) throw error;
  return value ?? "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:ironstone\r\nEND:VCALENDAR\r\n";
}
