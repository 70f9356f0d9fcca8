import type * as row from "@/platform/db/rows";
import "server-only";
import type { MeetingPattern } from "@/core/sessions/sessions";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { planActs } from "../acts";
import * as s from "../schema";

/**
 * A section's meeting pattern (weekdays or a rotating cycle, with double periods) and its own dates in this project.
 */
export const saveSectionPattern = command({
  name: "saveSectionPattern",
  act: planActs.edit,
  schema: s.sectionPattern,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const [c] = await sql<
      {
        version: row.Section["version"];
        name: row.Section["name"];
        pattern: MeetingPattern;
        startsOn: row.Project["startsOn"];
      }[]
    >`
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

/** Gives a section another name, in every project that it is in. */
export const renameSection = command({
  name: "renameSection",
  act: planActs.edit,
  schema: s.renameSection,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const [c] = await sql<{ version: row.Section["version"]; name: row.Section["name"]; taken: boolean }[]>`
      SELECT
        c.version, c.name,
        EXISTS (
          SELECT
          FROM project_section o
          JOIN section x ON x.id = o.section_id
          WHERE o.project_id = ps.project_id AND x.id <> c.id AND lower(x.name) = lower(${input.name})
        ) AS taken
      FROM section c
      JOIN project_section ps ON ps.section_id = c.id
      WHERE c.id = ${input.sectionId} AND ps.project_id = ${input.projectId} FOR UPDATE OF c
    `;
    checkVersion(found(c, "This section"), input.version, { name: "Name" }, input, c!);
    if (c!.taken) refuse("There is a section of this name in the project.", "name");
    await sql`UPDATE section SET name = ${input.name}, version = version + 1 WHERE id = ${input.sectionId}`;
    audit({ type: "section", id: input.sectionId, label: input.name, before: { name: c!.name } });
  },
});

export const addExtraSession = command({
  name: "addExtraSession",
  act: planActs.edit,
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
