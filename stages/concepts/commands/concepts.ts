import { linesOf } from "@/core/text/lines";
import type * as row from "@/platform/db/rows";
import "server-only";
import { isBuildMeasure } from "@/core/needs/requirement";
import { parseQuantity } from "@/core/quantity/quantity";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { readPicture, usePicture } from "@/platform/files/files";
import { projectUnits } from "@/platform/project/settings";
import { entered, readSides, siOrNull } from "@/platform/schema/entered";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { limitOf } from "@/stages/needs/view/requirements";
import { conceptActs } from "../acts";
import type { Concept } from "../queries/concepts";
import { ofConcept } from "../queries/whose";
import * as s from "../schema";
import { setFate } from "./fate";

const open = async (sql: Tx, id: string) => {
  const [k] = await sql<
    {
      projectId: row.Concept["projectId"];
      title: row.Concept["title"];
      fate: row.Concept["fate"];
      version: row.Concept["version"];
    }[]
  >`SELECT project_id, title, fate, version FROM concept WHERE id = ${id} FOR UPDATE`;
  if (found(k, "This concept").fate !== "open") refuse("This concept has been decided on. Its record stays as it was.");
  return k!;
};

export const saveConcept = command({
  name: "saveConcept",
  act: conceptActs.edit,
  schema: s.concept,
  async subject(sql, i, actor) {
    if (!i.id) return { project: i.projectId, person: actor.kind === "person" ? actor.id : undefined };
    const k = await ofConcept(sql, i.id);
    return k && k.project === i.projectId ? k : null;
  },
  async run({ sql, actor, audit }, input): Promise<{ id: string }> {
    const units = await projectUnits(input.projectId, sql);
    const row = {
      title: input.title,
      idea: input.idea,
      dimensions: input.dimensions,
      mass: siOrNull(input.mass, units.mass),
      cost: siOrNull(input.cost, "1"),
      sides: input.sides ? readSides(input.sides, units.side) : null,
      entered: sql.json(entered(input) as never),
    };
    for (const line of linesOf(input.dimensions)) {
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
      const [m] = await sql<{ teamId: row.Membership["teamId"] }[]>`
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
  act: conceptActs.edit,
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
  act: conceptActs.edit,
  schema: s.sketch,
  subject: (sql, i) => ofConcept(sql, i.conceptId),
  prepare: (i) => readPicture(Buffer.from(i.base64, "base64")),
  async run({ sql, by, audit }, input, picture): Promise<{ id: string }> {
    const k = await open(sql, input.conceptId);
    const { conceptId, caption } = input;
    const id = await usePicture(sql, picture, { projectId: k.projectId, conceptId, caption, addedBy: by });
    audit({ type: "concept", id: input.conceptId, label: `${k.title}: sketch`, after: { hash: picture.row.hash } });
    return { id };
  },
});

export const decideConcept = command({
  name: "decideConcept",
  act: conceptActs.decide,
  schema: s.conceptFate,
  subject: async (sql, i) => {
    const k = await ofConcept(sql, i.id);
    return k && { project: k.project };
  },
  async run({ sql, audit, by }, input) {
    const [k] = await sql<
      {
        projectId: row.Concept["projectId"];
        version: row.Concept["version"];
        title: row.Concept["title"];
        fate: row.Concept["fate"];
        reason: row.Concept["fateReason"];
      }[]
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
  act: conceptActs.decide,
  schema: s.mergeConcepts,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, by, audit }, input): Promise<{ id: string }> {
    const parents = await sql<
      {
        id: row.Concept["id"];
        title: row.Concept["title"];
        fate: row.Concept["fate"];
        authorId: row.Concept["authorId"];
      }[]
    >`
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
