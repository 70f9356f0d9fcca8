import "server-only";
import { can, type Actor } from "@/core/access/can";
import { type Claim, type Must, screenConcept, type Screened } from "@/core/concepts/screen";
import { isBuildMeasure } from "@/core/needs/requirement";
import { parseQuantity } from "@/core/quantity/quantity";
import { checkVersion, command, found, refuse } from "./command";
import { db, newId, type Tx } from "./db";
import { storePicture } from "./files";
import { limitOf, type RequirementRow, requirementsOf } from "./needs";
import { readSides, siOrNull } from "./schemas/common";
import * as s from "./schemas/front";
import { settingsOf } from "./settings";

export interface Concept {
  id: string;
  title: string;
  idea: string;
  dimensions: string;
  author: string | null;
  authorId: string | null;
  team: string | null;
  mass: string | null;
  cost: string | null;
  sides: string[] | null;
  fate: "open" | "goes on" | "set aside" | "merged";
  fateReason: string;
  fateBy: string | null;
  createdAt: string;
  version: number;
  sketches: { id: string; caption: string }[];
  parents: { id: string; title: string }[];
  claims: Record<string, Claim>;
}

/** Every concept of a project with its sketches, parents and claims, whoever asks. */
export const everyConcept = (projectId: string, sql: Tx = db()) => sql<Concept[]>`
  SELECT
    k.id, k.title, k.idea, k.dimensions, k.author_id, p.name AS author, t.name AS team, k.mass, k.cost, k.sides, k.fate,
    k.fate_reason, k.fate_by, k.created_at, k.version,
    (
      SELECT coalesce(json_agg(json_build_object('id', u.id, 'caption', u.caption) ORDER BY u.added_at), '[]')
      FROM file_use u
      WHERE u.concept_id = k.id
    ) AS sketches,
    (
      SELECT coalesce(json_agg(json_build_object('id', x.id, 'title', x.title) ORDER BY x.title), '[]')
      FROM concept_parent cp
      JOIN concept x ON x.id = cp.parent_id
      WHERE cp.concept_id = k.id
    ) AS parents,
    (
      SELECT coalesce(
        json_object_agg(
          c.requirement_id, json_build_object('says', c.says, 'how', c.how, 'estimate', c.estimate::text)
        ),
        '{}'
      )
      FROM concept_claim c
      WHERE c.concept_id = k.id
    ) AS claims
  FROM concept k
  LEFT JOIN person p ON p.id = k.author_id
  LEFT JOIN team t ON t.id = k.team_id
  WHERE k.project_id = ${projectId}
  ORDER BY k.fate <> 'goes on', k.fate <> 'open', k.created_at, k.id
`;

/**
 * The concepts that an actor may see: a student sees only the own ones until the instructor opens them all; guests see
 * them when they are open.
 */
export async function conceptsOf(projectId: string, actor: Actor): Promise<Concept[]> {
  const [all, { conceptsOpen }] = await Promise.all([everyConcept(projectId), settingsOf(projectId)]);
  if (conceptsOpen || can(actor, "concept.decide", { project: projectId })) return all;
  return actor.kind === "person" ? all.filter((k) => k.authorId === actor.id) : [];
}

export interface Fate {
  id: string;
  conceptId: string;
  fate: string;
  reason: string;
  decidedBy: string;
  decidedAt: string;
}
export const fatesOf = (conceptId: string) =>
  db()<Fate[]>`
    SELECT id, concept_id, fate, reason, decided_by, decided_at
    FROM concept_fate
    WHERE concept_id = ${conceptId}
    ORDER BY decided_at
  `;

/** The requirements that concepts are screened against: every must in force. */
export const mustsOf = (requirements: readonly RequirementRow[]): Must[] =>
  requirements
    .filter((r) => r.priority === "must")
    .map((r) => ({ id: r.id, code: r.code, statement: r.statement, measure: r.measure, limit: limitOf(r) }));

export const screen = (musts: readonly Must[], k: Pick<Concept, "mass" | "cost" | "sides" | "claims">): Screened[] =>
  screenConcept(musts, k, k.claims);

const ofConcept = async (sql: Tx, id: string) => {
  const [k] = await sql<
    { projectId: string; authorId: string | null }[]
  >`SELECT project_id, author_id FROM concept WHERE id = ${id}`;
  return k ? { project: k.projectId, person: k.authorId ?? "" } : null;
};
const open = async (sql: Tx, id: string) => {
  const [k] = await sql<
    { projectId: string; title: string; fate: string; version: number }[]
  >`SELECT project_id, title, fate, version FROM concept WHERE id = ${id} FOR UPDATE`;
  if (found(k, "This concept").fate !== "open") refuse("This concept has been decided on. Its record stays as it was.");
  return k!;
};

export const saveConcept = command({
  name: "saveConcept",
  act: "concept.edit",
  schema: s.concept,
  async subject(sql, i, actor) {
    if (!i.id) return { project: i.projectId, person: actor.kind === "person" ? actor.id : undefined };
    const k = await ofConcept(sql, i.id);
    return k && k.project === i.projectId ? k : null;
  },
  async run({ sql, actor, audit }, input): Promise<{ id: string }> {
    const row = {
      title: input.title,
      idea: input.idea,
      dimensions: input.dimensions,
      mass: siOrNull(input.mass, "kg"),
      cost: siOrNull(input.cost, "1"),
      sides: input.sides ? readSides(input.sides, "mm") : null,
    };
    for (const line of input.dimensions
      .split("\n")
      .map((l) => l.trim())
      .filter(Boolean)) {
      const [, value] = /^[^=:]+[=:]\s*(.+)$/.exec(line) ?? [];
      const unit = value && /[a-z°%]/i.test(value) ? value.replace(/^[\d.,\s±+-]+/, "") : "";
      if (!value || !unit || !parseQuantity(value, unit).ok)
        refuse(
          `“${line}” cannot be read. Write one dimension a line with its unit, for example bore = 40 mm.`,
          "dimensions",
        );
    }
    if (!input.id) {
      const id = newId();
      const [m] = await sql<{ teamId: string }[]>`
        SELECT team_id
        FROM membership
        WHERE project_id = ${input.projectId} AND person_id = ${actor.id} AND to_on IS NULL
      `;
      await sql`
        INSERT INTO concept ${sql({
          ...row,
          id,
          projectId: input.projectId,
          authorId: actor.id,
          teamId: m?.teamId ?? null,
        })}
      `;
      audit({ type: "concept", id, label: input.title });
      return { id };
    }
    const [old] = await sql<Concept[]>`SELECT * FROM concept WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(
      found(old, "This concept"),
      input.version,
      { title: "Title", idea: "Idea" },
      row,
      old as unknown as Record<string, unknown>,
    );
    await open(sql, input.id);
    await sql`UPDATE concept SET ${sql(row)}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "concept", id: input.id, label: input.title, before: old, after: row });
    return { id: input.id };
  },
});

/** What the author says of one must; an empty word takes it back. */
export const claimMust = command({
  name: "claimMust",
  act: "concept.edit",
  schema: s.claim,
  subject: (sql, i) => ofConcept(sql, i.conceptId),
  async run({ sql, audit }, input) {
    const k = await open(sql, input.conceptId);
    const r = found(
      (await requirementsOf(k.projectId, sql)).find((x) => x.id === input.requirementId),
      "This requirement",
    );
    const limit = limitOf(r);
    let estimate: string | null = null;
    if (input.estimate) {
      if (!limit || limit.comparator === "yes" || limit.comparator === "fits" || isBuildMeasure(r.measure))
        refuse("This requirement takes no estimate here.", "estimate");
      const read = parseQuantity(input.estimate, limit.unit);
      if (!read.ok) refuse(read.message, "estimate");
      estimate = read.quantity.si;
    }
    if (!input.says && !estimate)
      await sql`
        DELETE FROM concept_claim WHERE concept_id = ${input.conceptId} AND requirement_id = ${input.requirementId}
      `;
    else
      await sql`
        INSERT INTO concept_claim ${sql({
          conceptId: input.conceptId,
          requirementId: input.requirementId,
          says: input.says || "unsure",
          how: input.how,
          estimate,
        })}
        ON CONFLICT (concept_id, requirement_id) DO UPDATE SET says = excluded.says, how = excluded.how,
        estimate = excluded.estimate
      `;
    audit({
      type: "concept",
      id: input.conceptId,
      label: `${k.title}: ${r.code}`,
      after: { says: input.says, how: input.how, estimate: input.estimate },
    });
  },
});

export const addSketch = command({
  name: "addSketch",
  act: "concept.edit",
  schema: s.sketch,
  subject: (sql, i) => ofConcept(sql, i.conceptId),
  async run({ sql, by, audit }, input): Promise<{ id: string }> {
    const k = await open(sql, input.conceptId);
    const hash = await storePicture(sql, Buffer.from(input.base64, "base64"));
    const id = newId();
    await sql`
      INSERT INTO file_use ${sql({
        id,
        projectId: k.projectId,
        fileHash: hash,
        conceptId: input.conceptId,
        caption: input.caption,
        addedBy: by,
      })}
    `;
    audit({ type: "concept", id: input.conceptId, label: `${k.title}: sketch`, after: { hash } });
    return { id };
  },
});

export const removeSketch = command({
  name: "removeSketch",
  act: "concept.edit",
  schema: s.fileUseId,
  async subject(sql, i) {
    const [u] = await sql<
      { conceptId: string }[]
    >`SELECT concept_id FROM file_use WHERE id = ${i.id} AND concept_id IS NOT NULL`;
    return u ? ofConcept(sql, u.conceptId) : null;
  },
  async run({ sql, audit }, input) {
    const [u] = await sql<
      { conceptId: string; caption: string }[]
    >`SELECT concept_id, caption FROM file_use WHERE id = ${input.id}`;
    await open(sql, u!.conceptId);
    await sql`DELETE FROM file_use WHERE id = ${input.id}`;
    audit({ type: "concept", id: u!.conceptId, label: "sketch removed", before: u });
  },
});

/** Writes a concept's fate with its reason; every decision stays on record. */
export async function setFate(
  sql: Tx,
  concept: { id: string; projectId: string },
  fate: Concept["fate"],
  reason: string,
  by: string,
): Promise<void> {
  await sql`
    UPDATE concept
    SET fate = ${fate}, fate_reason = ${reason}, fate_by = ${by}, version = version + 1
    WHERE id = ${concept.id}
  `;
  await sql`
    INSERT INTO concept_fate ${sql({
      id: newId(),
      projectId: concept.projectId,
      conceptId: concept.id,
      fate,
      reason,
      decidedBy: by,
    })}
  `;
}

export const decideConcept = command({
  name: "decideConcept",
  act: "concept.decide",
  schema: s.conceptFate,
  subject: async (sql, i) => {
    const k = await ofConcept(sql, i.id);
    return k && { project: k.project };
  },
  async run({ sql, audit, by }, input) {
    const [k] = await sql<
      { projectId: string; version: number; title: string; fate: string; reason: string }[]
    >`SELECT project_id, version, title, fate, fate_reason AS reason FROM concept WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(k, "This concept"), input.version, { fate: "Decision", reason: "Reason" }, input, k!);
    await setFate(sql, { id: input.id, projectId: k!.projectId }, input.fate, input.reason, by);
    audit({
      type: "concept",
      id: input.id,
      label: k!.title,
      before: { fate: k!.fate },
      after: { fate: input.fate },
      reason: input.reason,
    });
  },
});

/**
 * Makes one concept of several: it keeps its parents, and they stay on record as merged into it. Claims that the
 * parents agree on come along.
 */
export const mergeConcepts = command({
  name: "mergeConcepts",
  act: "concept.decide",
  schema: s.mergeConcepts,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, by, audit }, input): Promise<{ id: string }> {
    const parents = await sql<{ id: string; title: string; fate: string; authorId: string | null }[]>`
      SELECT id, title, fate, author_id
      FROM concept
      WHERE id IN ${sql(input.parents)} AND project_id = ${input.projectId}
      ORDER BY created_at FOR UPDATE
    `;
    if (parents.length !== input.parents.length) refuse("One of these concepts is not here (any more).");
    const decided = parents.find((k) => k.fate === "merged");
    if (decided) refuse(`${decided.title} is part of a merged concept already.`);
    const id = newId();
    await sql`
      INSERT INTO concept ${sql({
        id,
        projectId: input.projectId,
        authorId: parents[0]!.authorId,
        title: input.title,
        idea: input.idea,
      })}
    `;
    await sql`INSERT INTO concept_parent ${sql(parents.map((k) => ({ conceptId: id, parentId: k.id })))}`;
    await sql`
      INSERT INTO concept_claim (concept_id, requirement_id, says, how)
      SELECT ${id}, requirement_id, min(says), string_agg(how, '; ')
      FROM concept_claim
      WHERE concept_id IN ${sql(input.parents)}
      GROUP BY requirement_id
      HAVING count(*) = ${parents.length} AND count(DISTINCT says) = 1
    `;
    for (const k of parents)
      await setFate(
        sql,
        { id: k.id, projectId: input.projectId },
        "merged",
        `${input.reason} (into ${input.title})`,
        by,
      );
    audit({
      type: "concept",
      id,
      label: input.title,
      after: { parents: parents.map((k) => k.title) },
      reason: input.reason,
    });
    return { id };
  },
});
