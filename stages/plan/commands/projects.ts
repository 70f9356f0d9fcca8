import type { PatternKind } from "@/core/vocabulary/project";
import type * as row from "@/platform/db/rows";
import "server-only";
import type { MeetingPattern } from "@/core/sessions/sessions";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { projectActs } from "@/platform/project/acts";
import { freeSlug } from "@/platform/project/slug";
import { planActs } from "../acts";
import * as s from "../schema";
import { addDaysOff } from "./days-off";

type SectionInput = {
  name: string;
  pattern: PatternKind;
  days: number[];
  cycleLength: number;
  cycleDay: number;
};

async function addSection(sql: Tx, projectId: string, startsOn: string, x: SectionInput): Promise<string> {
  const id = newId();
  const pattern: MeetingPattern =
    x.pattern === "weekdays"
      ? { kind: "weekdays", days: [...new Set(x.days)].sort() }
      : { kind: "cycle", length: x.cycleLength, meets: [x.cycleDay], startsOn };
  await sql`
    INSERT INTO section (id, name, school_year, pattern)
    VALUES (${id}, ${x.name}, ${startsOn.slice(0, 4)}, ${sql.json(pattern as never)})
  `;
  await sql`INSERT INTO project_section (project_id, section_id) VALUES (${projectId}, ${id})`;
  return id;
}

export const createProject = command({
  name: "createProject",
  act: projectActs.create,
  schema: s.newProject,
  subject: () => ({}),
  async run({ sql, actor, audit }, input): Promise<{ projectId: string; slug: string; sectionIds: string[] }> {
    const names = input.sections.map((x) => x.name.toLowerCase());
    if (new Set(names).size < names.length) refuse("Two sections have the same name.", "sections");
    const projectId = newId();
    const slug = await freeSlug(sql, input.title);
    await sql`
      INSERT INTO project (id, slug, title, purpose, kind, client, starts_on, ends_on, event_on, currency)
      VALUES (
        ${projectId}, ${slug}, ${input.title}, ${input.purpose}, ${input.kind}, ${input.client}, ${input.startsOn},
        ${input.endsOn}, ${input.eventOn ?? null}, ${input.currency}
      )
    `;
    await sql`INSERT INTO staff (project_id, person_id, role) VALUES (${projectId}, ${actor.id}, 'owner')`;
    const sectionIds: string[] = [];
    for (const x of input.sections) sectionIds.push(await addSection(sql, projectId, input.startsOn, x));
    await addDaysOff(sql, projectId, input.daysOff);
    audit({ type: "project", id: projectId, label: input.title, after: input });
    return { projectId, slug, sectionIds };
  },
});

const labels = {
  title: "Title",
  purpose: "Purpose",
  kind: "Kind",
  client: "Client",
  startsOn: "First day",
  endsOn: "Last day",
  eventOn: "Event",
  currency: "Currency",
};

export const editProject = command({
  name: "editProject",
  act: projectActs.edit,
  schema: s.editProject,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const [row] = await sql<
      {
        version: row.Project["version"];
        title: row.Project["title"];
        purpose: row.Project["purpose"];
        kind: row.Project["kind"];
        client: row.Project["client"];
        startsOn: row.Project["startsOn"];
        endsOn: row.Project["endsOn"];
        eventOn: row.Project["eventOn"];
        currency: row.Project["currency"];
      }[]
    >`
      SELECT version, title, purpose, kind, client, starts_on, ends_on, event_on, currency
      FROM project
      WHERE id = ${input.projectId} FOR UPDATE
    `;
    const before = found(row, "The project");
    checkVersion(before, input.version, labels, input, before);
    await sql`
      UPDATE project
      SET
        title = ${input.title}, purpose = ${input.purpose}, kind = ${input.kind}, client = ${input.client},
        starts_on = ${input.startsOn}, ends_on = ${input.endsOn}, event_on = ${input.eventOn ?? null},
        currency = ${input.currency}, version = version + 1
      WHERE id = ${input.projectId}
    `;
    audit({ type: "project", id: input.projectId, label: input.title, before, after: input });
  },
});

export const createSection = command({
  name: "createSection",
  act: planActs.edit,
  schema: s.newSection,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const [p] = await sql<{ startsOn: row.Project["startsOn"]; taken: boolean }[]>`
      SELECT
        starts_on,
        EXISTS (
          SELECT
          FROM project_section ps
          JOIN section c ON c.id = ps.section_id
          WHERE ps.project_id = p.id AND lower(c.name) = lower(${input.name})
        ) AS taken
      FROM project p
      WHERE id = ${input.projectId}
    `;
    if (found(p).taken) refuse("There is a section of this name in the project.", "name");
    const id = await addSection(sql, input.projectId, p!.startsOn, input);
    audit({ type: "section", id, label: input.name });
    return { id };
  },
});
