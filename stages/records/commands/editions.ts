import type * as row from "@/platform/db/rows";
import "server-only";
import type { EditionPart } from "@/core/vocabulary/project";
import { command, found, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { projectActs } from "@/platform/project/acts";
import { freeSlug } from "@/platform/project/slug";
import * as s from "@/stages/plan/schema";
import * as recordsSchema from "../schema";
import {
  type Carry,
  carryBrief,
  carryProtocols,
  carryQuestions,
  carryRequirements,
  carryRubrics,
  carrySections,
  carryTools,
  type Ids,
} from "./carry";
import { carryEvents, carryPlan, carryScheme, shifter } from "./carry-plan";

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
 * The next edition of a project: what is ticked is carried over as version 1, its dates as many weeks later; sections
 * are made anew with the same patterns. Teams, builds and results stay behind; their best becomes the benchmark line.
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
        startsOn: row.Project["startsOn"];
      }[]
    >`SELECT purpose, kind, client, currency, starts_on FROM project WHERE id = ${input.projectId}`;
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
    const c: Carry = { sql, from: input.projectId, to: projectId, by, startsOn: input.startsOn };
    const shift = shifter(from.startsOn, input.startsOn, input.endsOn);
    const takes = (part: EditionPart) => input.parts.includes(part);
    const none: Ids = new Map();
    const sections = await carrySections(c);
    if (takes("brief")) await carryBrief(c);
    const protocols = takes("protocols") ? await carryProtocols(c) : none;
    if (takes("requirements")) await carryRequirements(c, protocols);
    if (takes("rubrics")) await carryRubrics(c);
    // The schools are what the instructor is used to.
    await sql`
      UPDATE project
      SET settings = (SELECT settings - 'conceptsOpen' FROM project WHERE id = ${input.projectId})
      WHERE id = ${projectId}
    `;
    const tools = takes("tools") ? await carryTools(c) : none;
    if (takes("questions")) await carryQuestions(c);
    const milestones = takes("plan") ? await carryPlan(c, shift, { sections, tools }) : none;
    const events = takes("events") ? await carryEvents(c, protocols) : none;
    if (takes("scheme")) await carryScheme(c, { protocols, events, milestones });
    audit({
      type: "project",
      id: projectId,
      label: input.title,
      after: { editionOf: input.projectId, parts: input.parts },
    });
    return { projectId, slug };
  },
});
