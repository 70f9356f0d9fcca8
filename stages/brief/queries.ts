import type * as row from "@/platform/db/rows";
import "server-only";
import { formatSi, fromSi } from "@/core/quantity/quantity";
import { rank } from "@/core/ranking/rank";
import { db } from "@/platform/db/db";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { type RuleLine, rulesAgainst } from "./view";

/** The rules of a brief's text against the requirements in force. */
export async function rulesOf(projectId: string, body: string): Promise<RuleLine[]> {
  const [links, requirements] = await Promise.all([
    db()<{ key: row.BriefRule["key"]; requirementId: row.BriefRule["requirementId"] }[]>`
      SELECT key, requirement_id FROM brief_rule WHERE project_id = ${projectId}
    `,
    requirementsOf(projectId),
  ]);
  return rulesAgainst(body, links, requirements);
}

/** Who has read which version: the newest version that each student has said to have read. */
export const readingsOf = (projectId: string) => db()<
  { personId: row.BriefReading["personId"]; number: row.BriefVersion["number"]; at: row.BriefReading["at"] }[]
>`
  SELECT DISTINCT ON (r.person_id) r.person_id, b.number, r.at
  FROM brief_reading r
  JOIN brief_version b ON b.id = r.brief_version_id
  WHERE b.project_id = ${projectId}
  ORDER BY r.person_id, b.number DESC
`;

interface ChallengeRow {
  id: row.Challenge["id"];
  title: row.Challenge["title"];
  task: row.Challenge["task"];
  heldOn: row.Challenge["heldOn"];
  measure: row.Challenge["measure"];
  unit: row.Challenge["unit"];
  resolution: row.Challenge["resolution"];
  better: row.Challenge["better"];
  version: row.Challenge["version"];
}

export interface ChallengeResult {
  id: string;
  who: string;
  value: string;
  /** In the unit of the challenge. */
  read: number;
  shown: string;
  recordedBy: string;
}

export interface Challenge extends ChallengeRow {
  /** The resolution in the unit, as it is typed. */
  readTo: string;
  results: (ChallengeResult & { place: number; shared: boolean; best: boolean })[];
}

/** The entry challenges of a project with their results, each group placed by its best. */
export async function challengesOf(projectId: string): Promise<Challenge[]> {
  const [rows, results] = await Promise.all([
    db()<ChallengeRow[]>`
      SELECT id, title, task, held_on, measure, unit, resolution, better, version
      FROM challenge
      WHERE project_id = ${projectId}
      ORDER BY held_on, id
    `,
    db()<
      {
        id: row.ChallengeResult["id"];
        challengeId: row.ChallengeResult["challengeId"];
        who: row.ChallengeResult["who"];
        value: row.ChallengeResult["value"];
        recordedBy: row.ChallengeResult["recordedBy"];
      }[]
    >`
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
      readTo: formatSi(c.resolution, c.unit, decimals),
      results: mine
        .map((r) => {
          const p = places.get(best.get(r.who)!.id);
          return {
            ...r,
            read: fromSi(r.value, c.unit).toNumber(),
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

export interface BriefVersion {
  id: row.BriefVersion["id"];
  number: row.BriefVersion["number"];
  body: row.BriefVersion["body"];
  whatChanged: row.BriefVersion["whatChanged"];
  createdBy: row.BriefVersion["createdBy"];
  createdAt: row.BriefVersion["createdAt"];
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
    { personId: row.BriefReading["personId"]; at: row.BriefReading["at"] }[]
  >`SELECT person_id, at FROM brief_reading WHERE brief_version_id = ${briefVersionId}`;
