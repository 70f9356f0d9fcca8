import "server-only";
import ICAL from "ical.js";
import { addDays, daysBetween } from "@/core/sessions/date";
import { countTasks, type DatedTask, scheduleTasks } from "@/core/sessions/network";
import type { MeetingPattern } from "@/core/sessions/sessions";
import { checkVersion, command, found, projectOf, refuse } from "./command";
import { db, newId, type Tx } from "./db";
import { type Milestone, milestonesOf } from "./grades";
import * as s from "./schemas/front";

export interface Task {
  id: string;
  title: string;
  length: number;
  notBefore: string | null;
  deadline: string | null;
  milestoneId: string | null;
  after: string[];
  doneOn: string | null;
  version: number;
}
export const tasksOf = (projectId: string) =>
  db()<Task[]>`
    SELECT id, title, length, not_before, deadline, milestone_id, after, done_on, version
    FROM task
    WHERE project_id = ${projectId}
    ORDER BY place, title
  `;

/** The date by which a milestone is due for a section: the section's own, or the project's. */
export const dueFor = (m: Pick<Milestone, "dueOn" | "dates">, sectionId: string | null | undefined): string =>
  (sectionId && m.dates[sectionId]) || m.dueOn;

/**
 * Tasks and milestones of a section as one network: a task is due with the milestone that it leads to, and a milestone
 * is reached when its tasks are done.
 */
export function networkOf(
  tasks: readonly Task[],
  milestones: readonly Milestone[],
  sectionId: string | null,
): DatedTask[] {
  const due = new Map(milestones.map((m) => [m.id, dueFor(m, sectionId)]));
  return [
    ...tasks.map((t) => ({
      id: t.id,
      name: t.title,
      length: t.length,
      after: t.after,
      notBefore: t.notBefore,
      deadline:
        [t.deadline, t.milestoneId ? due.get(t.milestoneId) : null].filter((d): d is string => !!d).sort()[0] ?? null,
      done: t.doneOn !== null,
    })),
    ...milestones.map((m) => ({
      id: m.id,
      name: m.title,
      length: 0,
      after: tasks.filter((t) => t.milestoneId === m.id).map((t) => t.id),
      notBefore: null,
      deadline: due.get(m.id)!,
      done: false,
    })),
  ];
}

const ofTask = (sql: Tx, id: string) => projectOf(sql, "task", id);

export const saveTask = command({
  name: "saveTask",
  act: "plan.edit",
  schema: s.task,
  twice: "There is a task of this name.",
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
  act: "plan.edit",
  schema: s.taskDone,
  subject: (sql, i) => ofTask(sql, i.id),
  async run({ sql, audit }, input) {
    const [t] = await sql<
      { title: string }[]
    >`UPDATE task SET done_on = ${input.doneOn ?? null}, version = version + 1 WHERE id = ${input.id} RETURNING title`;
    audit({ type: "task", id: input.id, label: t?.title, after: { done: input.doneOn ?? null } });
  },
});

export const removeTask = command({
  name: "removeTask",
  act: "plan.edit",
  schema: s.byId,
  subject: (sql, i) => ofTask(sql, i.id),
  async run({ sql, audit }, input) {
    const [t] =
      await sql`DELETE FROM task WHERE id = ${input.id} RETURNING title, length, not_before, deadline, project_id`;
    await sql`
      UPDATE task SET after = array_remove(after, ${input.id}::uuid) WHERE project_id = ${t!.projectId as string}
    `;
    audit({ type: "task", id: input.id, label: String(t?.title), before: t });
  },
});

export const moveMilestone = command({
  name: "moveMilestone",
  act: "plan.edit",
  schema: s.moveMilestone,
  subject: (sql, i) => projectOf(sql, "milestone", i.id),
  async run({ sql, audit }, input) {
    const [m] = await sql<
      { version: number; title: string; dueOn: string }[]
    >`SELECT version, title, due_on FROM milestone WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(m!, input.version, { dueOn: "Due" }, input, m!);
    await sql`UPDATE milestone SET due_on = ${input.dueOn}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "milestone", id: input.id, label: m!.title, before: { due: m!.dueOn }, after: { due: input.dueOn } });
  },
});

/** A section's own date of a milestone; empty takes the project's again. */
export const setMilestoneDate = command({
  name: "setMilestoneDate",
  act: "plan.edit",
  schema: s.milestoneDate,
  async subject(sql, i) {
    const [m] = await sql<{ projectId: string }[]>`
      SELECT m.project_id
      FROM milestone m
      JOIN project_section ps ON ps.project_id = m.project_id
      WHERE m.id = ${i.milestoneId} AND ps.section_id = ${i.sectionId}
    `;
    return m ? { project: m.projectId } : null;
  },
  async run({ sql, audit }, input) {
    await sql`DELETE FROM milestone_date WHERE milestone_id = ${input.milestoneId} AND section_id = ${input.sectionId}`;
    if (input.dueOn)
      await sql`
        INSERT INTO milestone_date ${sql({
          milestoneId: input.milestoneId,
          sectionId: input.sectionId,
          dueOn: input.dueOn,
        })}
      `;
    audit({
      type: "milestone",
      id: input.milestoneId,
      label: "date of a section",
      after: { section: input.sectionId, due: input.dueOn ?? null },
    });
  },
});

/**
 * A section's meeting pattern (weekdays or a rotating cycle, with double periods) and its own dates in this project.
 */
export const saveSectionPattern = command({
  name: "saveSectionPattern",
  act: "plan.edit",
  schema: s.sectionPattern,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const [c] = await sql<{ version: number; name: string; pattern: MeetingPattern; startsOn: string }[]>`
      SELECT c.version, c.name, c.pattern, p.starts_on
      FROM section c
      JOIN project_section ps ON ps.section_id = c.id
      JOIN project p ON p.id = ps.project_id
      WHERE c.id = ${input.sectionId} AND ps.project_id = ${input.projectId} FOR UPDATE OF c
    `;
    checkVersion(found(c, "This section"), input.version, {}, {}, {});
    const sorted = (x: number[]) => [...new Set(x)].sort((a, b) => a - b);
    const chosen = sorted(input.pattern === "weekdays" ? input.days : input.meets);
    const field = input.pattern === "weekdays" ? "days" : "meets";
    if (!chosen.length) refuse("Choose at least one day.", field);
    if (input.pattern === "cycle" && chosen.some((d) => d > input.cycleLength))
      refuse(`The cycle has ${input.cycleLength} days.`, "meets");
    const double = sorted(input.double).filter((d) => chosen.includes(d));
    if (double.length < new Set(input.double).size)
      refuse("A double period lies on a day on which the section meets.", "double");
    if (input.startsOn && input.endsOn && input.endsOn < input.startsOn)
      refuse("The last day is before the first day.", "endsOn");
    const pattern: MeetingPattern =
      input.pattern === "weekdays"
        ? { kind: "weekdays", days: chosen, double }
        : {
            kind: "cycle",
            length: input.cycleLength,
            meets: chosen,
            startsOn: input.cycleStart ?? (c!.pattern.kind === "cycle" ? c!.pattern.startsOn : c!.startsOn),
            double,
          };
    await sql`
      UPDATE section SET pattern = ${sql.json(pattern as never)}, version = version + 1 WHERE id = ${input.sectionId}
    `;
    await sql`
      UPDATE project_section
      SET starts_on = ${input.startsOn ?? null}, ends_on = ${input.endsOn ?? null}, event_on = ${input.eventOn ?? null}
      WHERE project_id = ${input.projectId} AND section_id = ${input.sectionId}
    `;
    audit({ type: "section", id: input.sectionId, label: c!.name, before: c!.pattern, after: pattern });
  },
});

export const addExtraSession = command({
  name: "addExtraSession",
  act: "plan.edit",
  schema: s.extraSession,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    if (input.sectionId)
      found(
        (
          await sql`
            SELECT FROM project_section WHERE project_id = ${input.projectId} AND section_id = ${input.sectionId}
          `
        )[0],
        "This section",
      );
    const id = newId();
    await sql`
      INSERT INTO extra_session ${sql({
        id,
        projectId: input.projectId,
        sectionId: input.sectionId ?? null,
        onDate: input.onDate,
        reason: input.reason,
      })}
    `;
    audit({ type: "calendar", id, label: `extra session ${input.onDate}` });
    return { id };
  },
});

export const removeExtraSession = command({
  name: "removeExtraSession",
  act: "plan.edit",
  schema: s.byId,
  subject: (sql, i) => projectOf(sql, "extra_session", i.id),
  async run({ sql, audit }, input) {
    const [x] = await sql`DELETE FROM extra_session WHERE id = ${input.id} RETURNING on_date, reason`;
    audit({ type: "calendar", id: input.id, label: `extra session ${x?.onDate}`, before: x });
  },
});

export interface IcsDay {
  date: string;
  reason: string;
}

/**
 * The whole days of a calendar file between two dates, repeated events unfolded; entries that cannot be read are named.
 */
export function readIcs(
  text: string,
  from: string,
  to: string,
): { days: IcsDay[]; problems: string[]; outside: number } {
  let events: InstanceType<typeof ICAL.Component>[];
  try {
    events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents("vevent");
  } catch {
    return {
      days: [],
      problems: [
        "This is not a calendar file (ICS), or it was cut short. Export the calendar again and send the whole file.",
      ],
      outside: 0,
    };
  }
  const days = new Map<string, string>();
  const problems: string[] = [];
  let outside = 0;
  for (const [i, component] of events.entries()) {
    const title = String(component.getFirstPropertyValue("summary") ?? "").slice(0, 120);
    const name = `entry ${i + 1}${title ? ` “${title}”` : ""}`;
    try {
      const event = new ICAL.Event(component);
      if (!event.startDate) {
        problems.push(`${name} has no date.`);
        continue;
      }
      if (!event.startDate.isDate) {
        problems.push(`${name} is not a whole day, so it is left out.`);
        continue;
      }
      const length = Math.max(
        1,
        daysBetween(
          event.startDate.toString().slice(0, 10),
          (event.endDate ?? event.startDate).toString().slice(0, 10),
        ),
      );
      const starts: string[] = [];
      if (event.isRecurring()) {
        const it = event.iterator();
        for (let n = 0; n < 2000; n++) {
          const d = it.next();
          if (!d || d.toString().slice(0, 10) > to) break;
          starts.push(d.toString().slice(0, 10));
        }
      } else starts.push(event.startDate.toString().slice(0, 10));
      let inside = 0;
      for (const start of starts)
        for (let d = start, n = 0; n < Math.min(length, 400); d = addDays(d, 1), n++)
          if (d >= from && d <= to) {
            days.set(d, title);
            inside++;
          }
      if (!inside) outside++;
    } catch {
      problems.push(`${name} cannot be read.`);
    }
  }
  return {
    days: [...days].sort(([a], [b]) => (a < b ? -1 : 1)).map(([date, reason]) => ({ date, reason })),
    problems,
    outside,
  };
}

/** Days off from a calendar file: shown first, taken in when `commit` is given. */
export const importDaysOff = command({
  name: "importDaysOff",
  act: "plan.edit",
  schema: s.icsDaysOff,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ days: IcsDay[]; problems: string[]; outside: number; written: number }> {
    const [p] = await sql<
      { startsOn: string; endsOn: string }[]
    >`SELECT starts_on, ends_on FROM project WHERE id = ${input.projectId}`;
    const read = readIcs(input.text, found(p).startsOn, p!.endsOn);
    let written = 0;
    if (input.commit && read.days.length)
      written = (
        await sql`
          INSERT INTO day_off ${sql(
            read.days.map((d) => ({
              id: newId(),
              projectId: input.projectId,
              sectionId: input.sectionId ?? null,
              onDate: d.date,
              reason: d.reason,
            })),
          )}
          ON CONFLICT DO NOTHING
          RETURNING id
        `
      ).length;
    audit({
      type: "calendar",
      label: input.commit ? `${written} days off from a calendar file` : "calendar file looked at",
      after: { days: read.days.length, problems: read.problems.length },
    });
    return { ...read, written };
  },
});
