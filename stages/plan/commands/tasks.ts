import type * as row from "@/platform/db/rows";
import "server-only";
import { countTasks, scheduleTasks } from "@/core/sessions/network";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { planActs } from "../acts";
import { milestonesOf } from "../queries/milestones";
import { type Task, tasksOf } from "../queries/tasks";
import * as s from "../schema";
import { networkOf } from "../view/tasks";

const ofTask = (sql: Tx, id: string) => projectOf(sql, "task", id);

export const saveTask = command({
  name: "saveTask",
  act: planActs.edit,
  schema: s.task,
  async subject(sql, i) {
    return i.id
      ? (await ofTask(sql, i.id))?.project === i.projectId
        ? { project: i.projectId }
        : null
      : { project: i.projectId };
  },
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const row = {
      title: input.title,
      length: input.length,
      notBefore: input.notBefore ?? null,
      deadline: input.deadline ?? null,
      milestoneId: input.milestoneId ?? null,
    };
    await sql`SELECT FROM project WHERE id = ${input.projectId} FOR UPDATE`;
    const [all, milestones] = [await tasksOf(input.projectId), await milestonesOf(input.projectId)];
    if (row.milestoneId && !milestones.some((m) => m.id === row.milestoneId))
      refuse("This milestone is not here (any more).", "milestoneId");
    const after = [...new Set(input.after)];
    if (after.some((a) => a !== input.id && !all.some((t) => t.id === a) && !milestones.some((m) => m.id === a)))
      refuse("One of the tasks before it is not here (any more).", "after");
    // Tasks that would wait for each other are named.
    const next = all.map((t) => (t.id === input.id ? { ...t, milestoneId: row.milestoneId, after } : t));
    const network = scheduleTasks(countTasks(networkOf(next, milestones, null), []), 0);
    if (!network.ok) {
      const over = network.cycle.filter((n) => n !== all.find((t) => t.id === input.id)?.title);
      refuse(`“${input.title}” would wait for itself${over.length ? `, over ${over.join(", ")}` : ""}.`, "after");
    }
    const id = input.id ?? newId();
    if (input.id) {
      const [old] = await sql<Task[]>`SELECT * FROM task WHERE id = ${id}`;
      checkVersion(
        found(old, "This task"),
        input.version,
        { title: "Task", length: "Sessions", notBefore: "Not before", deadline: "Deadline" },
        row,
        old as unknown as Record<string, unknown>,
      );
      await sql`
        UPDATE task
        SET
          title = ${row.title}, length = ${row.length}, not_before = ${row.notBefore}, deadline = ${row.deadline},
          milestone_id = ${row.milestoneId}, after = ${after}::uuid[], version = version + 1
        WHERE id = ${id}
      `;
    } else
      await sql`
        INSERT INTO task (id, project_id, title, length, not_before, deadline, milestone_id, after, place)
        VALUES (
          ${id}, ${input.projectId}, ${row.title}, ${row.length}, ${row.notBefore}, ${row.deadline}, ${row.milestoneId},
          ${after}::uuid[], ${all.length}
        )
      `;
    audit({ type: "task", id, label: input.title, after: { ...row, after } });
    return { id };
  },
});

export const finishTask = command({
  name: "finishTask",
  act: planActs.edit,
  schema: s.taskDone,
  subject: (sql, i) => ofTask(sql, i.id),
  async run({ sql, audit }, input) {
    const [t] = await sql<
      { title: row.Task["title"] }[]
    >`UPDATE task SET done_on = ${input.doneOn ?? null}, version = version + 1 WHERE id = ${input.id} RETURNING title`;
    audit({ type: "task", id: input.id, label: t?.title, after: { done: input.doneOn ?? null } });
  },
});
