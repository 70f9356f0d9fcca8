import "server-only";
import { command, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { takeOut } from "@/platform/withdraw/take-out";
import { type Withdrawn, withdrawal } from "@/platform/withdraw/withdrawal";
import { planActs } from "./acts";
import * as s from "./schema";

export const removeMilestone = withdrawal({
  name: "removeMilestone",
  kind: "milestone",
  table: "milestone",
  act: planActs.edit,
  label: "x.title",
  lists: ["task.after"],
  async refuse(sql, id) {
    if ((await sql`SELECT FROM milestone_check WHERE milestone_id = ${id} LIMIT 1`).length)
      refuse("Teams have passed this milestone already; it stays in the record.");
  },
});

export const removeTask = withdrawal({
  name: "removeTask",
  kind: "task",
  table: "task",
  act: planActs.edit,
  label: "x.title",
  lists: ["task.after"],
});

export const removeDayOff = withdrawal({
  name: "removeDayOff",
  kind: "day off",
  table: "day_off",
  act: planActs.edit,
  label: "x.on_date || CASE x.reason WHEN '' THEN '' ELSE ' ' || x.reason END",
});

export const removeExtraSession = withdrawal({
  name: "removeExtraSession",
  kind: "extra session",
  table: "extra_session",
  act: planActs.edit,
  label: "x.on_date || CASE x.reason WHEN '' THEN '' ELSE ' ' || x.reason END",
});

/** A line of a gate's checklist goes with the ticks on it. */
export const removeGateItem = withdrawal({
  name: "removeGateItem",
  kind: "line of a gate",
  table: "gate_item",
  act: planActs.edit,
  label: "x.label",
});

/** Takes a break of several days out at once; it comes back at once. */
export const removeDaysOff = command({
  name: "removeDaysOff",
  act: planActs.edit,
  schema: s.daysOffIds,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<Withdrawn> {
    const days = await sql<{ onDate: string; reason: string }[]>`
      SELECT on_date, reason FROM day_off
      WHERE project_id = ${input.projectId} AND id = ANY(${input.ids}::uuid[])
      ORDER BY on_date
    `;
    if (days.length !== new Set(input.ids).size)
      refuse("One of these days is not off (any more). Reload to see which.");
    const [first, last] = [days[0]!, days.at(-1)!];
    const label = `${first.onDate} to ${last.onDate}${first.reason && ` ${first.reason}`}`;
    const withdrawn = newId();
    const record = { id: withdrawn, projectId: input.projectId, kind: "days off", label, withdrawnBy: by };
    await sql`INSERT INTO withdrawn ${sql(record)}`;
    for (const id of input.ids) await takeOut(sql, withdrawn, { table: "day_off" }, id);
    audit({ type: "calendar", label, after: { withdrawn: days.length } });
    return { withdrawn, label };
  },
});
