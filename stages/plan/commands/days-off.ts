import type * as row from "@/platform/db/rows";
import "server-only";
import { command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { planActs } from "../acts";
import * as s from "../schema";
import { type IcsDay, readDaysOff, readIcs } from "../view/days-off";

/** Days off from a calendar file: shown first, taken in when `commit` is given. */
export const importDaysOff = command({
  name: "importDaysOff",
  act: planActs.edit,
  schema: s.icsDaysOff,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ days: IcsDay[]; problems: string[]; outside: number; written: number }> {
    const [p] = await sql<
      { startsOn: row.Project["startsOn"]; endsOn: row.Project["endsOn"] }[]
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

export async function addDaysOff(sql: Tx, projectId: string, text: string, sectionId?: string): Promise<number> {
  const read = readDaysOff(text);
  if (!read.ok)
    refuse(
      `“${read.line}” is not a day off. Write one a line, like 2027-02-15 or 2027-02-22 to 2027-02-26 Half-term.`,
      "daysOff",
    );
  if (read.days.length)
    await sql`
      INSERT INTO day_off ${sql(
        read.days.map((d) => ({
          id: newId(),
          projectId,
          sectionId: sectionId ?? null,
          onDate: d.date,
          reason: d.reason,
        })),
      )}
      ON CONFLICT DO NOTHING
    `;
  return read.days.length;
}

export const addDaysOffToProject = command({
  name: "addDaysOffToProject",
  act: planActs.edit,
  schema: s.daysOff,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ count: number }> {
    if (
      input.sectionId &&
      !(
        await sql`SELECT FROM project_section WHERE project_id = ${input.projectId} AND section_id = ${input.sectionId}`
      ).length
    )
      refuse("This section is not in the project.", "sectionId");
    const count = await addDaysOff(sql, input.projectId, input.text, input.sectionId);
    audit({ type: "calendar", label: `${count} days off`, after: input.text });
    return { count };
  },
});
