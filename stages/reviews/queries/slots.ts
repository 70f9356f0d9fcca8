import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";
import type { SlotDefinition } from "../schema-slots";

export interface SlotRow {
  id: row.Slot["id"];
  reviewId: row.Slot["reviewId"];
  teamId: row.Review["teamId"];
  team: row.Team["name"];
  sectionId: row.Team["sectionId"];
  hours: row.Slot["hours"];
  heldOn: row.Slot["heldOn"];
  starts: row.Slot["starts"];
  room: row.Slot["room"];
  reviewers: row.Slot["reviewers"];
  /** Minutes since midnight. */
  began: number | null;
  ended: number | null;
  version: row.Slot["version"];
}

export interface SlotPlanRow {
  id: row.SlotPlan["id"];
  title: row.SlotPlan["title"];
  definition: SlotDefinition;
  version: row.SlotPlan["version"];
}

/** The slot plans of a project, by title. */
export const slotPlansOf = (projectId: string) => db()<SlotPlanRow[]>`
  SELECT id, title, definition, version FROM slot_plan WHERE project_id = ${projectId} ORDER BY title
`;

/** An instant in minutes since midnight, in the server's zone. */
function minuteOf(instant: string): number {
  const t = new Date(instant);
  return t.getHours() * 60 + t.getMinutes() + t.getSeconds() / 60;
}

/** The places of a project's reviews, of one title or of all, by time and room; those without a place last. */
export async function slotsOf(projectId: string, title?: string): Promise<(SlotRow & { planId: string })[]> {
  type Kept = Omit<SlotRow, "began" | "ended"> & Pick<row.Slot, "planId" | "beganAt" | "endedAt">;
  const rows = await db()<Kept[]>`
  SELECT
    s.id, s.plan_id, s.review_id, r.team_id, t.name AS team, t.section_id, s.hours, s.held_on, s.starts, s.room,
    s.reviewers, s.began_at, s.ended_at, s.version
  FROM slot s
  JOIN slot_plan p ON p.id = s.plan_id
  JOIN review r ON r.id = s.review_id
  JOIN team t ON t.id = r.team_id
  WHERE p.project_id = ${projectId} ${title === undefined ? db()`` : db()`AND p.title = ${title}`}
  ORDER BY s.held_on, s.starts, s.room, t.name
`;
  return rows.map(({ beganAt, endedAt, ...s }) => ({
    ...s,
    began: beganAt === null ? null : minuteOf(beganAt),
    ended: endedAt === null ? null : minuteOf(endedAt),
  }));
}

/** What time it is, in minutes since midnight. */
export async function minuteOfDay(): Promise<number> {
  const [x] = await db()<{ now: string }[]>`SELECT app_now() AS now`;
  return minuteOf(x!.now);
}
