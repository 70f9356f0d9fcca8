import type * as row from "@/platform/db/rows";
import "server-only";
import { parseQuantity } from "@/core/quantity/quantity";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { briefActs } from "./acts";
import * as s from "./schema";

export const linkBriefRule = command({
  name: "linkBriefRule",
  act: briefActs.edit,
  schema: s.briefRule,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    if (!input.requirementId)
      await sql`DELETE FROM brief_rule WHERE project_id = ${input.projectId} AND key = ${input.key}`;
    else {
      found(
        (await sql`SELECT FROM requirement WHERE id = ${input.requirementId} AND project_id = ${input.projectId}`)[0],
        "This requirement",
      );
      await sql`
        INSERT INTO brief_rule (project_id, key, requirement_id)
        VALUES (${input.projectId}, ${input.key}, ${input.requirementId})
        ON CONFLICT (project_id, key) DO UPDATE SET requirement_id = excluded.requirement_id
      `;
    }
    audit({ type: "brief", label: input.key, after: { requirement: input.requirementId ?? null } });
  },
});

export const saveChallenge = command({
  name: "saveChallenge",
  act: briefActs.edit,
  schema: s.challenge,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const id = newId();
    const unit = input.unit || "1";
    const resolution = parseQuantity(input.resolution || "1", unit);
    if (!resolution.ok) refuse(resolution.message, "resolution");
    await sql`
      INSERT INTO challenge ${sql({
        id,
        projectId: input.projectId,
        title: input.title,
        task: input.task,
        heldOn: input.heldOn,
        measure: input.measure,
        unit,
        resolution: resolution.quantity.si,
        better: input.better,
      })}
    `;
    audit({ type: "challenge", id, label: input.title, after: input });
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

export const removeChallengeResult = command({
  name: "removeChallengeResult",
  act: briefActs.edit,
  schema: s.challengeResultId,
  subject: (sql, i) => projectOf(sql, "challenge_result", i.id),
  async run({ sql, audit }, input) {
    const [r] = await sql`DELETE FROM challenge_result WHERE id = ${input.id} RETURNING who, entered`;
    audit({ type: "challenge", id: input.id, label: String(r?.who), before: r });
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
