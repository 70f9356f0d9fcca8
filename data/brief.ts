import "server-only";
import { rulesWithNumbers, type Rule, ruleDiffers } from "@/core/brief/brief";
import { likeness } from "@/core/needs/similarity";
import { sameDimension } from "@/core/quantity/dimension";
import { formatSi, parseQuantity } from "@/core/quantity/quantity";
import { parseUnit } from "@/core/quantity/units";
import { rank } from "@/core/ranking/rank";
import { command, found, projectOf, refuse } from "./command";
import { db, newId } from "./db";
import { limitOf, type RequirementRow, requirementsOf } from "./needs";
import * as s from "./schemas/front";

export interface RuleLine {
  rule: Rule;
  requirement: RequirementRow | null;
  linked: boolean;
  differs: string | null;
}

/**
 * The requirement that a rule most likely speaks of: one with a limit in the same kind of quantity, the most alike in
 * words.
 */
function likely(rule: Rule, requirements: readonly RequirementRow[]): RequirementRow | null {
  const fits = requirements.filter((r) => {
    const limit = limitOf(r);
    if (!limit || limit.comparator === "yes") return false;
    if (limit.comparator === "fits") return rule.sides !== null;
    const unit = parseUnit(limit.unit);
    return rule.limits.some((l) =>
      l.unit === "1"
        ? limit.unit === "1"
        : unit !== null && limit.unit !== "1" && sameDimension(l.dimension, unit.dimension),
    );
  });
  const scored = fits
    .map((r) => ({ r, score: likeness(rule.text, `${r.statement} ${r.measure ?? ""}`).score }))
    .sort((a, b) => b.score - a.score);
  return scored.length === 1 || (scored[0]?.score ?? 0) > 0.15 ? (scored[0]?.r ?? null) : null;
}

/**
 * Every rule with a number of a brief's text, its requirement (linked by a person, or the likely one) and where their
 * numbers differ; the requirements in force may be given.
 */
export async function rulesOf(projectId: string, body: string, given?: readonly RequirementRow[]): Promise<RuleLine[]> {
  const [links, requirements] = await Promise.all([
    db()<
      { key: string; requirementId: string }[]
    >`SELECT key, requirement_id FROM brief_rule WHERE project_id = ${projectId}`,
    given ?? requirementsOf(projectId),
  ]);
  return rulesWithNumbers(body).map((rule) => {
    const link = links.find((l) => l.key === rule.key);
    const requirement = (link && requirements.find((r) => r.id === link.requirementId)) ?? likely(rule, requirements);
    const limit = requirement && limitOf(requirement);
    return { rule, requirement, linked: !!link, differs: limit ? ruleDiffers(rule, limit) : null };
  });
}

export const linkBriefRule = command({
  name: "linkBriefRule",
  act: "brief.edit",
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

/** Who has read which version: the newest version that each student has said to have read. */
export const readingsOf = (projectId: string) => db()<{ personId: string; number: number; at: string }[]>`
  SELECT DISTINCT ON (r.person_id) r.person_id, b.number, r.at
  FROM brief_reading r
  JOIN brief_version b ON b.id = r.brief_version_id
  WHERE b.project_id = ${projectId}
  ORDER BY r.person_id, b.number DESC
`;

// Entry challenge ----------------------------------------------------------------------------------------------------

interface ChallengeRow {
  id: string;
  title: string;
  task: string;
  heldOn: string;
  measure: string;
  unit: string;
  resolution: string;
  better: "more" | "less";
}
export interface ChallengeResult {
  id: string;
  who: string;
  value: string;
  shown: string;
  recordedBy: string;
}
export interface Challenge extends ChallengeRow {
  results: (ChallengeResult & { place: number; shared: boolean; best: boolean })[];
}

/** The entry challenges of a project with their results, each group placed by its best. */
export async function challengesOf(projectId: string): Promise<Challenge[]> {
  const [rows, results] = await Promise.all([
    db()<ChallengeRow[]>`
      SELECT id, title, task, held_on, measure, unit, resolution, better
      FROM challenge
      WHERE project_id = ${projectId}
      ORDER BY held_on, id
    `,
    db()<{ id: string; challengeId: string; who: string; value: string; recordedBy: string }[]>`
      SELECT id, challenge_id, who, value, recorded_by
      FROM challenge_result
      WHERE project_id = ${projectId}
      ORDER BY recorded_at
    `,
  ]);
  return rows.map((c) => {
    const mine = results.filter((r) => r.challengeId === c.id);
    const sign = c.better === "more" ? 1 : -1;
    const best = new Map<string, (typeof mine)[number]>();
    for (const r of mine) {
      const old = best.get(r.who);
      if (!old || sign * (Number(r.value) - Number(old.value)) > 0) best.set(r.who, r);
    }
    const places = new Map(
      rank(
        [...best.values()].map((r) => ({ id: r.id, value: r.value, breaks: [] })),
        { better: c.better, school: "competition", resolution: c.resolution, tieBreaks: [] },
      ).map((p) => [p.id, p]),
    );
    const decimals = Math.max(0, -Math.floor(Math.log10(Number(formatSi(c.resolution, c.unit)) || 1)));
    return {
      ...c,
      results: mine
        .map((r) => {
          const p = places.get(best.get(r.who)!.id);
          return {
            ...r,
            shown: formatSi(r.value, c.unit, decimals),
            place: p?.place ?? 0,
            shared: p?.shared ?? false,
            best: best.get(r.who)!.id === r.id,
          };
        })
        .sort((a, b) => a.place - b.place || Number(b.best) - Number(a.best)),
    };
  });
}

export const saveChallenge = command({
  name: "saveChallenge",
  act: "brief.edit",
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
  act: "brief.edit",
  schema: s.challengeResult,
  twice: "This result was saved already.",
  subject: (sql, i) => projectOf(sql, "challenge", i.challengeId),
  async run({ sql, audit, by }, input) {
    const [c] = await sql<
      { projectId: string; unit: string; title: string }[]
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
  act: "brief.edit",
  schema: s.challengeResultId,
  subject: (sql, i) => projectOf(sql, "challenge_result", i.id),
  async run({ sql, audit }, input) {
    const [r] = await sql`DELETE FROM challenge_result WHERE id = ${input.id} RETURNING who, entered`;
    audit({ type: "challenge", id: input.id, label: String(r?.who), before: r });
  },
});
