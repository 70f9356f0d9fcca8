import type * as row from "@/platform/db/rows";
import "server-only";
import { runMeasure } from "@/core/needs/requirement";
import type { MeetingPattern } from "@/core/sessions/sessions";
import { newId, type Tx } from "@/platform/db/db";

/** From which project to which, and who carries. */
export interface Carry {
  readonly sql: Tx;
  readonly from: string;
  readonly to: string;
  readonly by: string;
  /** The new project's first day. */
  readonly startsOn: string;
}

/** New ids by old ones. */
export type Ids = ReadonlyMap<string, string>;

/** Sections are made anew with the same patterns; gives their new ids. */
export async function carrySections(c: Carry): Promise<Ids> {
  const sections = new Map<string, string>();
  for (const x of await c.sql<{ id: row.Section["id"]; name: row.Section["name"]; pattern: MeetingPattern }[]>`
    SELECT c.id, c.name, c.pattern
    FROM section c
    JOIN project_section ps ON ps.section_id = c.id
    WHERE ps.project_id = ${c.from}
  `) {
    const id = newId();
    const pattern = x.pattern.kind === "cycle" ? { ...x.pattern, startsOn: c.startsOn } : x.pattern;
    await c.sql`
      INSERT INTO section (id, name, school_year, pattern)
      VALUES (${id}, ${x.name}, ${c.startsOn.slice(0, 4)}, ${c.sql.json(pattern as never)})
    `;
    await c.sql`INSERT INTO project_section (project_id, section_id) VALUES (${c.to}, ${id})`;
    sections.set(x.id, id);
  }
  return sections;
}

/** The brief as its version 1. */
export async function carryBrief(c: Carry): Promise<void> {
  await c.sql`
    INSERT INTO brief_version (id, project_id, number, body, created_by)
    SELECT ${newId()}, ${c.to}, 1, body, ${c.by}
    FROM brief_version
    WHERE project_id = ${c.from}
    ORDER BY number DESC
    LIMIT 1
  `;
}

/** Protocols in their last version; gives their new ids. */
export async function carryProtocols(c: Carry): Promise<Ids> {
  const protocols = new Map<string, string>();
  for (const p of await c.sql<{ id: row.Protocol["id"]; name: row.Protocol["name"]; definition: object }[]>`
    SELECT DISTINCT ON (p.id) p.id, p.name, v.definition
    FROM protocol p
    JOIN protocol_version v ON v.protocol_id = p.id
    WHERE p.project_id = ${c.from}
    ORDER BY p.id, v.number DESC
  `) {
    const id = newId();
    protocols.set(p.id, id);
    await c.sql`INSERT INTO protocol (id, project_id, name) VALUES (${id}, ${c.to}, ${p.name})`;
    await c.sql`
      INSERT INTO protocol_version (id, protocol_id, number, definition, created_by)
      VALUES (${newId()}, ${id}, 1, ${c.sql.json(p.definition as never)}, ${c.by})
    `;
  }
  return protocols;
}

/** Requirements that stand, in their last version; what a protocol measures that is not carried has no measure. */
export async function carryRequirements(c: Carry, protocols: Ids): Promise<void> {
  const carried = (measure: string | null) => {
    const run = runMeasure(measure);
    return run ? (protocols.has(run.protocol) ? `run:${protocols.get(run.protocol)}:${run.channel}` : null) : measure;
  };
  for (const r of await c.sql<
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
    WHERE r.project_id = ${c.from} AND r.retired_at IS NULL
    ORDER BY r.id, v.number DESC
  `) {
    const id = newId();
    const { code, ...version } = r;
    await c.sql`INSERT INTO requirement (id, project_id, code) VALUES (${id}, ${c.to}, ${code})`;
    await c.sql`
      INSERT INTO requirement_version ${c.sql({
        ...version,
        id: newId(),
        requirementId: id,
        number: 1,
        measure: carried(r.measure),
        reason: "carried over from the edition before",
        createdBy: c.by,
      })}
    `;
  }
}

/** Rubrics in their last version. */
export async function carryRubrics(c: Carry): Promise<void> {
  for (const r of await c.sql<{ name: row.Rubric["name"]; definition: object }[]>`
    SELECT DISTINCT ON (r.id) r.name, v.definition
    FROM rubric r
    JOIN rubric_version v ON v.rubric_id = r.id
    WHERE r.project_id = ${c.from}
    ORDER BY r.id, v.number DESC
  `) {
    const id = newId();
    await c.sql`INSERT INTO rubric (id, project_id, name) VALUES (${id}, ${c.to}, ${r.name})`;
    await c.sql`
      INSERT INTO rubric_version (id, rubric_id, number, definition, created_by)
      VALUES (${newId()}, ${id}, 1, ${c.sql.json(r.definition as never)}, ${c.by})
    `;
  }
}

/** Tools with their rules, cautions and daily lists; who is signed for one is signed anew. Gives their new ids. */
export async function carryTools(c: Carry): Promise<Ids> {
  const tools = new Map<string, string>();
  for (const t of await c.sql<row.Tool[]>`SELECT * FROM tool WHERE project_id = ${c.from} ORDER BY name`) {
    const id = newId();
    tools.set(t.id, id);
    await c.sql`INSERT INTO tool ${c.sql({ ...t, id, projectId: c.to, version: 1 })}`;
  }
  return tools;
}

/** The questions that were asked of the client. */
export async function carryQuestions(c: Carry): Promise<void> {
  for (const q of await c.sql<{ text: row.Question["text"]; place: row.Question["place"] }[]>`
    SELECT text, place
    FROM question
    WHERE project_id = ${c.from} AND merged_into IS NULL AND NOT dropped AND statement_id IS NULL
    ORDER BY place
  `)
    await c.sql`
      INSERT INTO question ${c.sql({
        id: newId(),
        projectId: c.to,
        text: q.text,
        place: q.place,
        draftedBy: "the edition before",
      })}
    `;
}
