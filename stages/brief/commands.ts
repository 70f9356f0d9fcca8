import type * as row from "@/platform/db/rows";
import "server-only";
import { proposeRequirement } from "@/core/needs/propose";
import { parseQuantity } from "@/core/quantity/quantity";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { insertRequirement } from "@/platform/register/requirement";
import { briefActs } from "./acts";
import * as s from "./schema";

export const linkBriefRule = command({
  name: "linkBriefRule",
  act: briefActs.edit,
  schema: s.briefRule,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    await sql`DELETE FROM brief_rule WHERE project_id = ${input.projectId} AND key = ${input.key}`;
    if (input.requirementId)
      found(
        (await sql`SELECT FROM requirement WHERE id = ${input.requirementId} AND project_id = ${input.projectId}`)[0],
        "This requirement",
      );
    if (input.requirementId || input.none)
      await sql`
        INSERT INTO brief_rule ${sql({
          projectId: input.projectId,
          key: input.key,
          requirementId: input.none ? null : input.requirementId!,
        })}
      `;
    audit({
      type: "brief",
      label: input.key,
      after: { requirement: input.requirementId ?? (input.none ? "none" : null) },
    });
  },
});

/** A rule of the brief becomes a requirement with the limit that it states, and is linked to it. */
export const adoptRule = command({
  name: "adoptRule",
  act: briefActs.edit,
  schema: s.adoptRule,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<{ id: string; code: string }> {
    const taken = await sql`
      SELECT FROM brief_rule
      WHERE project_id = ${input.projectId} AND key = ${input.key} AND requirement_id IS NOT NULL
    `;
    if (taken.length) refuse("This rule has its requirement already. Reload to see which.");
    const proposed = proposeRequirement(input.text);
    const made = await insertRequirement(
      sql,
      input.projectId,
      {
        ...proposed,
        // The rules of a brief hold for everybody.
        priority: "must",
        method: proposed.method ?? "inspection",
        statement: input.text,
        source: "Rule of the brief",
      },
      by,
    );
    await sql`DELETE FROM brief_rule WHERE project_id = ${input.projectId} AND key = ${input.key}`;
    await sql`INSERT INTO brief_rule ${sql({ projectId: input.projectId, key: input.key, requirementId: made.id })}`;
    audit({ type: "requirement", id: made.id, label: `${made.code} ${input.text}`, after: { from: "brief" } });
    return made;
  },
});

const challengeLabels = {
  title: "Challenge",
  task: "Task",
  heldOn: "On",
  measure: "Measured",
  unit: "Unit",
  resolution: "Read to",
  better: "Better is",
};

/** Sets up an entry challenge, or corrects one; its unit stays once a result is in. */
export const saveChallenge = command({
  name: "saveChallenge",
  act: briefActs.edit,
  schema: s.challenge,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const unit = input.unit || "1";
    const resolution = parseQuantity(input.resolution || "1", unit);
    if (!resolution.ok) refuse(resolution.message, "resolution");
    const values = {
      title: input.title,
      task: input.task,
      heldOn: input.heldOn,
      measure: input.measure,
      unit,
      resolution: resolution.quantity.si,
      better: input.better,
    };
    const id = input.id ?? newId();
    let before: object | undefined;
    if (input.id) {
      const [old] = await sql<(typeof values & { version: number; used: boolean })[]>`
        SELECT *, EXISTS (SELECT FROM challenge_result WHERE challenge_id = c.id) AS used
        FROM challenge c
        WHERE id = ${id} AND project_id = ${input.projectId} FOR UPDATE
      `;
      checkVersion(found(old, "This challenge"), input.version, challengeLabels, values, old!);
      if (old!.used && old!.unit !== unit)
        refuse(`Results are in ${old!.unit}. Take them out first, or leave the unit as it is.`, "unit");
      before = old;
      await sql`UPDATE challenge SET ${sql(values)}, version = version + 1 WHERE id = ${id}`;
    } else await sql`INSERT INTO challenge ${sql({ id, projectId: input.projectId, ...values })}`;
    audit({ type: "challenge", id, label: input.title, before, after: input });
    return { id };
  },
});

/** A group's result: several are kept, the best counts. */
export const recordChallenge = command({
  name: "recordChallenge",
  act: briefActs.edit,
  schema: s.challengeResult,
  subject: (sql, i) => projectOf(sql, "challenge", i.challengeId),
  async run({ sql, audit, by }, input) {
    const [c] = await sql<
      { projectId: row.Challenge["projectId"]; unit: row.Challenge["unit"]; title: row.Challenge["title"] }[]
    >`SELECT project_id, unit, title FROM challenge WHERE id = ${input.challengeId}`;
    const value = parseQuantity(input.value, c!.unit);
    if (!value.ok) refuse(value.message, "value");
    await sql`
      INSERT INTO challenge_result ${sql({
        id: input.id,
        projectId: c!.projectId,
        challengeId: input.challengeId,
        who: input.who,
        value: value.quantity.si,
        entered: input.value,
        recordedBy: by,
      })}
    `;
    audit({
      type: "challenge",
      id: input.challengeId,
      label: `${c!.title}: ${input.who}`,
      after: { value: input.value },
    });
  },
});

export const saveBrief = command({
  name: "saveBrief",
  act: briefActs.edit,
  schema: s.brief,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<{ number: number }> {
    await sql`SELECT FROM project WHERE id = ${input.projectId} FOR UPDATE`;
    const [latest] = await sql<
      { number: row.BriefVersion["number"]; body: row.BriefVersion["body"] }[]
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
  act: briefActs.acknowledge,
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
