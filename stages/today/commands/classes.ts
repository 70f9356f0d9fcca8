import type * as row from "@/platform/db/rows";
import "server-only";
import { isAway } from "@/core/log/attendance";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { calendarsIn } from "@/platform/project/calendars";
import { classActs } from "../acts";
import * as s from "../schema";

interface ClassOn {
  readonly projectId: string;
  readonly sectionId: string;
  readonly onDate: string;
}

/** The section of a class by name; refused where the section does not meet on that day. */
async function meets(sql: Tx, { projectId, sectionId, onDate }: ClassOn): Promise<string> {
  const calendars = (await calendarsIn([projectId], sql)).get(projectId);
  const section = found(
    calendars?.sections.find((x) => x.id === sectionId),
    "This section",
  );
  if (!calendars!.of.get(sectionId)!.some((x) => x.date === onDate))
    refuse(`Section ${section.name} does not meet on ${onDate}. Correct the calendar first.`, "onDate");
  return section.name;
}

const labelOf = (section: string, c: ClassOn) => `Section ${section}, ${c.onDate}`;

/** The class as it is kept, its row made where there is none yet, and held until this has written. */
async function held(sql: Tx, { projectId, sectionId, onDate }: ClassOn): Promise<row.ClassDay> {
  await sql`
    INSERT INTO class_day ${sql({ id: newId(), projectId, sectionId, onDate })}
    ON CONFLICT ON CONSTRAINT class_day_once DO NOTHING
  `;
  const [kept] = await sql<row.ClassDay[]>`
    SELECT *
    FROM class_day
    WHERE project_id = ${projectId} AND section_id = ${sectionId} AND on_date = ${onDate}
    FOR UPDATE
  `;
  return kept!;
}

/** What a class is for, and its course. */
export const planClass = command({
  name: "planClass",
  act: classActs.keep,
  schema: s.classPlan,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const section = await meets(sql, input);
    const old = await held(sql, input);
    const { purpose, agenda } = input;
    const before = { purpose: old.purpose, agenda: old.agenda };
    checkVersion(old, input.version, { purpose: "Purpose", agenda: "Course" }, input, before);
    await sql`UPDATE class_day SET ${sql({ purpose, agenda })}, version = version + 1 WHERE id = ${old.id}`;
    audit({ type: "class", id: old.id, label: labelOf(section, input), before, after: { purpose, agenda } });
    return { id: old.id };
  },
});

/** What was seen in a class, for the next one. */
export const remarkOnClass = command({
  name: "remarkOnClass",
  act: classActs.keep,
  schema: s.classRemark,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const section = await meets(sql, input);
    const old = await held(sql, input);
    const before = { remark: old.remark };
    checkVersion({ version: old.remarkVersion }, input.version, { remark: "What was seen" }, input, before);
    await sql`UPDATE class_day SET remark = ${input.remark}, remark_version = remark_version + 1 WHERE id = ${old.id}`;
    audit({ type: "class", id: old.id, label: labelOf(section, input), before, after: { remark: input.remark } });
    return { id: old.id };
  },
});

/** The class begins now, or has not begun after all. */
export const beginClass = command({
  name: "beginClass",
  act: classActs.keep,
  schema: s.classBegun,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, today }, input): Promise<{ id: string }> {
    const section = await meets(sql, input);
    if (input.begun && input.onDate !== today) refuse("A class begins on its own day.", "onDate");
    const old = await held(sql, input);
    // Pressed twice, or on two devices: it began when it was first pressed.
    await sql`
      UPDATE class_day
      SET began_at = CASE WHEN ${input.begun} THEN coalesce(began_at, app_now()) END
      WHERE id = ${old.id}
    `;
    audit({ type: "class", id: old.id, label: `${labelOf(section, input)}: ${input.begun ? "begins" : "not begun"}` });
    return { id: old.id };
  },
});

/** Notes that it was looked who is there: who has no mark was in class. */
export const takeAttendance = command({
  name: "takeAttendance",
  act: classActs.keep,
  schema: s.attendanceTaken,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by, today }, input): Promise<{ id: string }> {
    const section = await meets(sql, input);
    if (input.onDate > today) refuse("This class is still to come.", "onDate");
    const old = await held(sql, input);
    const [marked] = await sql`
      SELECT FROM attendance
      WHERE project_id = ${input.projectId} AND section_id = ${input.sectionId} AND on_date = ${input.onDate}
      LIMIT 1
    `;
    if (!input.taken && marked) refuse("Some are marked as not there. Mark them as here first.", "taken");
    await sql`
      UPDATE class_day
      SET taken_by = ${input.taken ? by : null}, taken_at = CASE WHEN ${input.taken} THEN app_now() END
      WHERE id = ${old.id}
    `;
    const label = `${labelOf(section, input)}: ${input.taken ? "attendance taken" : "attendance not taken"}`;
    audit({ type: "class", id: old.id, label });
    return { id: old.id };
  },
});

/** Marks a student who was not in class from its beginning to its end, or takes the mark back. */
export const markAttendance = command({
  name: "markAttendance",
  act: classActs.keep,
  schema: s.attendanceMark,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by, today }, input): Promise<{ id: string }> {
    const { projectId, sectionId, onDate, personId, state } = input;
    const section = await meets(sql, input);
    if (onDate > today) refuse("This class is still to come.", "onDate");
    const [asked] = await sql<Pick<row.Person, "name">[]>`
      SELECT p.name
      FROM person p
      JOIN enrolment e ON e.person_id = p.id
      WHERE p.id = ${personId} AND e.section_id = ${sectionId}
        AND (e.to_on IS NULL OR e.to_on > ${onDate})
      LIMIT 1
    `;
    const person = found(asked, "This student");
    const minutes = (state && !isAway(state) ? input.minutes : null) ?? null;
    const day = await held(sql, input);
    const [old] = await sql<Pick<row.Attendance, "state" | "minutes">[]>`
      DELETE FROM attendance
      WHERE project_id = ${projectId} AND person_id = ${personId} AND on_date = ${onDate}
      RETURNING state, minutes
    `;
    if (state)
      await sql`INSERT INTO attendance ${sql({ projectId, sectionId, personId, onDate, state, minutes, setBy: by })}`;
    await sql`
      UPDATE class_day SET taken_by = coalesce(taken_by, ${by}), taken_at = coalesce(taken_at, app_now())
      WHERE id = ${day.id}
    `;
    audit({
      type: "attendance",
      // The student's own: erasing the student blanks it.
      id: personId,
      label: `${labelOf(section, input)}: ${person.name}`,
      before: old ?? { state: "here" },
      after: state ? { state, minutes } : { state: "here" },
    });
    return { id: day.id };
  },
});
