import "server-only";
import type { Actor } from "@/core/access/can";
import { runMeasure } from "@/core/needs/requirement";
import { addDays, isDate } from "@/core/sessions/date";
import type { MeetingPattern } from "@/core/sessions/sessions";
import { checkVersion, command, found, projectOf, refuse } from "./command";
import { db, newId, type Tx } from "./db";
import * as s from "./schemas/projects";

/** The address of a project from its title; a number is added where the address is taken. */
async function freeSlug(sql: Tx, title: string): Promise<string> {
  const base =
    title
      .normalize("NFKD")
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-+|-+$/g, "")
      .slice(0, 60) || "project";
  const taken = new Set(
    (await sql<{ slug: string }[]>`SELECT slug FROM project WHERE slug = ${base} OR slug LIKE ${`${base}-%`}`).map(
      (r) => r.slug,
    ),
  );
  for (let i = 1; ; i++) {
    const slug = i === 1 ? base : `${base}-${i}`;
    if (!taken.has(slug)) return slug;
  }
}

/**
 * Days off as people write them, one a line: `2027-02-15`, `2027-02-15 Staff day`, `2027-02-22 to 2027-02-26
 * Half-term`.
 * Gives the dates, or the first line that cannot be read.
 */
export function readDaysOff(
  text: string,
): { ok: true; days: { date: string; reason: string }[] } | { ok: false; line: string } {
  const days: { date: string; reason: string }[] = [];
  for (const line of text
    .split("\n")
    .map((l) => l.trim())
    .filter(Boolean)) {
    const m = /^(\d{4}-\d\d-\d\d)(?:\s*(?:to|–|-)\s*(\d{4}-\d\d-\d\d))?\s*(.*)$/.exec(line);
    if (!m || !isDate(m[1]!) || (m[2] && (!isDate(m[2]) || m[2] < m[1]!))) return { ok: false, line };
    for (let d = m[1]!, i = 0; d <= (m[2] ?? m[1]!) && i < 400; d = addDays(d, 1), i++)
      days.push({ date: d, reason: m[3] ?? "" });
  }
  return { ok: true, days };
}

async function addDaysOff(sql: Tx, projectId: string, text: string, sectionId?: string): Promise<number> {
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

type SectionInput = {
  name: string;
  pattern: "weekdays" | "cycle";
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
  act: "project.create",
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
  act: "project.edit",
  schema: s.editProject,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const [row] = await sql<
      {
        version: number;
        title: string;
        purpose: string;
        kind: string;
        client: string;
        startsOn: string;
        endsOn: string;
        eventOn: string | null;
        currency: string;
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
  act: "plan.edit",
  schema: s.newSection,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const [p] = await sql<{ startsOn: string; taken: boolean }[]>`
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

export const addDaysOffToProject = command({
  name: "addDaysOffToProject",
  act: "plan.edit",
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

export const removeDayOff = command({
  name: "removeDayOff",
  act: "plan.edit",
  schema: s.dayOffId,
  subject: (sql, i) => projectOf(sql, "day_off", i.id),
  async run({ sql, audit }, input) {
    const [d] = await sql`DELETE FROM day_off WHERE id = ${input.id} RETURNING on_date, reason`;
    audit({ type: "calendar", label: String(d?.onDate), before: d });
  },
});

export const saveMilestone = command({
  name: "saveMilestone",
  act: "plan.edit",
  schema: s.milestone,
  twice: "There is a milestone of this name.",
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const id = newId();
    await sql`
      INSERT INTO milestone (id, project_id, title, due_on, scope)
      VALUES (${id}, ${input.projectId}, ${input.title}, ${input.dueOn}, ${input.scope})
    `;
    audit({ type: "milestone", id, label: input.title, after: { due: input.dueOn } });
    return { id };
  },
});

const ofMilestone = (sql: Tx, id: string) => projectOf(sql, "milestone", id);

export const removeMilestone = command({
  name: "removeMilestone",
  act: "plan.edit",
  schema: s.milestoneId,
  subject: (sql, i) => ofMilestone(sql, i.id),
  async run({ sql, audit }, input) {
    if ((await sql`SELECT FROM milestone_check WHERE milestone_id = ${input.id} LIMIT 1`).length)
      refuse("Teams have passed this milestone already; it stays in the record.");
    const [m] = await sql`DELETE FROM milestone WHERE id = ${input.id} RETURNING title, due_on`;
    audit({ type: "milestone", id: input.id, label: String(m?.title), before: m });
  },
});

/** Says that a team or a student has passed a milestone on a date; without a date the check is taken back. */
export const checkMilestone = command({
  name: "checkMilestone",
  act: "milestone.check",
  schema: s.milestoneCheck,
  subject: (sql, i) => ofMilestone(sql, i.milestoneId),
  async run({ sql, audit, by }, input) {
    const [row] = await sql<{ title: string; scope: string; projectId: string; subject: string | null }[]>`
      SELECT
        m.title, m.scope, m.project_id,
        coalesce(
          (SELECT name FROM team WHERE id = ${input.teamId ?? null} AND project_id = m.project_id),
          (
            SELECT p.name
            FROM person p
            JOIN enrolment e ON e.person_id = p.id
            JOIN project_section ps USING (section_id)
            WHERE p.id = ${input.personId ?? null} AND ps.project_id = m.project_id
            LIMIT 1
          )
        ) AS subject
      FROM milestone m
      WHERE m.id = ${input.milestoneId}
    `;
    const m = found(row, "The milestone");
    if (!m.subject || (m.scope === "team") !== !!input.teamId || (m.scope === "person") !== !!input.personId)
      refuse(m.scope === "team" ? "Choose a team of this project." : "Choose a student of this project.");
    await sql`
      DELETE
      FROM milestone_check
      WHERE milestone_id = ${input.milestoneId}
        AND team_id IS NOT DISTINCT FROM ${input.teamId ?? null}
        AND person_id IS NOT DISTINCT FROM ${input.personId ?? null}
    `;
    if (input.doneOn)
      await sql`
        INSERT INTO milestone_check (id, project_id, milestone_id, team_id, person_id, done_on, checked_by)
        VALUES (
          ${newId()}, ${m.projectId}, ${input.milestoneId}, ${input.teamId ?? null}, ${input.personId ?? null},
          ${input.doneOn}, ${by}
        )
      `;
    audit({
      type: "milestone",
      id: input.milestoneId,
      label: `${m.title}: ${m.subject}`,
      after: { done: input.doneOn ?? null },
    });
  },
});

// Brief --------------------------------------------------------------------------------------------------------------

export interface BriefVersion {
  id: string;
  number: number;
  body: string;
  whatChanged: string;
  createdBy: string;
  createdAt: string;
  readers: number;
}
export const briefVersions = (projectId: string) => db()<BriefVersion[]>`
  SELECT b.*, (SELECT count(*)::int FROM brief_reading r WHERE r.brief_version_id = b.id) AS readers
  FROM brief_version b
  WHERE project_id = ${projectId}
  ORDER BY number DESC
`;
export const briefReaders = (briefVersionId: string) =>
  db()<
    { personId: string; at: string }[]
  >`SELECT person_id, at FROM brief_reading WHERE brief_version_id = ${briefVersionId}`;

export const saveBrief = command({
  name: "saveBrief",
  act: "brief.edit",
  schema: s.brief,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<{ number: number }> {
    await sql`SELECT FROM project WHERE id = ${input.projectId} FOR UPDATE`;
    const [latest] = await sql<
      { number: number; body: string }[]
    >`SELECT number, body FROM brief_version WHERE project_id = ${input.projectId} ORDER BY number DESC LIMIT 1`;
    checkVersion({ version: latest?.number ?? 0 }, input.baseNumber, { body: "Brief" }, input, latest ?? { body: "" });
    if (latest && latest.body === input.body) refuse("The text is the same as the current version.", "body");
    if (latest && !input.whatChanged)
      refuse("Say in a few words what changed, so that the class hears of it.", "whatChanged");
    const number = (latest?.number ?? 0) + 1;
    const id = newId();
    await sql`
      INSERT INTO brief_version (id, project_id, number, body, what_changed, created_by)
      VALUES (${id}, ${input.projectId}, ${number}, ${input.body}, ${input.whatChanged}, ${by})
    `;
    audit({ type: "brief", id, label: `version ${number}`, after: { whatChanged: input.whatChanged } });
    return { number };
  },
});

export const acknowledgeBrief = command({
  name: "acknowledgeBrief",
  act: "brief.acknowledge",
  schema: s.briefRead,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, actor, audit }, input) {
    found(
      (await sql`SELECT FROM brief_version WHERE id = ${input.briefVersionId} AND project_id = ${input.projectId}`)[0],
      "This version of the brief",
    );
    await sql`
      INSERT INTO brief_reading (brief_version_id, person_id)
      VALUES (${input.briefVersionId}, ${actor.id})
      ON CONFLICT DO NOTHING
    `;
    audit({ type: "brief", id: input.briefVersionId, label: "read" });
  },
});

// Lists --------------------------------------------------------------------------------------------------------------

export interface ProjectLine {
  id: string;
  slug: string;
  title: string;
  purpose: string;
  kind: string;
  startsOn: string;
  endsOn: string;
  eventOn: string | null;
  finishedAt: string | null;
  teams: number;
  students: number;
  sections: string[];
}

/** The projects that an actor has a place in, running ones first. */
export async function projectsOf(actor: Actor): Promise<ProjectLine[]> {
  if (actor.kind !== "person") return [];
  const ids = Object.keys(actor.projects);
  if (!ids.length) return [];
  return db()<ProjectLine[]>`
    SELECT
      p.id, p.slug, p.title, p.purpose, p.kind, p.starts_on, p.ends_on, p.event_on, p.finished_at,
      (SELECT count(*)::int FROM team t WHERE t.project_id = p.id AND t.retired_at IS NULL) AS teams,
      (
        SELECT count(*)::int
        FROM enrolment e
        JOIN project_section ps USING (section_id)
        WHERE ps.project_id = p.id AND e.to_on IS NULL
      ) AS students,
      (
        SELECT coalesce(array_agg(c.name ORDER BY c.name), '{}')
        FROM section c
        JOIN project_section ps ON ps.section_id = c.id
        WHERE ps.project_id = p.id
      ) AS sections
    FROM project p
    WHERE p.id IN ${db()(ids)}
    ORDER BY p.finished_at NULLS FIRST, p.starts_on DESC
  `;
}

// Records ------------------------------------------------------------------------------------------------------------

/** Finishes a project: it becomes a record that the next edition starts from. */
export const finishProject = command({
  name: "finishProject",
  act: "project.finish",
  schema: s.project,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const [p] = await sql<{ title: string }[]>`
      UPDATE project
      SET finished_at = app_now(), version = version + 1
      WHERE id = ${input.projectId} AND finished_at IS NULL
      RETURNING title
    `;
    if (!p) refuse("The project is finished already.");
    audit({ type: "project", id: input.projectId, label: p.title, after: { finished: true } });
  },
});

export const reopenProject = command({
  name: "reopenProject",
  act: "project.finish",
  schema: s.project,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const [p] = await sql<{ title: string }[]>`
      UPDATE project
      SET finished_at = NULL, version = version + 1
      WHERE id = ${input.projectId} AND finished_at IS NOT NULL
      RETURNING title
    `;
    if (!p) refuse("The project is not finished.");
    audit({ type: "project", id: input.projectId, label: p.title, after: { finished: false } });
  },
});

/**
 * The next edition of a project: brief, requirements, protocols and rubrics are carried over as version 1; sections are
 * made anew with the same patterns.
 * Teams, builds and results stay behind; their best becomes the benchmark line.
 */
export const createEdition = command({
  name: "createEdition",
  act: "project.finish",
  schema: s.edition,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, actor, by, audit }, input): Promise<{ projectId: string; slug: string }> {
    if (input.endsOn < input.startsOn) refuse("The last day is before the first day.", "endsOn");
    const [old] = await sql<
      { purpose: string; kind: string; client: string; currency: string }[]
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
    for (const c of await sql<{ name: string; pattern: MeetingPattern }[]>`
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
    for (const p of await sql<{ id: string; name: string; definition: object }[]>`
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
        code: string;
        statement: string;
        kind: string;
        priority: string;
        measure: string | null;
        comparator: string | null;
        target: string | null;
        second: string | null;
        sides: string[] | null;
        unit: string | null;
        method: string | null;
        source: string;
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
    for (const r of await sql<{ name: string; definition: object }[]>`
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
      { name: string; caution: string }[]
    >`SELECT name, caution FROM tool WHERE project_id = ${input.projectId} ORDER BY name`)
      await sql`INSERT INTO tool ${sql({ id: newId(), projectId, ...t })}`;
    for (const q of await sql<{ text: string; place: number | null }[]>`
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
