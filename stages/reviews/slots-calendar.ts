import "server-only";
import { createEvents, type EventAttributes } from "ics";
import { db } from "@/platform/db/db";
import { slotPlansOf, slotsOf } from "./queries/slots";

/** The slots of a review as iCalendar, of everybody or of one reviewer; null where there is no such plan. */
export async function slotsCalendar(
  project: { id: string },
  title: string,
  who: string | null,
): Promise<string | null> {
  const [[named], plans, slots] = await Promise.all([
    db()<{ title: string }[]>`SELECT title FROM project WHERE id = ${project.id}`,
    slotPlansOf(project.id),
    slotsOf(project.id, title),
  ]);
  const plan = plans.find((p) => p.title === title);
  if (!plan) return null;
  const { value, error } = createEvents(
    slots.flatMap((s): EventAttributes[] => {
      if (s.heldOn === null || s.starts === null || (who !== null && !s.reviewers.includes(who))) return [];
      const [year, month, day] = s.heldOn.split("-").map(Number) as [number, number, number];
      return [
        {
          uid: `${s.id}@ironstone`,
          start: [year, month, day, Math.floor(s.starts / 60), s.starts % 60],
          startInputType: "local",
          startOutputType: "local",
          duration: { minutes: plan.definition.minutes },
          title: `${title}: ${s.team}`,
          location: plan.definition.rooms[s.room ?? 0],
          description: `Reviewers: ${s.reviewers.join(", ") || "none yet"}`,
          productId: "ironstone",
          calName: `${named?.title ?? ""}, ${title}`,
        },
      ];
    }),
  );
  if (error) throw error;
  return value ?? "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:ironstone\r\nEND:VCALENDAR\r\n";
}
