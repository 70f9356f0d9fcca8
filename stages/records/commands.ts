import type * as row from "@/platform/db/rows";
import "server-only";
import { runMeasure } from "@/core/needs/requirement";
import type { MeetingPattern } from "@/core/sessions/sessions";
import { command, found, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { projectActs } from "@/platform/project/acts";
import { freeSlug } from "@/platform/project/slug";
import * as s from "@/stages/plan/schema";
import * as recordsSchema from "./schema";

/** Finishes a project: it becomes a record that the next edition starts from. */
export const finishProject = command({
  name: "finishProject",
  act: projectActs.finish,
  schema: s.project,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const [p] = await sql<{ title: row.Project["title"] }[]>`
      UPDATE project
      SET finished_at = app_now(), version = version + 1
      WHERE id = ${input.projectId} AND finished_at IS NULL
      RETURNING title
    `;
    if (!p) refuse("The project is finished already.");
    audit({ type: "project", id: input.projectId, label: p.title, after: { finished: true } });
  },
});

/** Opens a finished project again, for a reason that stays on record. */
export const reopenProject = command({
  name: "reopenProject",
  afterFinish: true,
  act: projectActs.finish,
  schema: recordsSchema.reopen,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const [p] = await sql<{ title: string }[]>`
      UPDATE project
      SET finished_at = NULL, version = version + 1
      WHERE id = ${input.projectId} AND finished_at IS NOT NULL
      RETURNING title
    `;
    if (!p) refuse("The project is not finished.");
    audit({ type: "project", id: input.projectId, label: p.title, after: { finished: false }, reason: input.reason });
  },
});

/**
 * The next edition of a project: brief, requirements, protocols and rubrics are carried over as version 1; sections are
 * made anew with the same patterns.
 * Teams, builds and results stay behind; their best becomes the benchmark line.
 */
export const createEdition = command({
  name: "createEdition",
  afterFinish: true,
  act: projectActs.finish,
  schema: recordsSchema.edition,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, actor, by, audit }, input): Promise<{ projectId: string; slug: string }> {
    if (input.endsOn < input.startsOn) refuse("The last day is before the first day.", "endsOn");
    const [old] = await sql<
      {
        purpose: row.Project["purpose"];
        kind: row.Project["kind"];
        client: row.Project["client"];
        currency: row.Project["currency"];
      }[]
    >`SELECT purpose, kind, client, currency FROM project WHERE id = ${input.projectId}`;
    const from = found(old, "The project");
    const projectId = newId();
    const slug = await freeSlug(sql, input.title);
    await sql`
      INSERT INTO project (id, slug, title, purpose, kind, client, starts_on, ends_on, event_on, currency, edition_of)
      VALUES (
        ${projectId}, ${slug}, ${input.title}, ${from.purpose}, ${from.kind}, ${from.client}, ${input.startsOn},
        ${input.endsOn}, ${input.eventOn ?? null}, ${from.currency}, ${input.projectId}
      )
    `;
    await sql`INSERT INTO staff (project_id, person_id, role) VALUES (${projectId}, ${actor.id}, 'owner')`;
    for (const c of await sql<{ name: row.Section["name"]; pattern: MeetingPattern }[]>`
      SELECT c.name, c.pattern
      FROM section c
      JOIN project_section ps ON ps.section_id = c.id
      WHERE ps.project_id = ${input.projectId}
    `) {
      const id = newId();
      const pattern = c.pattern.kind === "cycle" ? { ...c.pattern, startsOn: input.startsOn } : c.pattern;
      await sql`
        INSERT INTO section (id, name, school_year, pattern)
        VALUES (${id}, ${c.name}, ${input.startsOn.slice(0, 4)}, ${sql.json(pattern as never)})
      `;
      await sql`INSERT INTO project_section (project_id, section_id) VALUES (${projectId}, ${id})`;
    }
    await sql`
      INSERT INTO brief_version (id, project_id, number, body, created_by)
      SELECT ${newId()}, ${projectId}, 1, body, ${by}
      FROM brief_version
      WHERE project_id = ${input.projectId}
      ORDER BY number DESC
      LIMIT 1
    `;
    const protocols = new Map<string, string>();
    for (const p of await sql<{ id: row.Protocol["id"]; name: row.Protocol["name"]; definition: object }[]>`
      SELECT DISTINCT ON (p.id) p.id, p.name, v.definition
      FROM protocol p
      JOIN protocol_version v ON v.protocol_id = p.id
      WHERE p.project_id = ${input.projectId}
      ORDER BY p.id, v.number DESC
    `) {
      const id = newId();
      protocols.set(p.id, id);
      await sql`INSERT INTO protocol (id, project_id, name) VALUES (${id}, ${projectId}, ${p.name})`;
      await sql`
        INSERT INTO protocol_version (id, protocol_id, number, definition, created_by)
        VALUES (${newId()}, ${id}, 1, ${sql.json(p.definition as never)}, ${by})
      `;
    }
    const carried = (measure: string | null) => {
      const run = runMeasure(measure);
      return run ? (protocols.has(run.protocol) ? `run:${protocols.get(run.protocol)}:${run.channel}` : null) : measure;
    };
    for (const r of await sql<
      {
        code: row.Requirement["code"];
        statement: row.RequirementVersion["statement"];
        kind: row.RequirementVersion["kind"];
        priority: row.RequirementVersion["priority"];
        measure: row.RequirementVersion["measure"];
        comparator: row.RequirementVersion["comparator"];
        target: row.RequirementVersion["target"];
        second: row.RequirementVersion["second"];
        sides: row.RequirementVersion["sides"];
        unit: row.RequirementVersion["unit"];
        method: row.RequirementVersion["method"];
        source: row.RequirementVersion["source"];
      }[]
    >`
      SELECT DISTINCT ON
        (r.id) r.code, v.statement, v.kind, v.priority, v.measure, v.comparator, v.target, v.second, v.sides, v.unit,
        v.method, v.source
      FROM requirement r
      JOIN requirement_version v ON v.requirement_id = r.id
      WHERE r.project_id = ${input.projectId} AND r.retired_at IS NULL
      ORDER BY r.id, v.number DESC
    `) {
      const id = newId();
      const { code, ...version } = r;
      await sql`INSERT INTO requirement (id, project_id, code) VALUES (${id}, ${projectId}, ${code})`;
      await sql`
        INSERT INTO requirement_version ${sql({
          ...version,
          id: newId(),
          requirementId: id,
          number: 1,
          measure: carried(r.measure),
          reason: "carried over from the edition before",
          createdBy: by,
        })}
      `;
    }
    for (const r of await sql<{ name: row.Rubric["name"]; definition: object }[]>`
      SELECT DISTINCT ON (r.id) r.name, v.definition
      FROM rubric r
      JOIN rubric_version v ON v.rubric_id = r.id
      WHERE r.project_id = ${input.projectId}
      ORDER BY r.id, v.number DESC
    `) {
      const id = newId();
      await sql`INSERT INTO rubric (id, project_id, name) VALUES (${id}, ${projectId}, ${r.name})`;
      await sql`
        INSERT INTO rubric_version (id, rubric_id, number, definition, created_by)
        VALUES (${newId()}, ${id}, 1, ${sql.json(r.definition as never)}, ${by})
      `;
    }
    // What the school knows already: its choices, its tools and the questions that were asked. Who is signed for a tool
    // is signed anew.
    await sql`
      UPDATE project
      SET settings = (SELECT settings - 'conceptsOpen' FROM project WHERE id = ${input.projectId})
      WHERE id = ${projectId}
    `;
    for (const t of await sql<
      { name: row.Tool["name"]; caution: row.Tool["caution"] }[]
    >`SELECT name, caution FROM tool WHERE project_id = ${input.projectId} ORDER BY name`)
      await sql`INSERT INTO tool ${sql({ id: newId(), projectId, ...t })}`;
    for (const q of await sql<{ text: row.Question["text"]; place: row.Question["place"] }[]>`
      SELECT text, place
      FROM question
      WHERE project_id = ${input.projectId} AND merged_into IS NULL AND NOT dropped AND statement_id IS NULL
      ORDER BY place
    `)
      await sql`
        INSERT INTO question ${sql({
          id: newId(),
          projectId,
          text: q.text,
          place: q.place,
          draftedBy: "the edition before",
        })}
      `;
    audit({ type: "project", id: projectId, label: input.title, after: { editionOf: input.projectId } });
    return { projectId, slug };
  },
});
