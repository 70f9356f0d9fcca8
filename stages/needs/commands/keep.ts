import type * as row from "@/platform/db/rows";
import "server-only";
import { command, found, projectOf, refuse } from "@/platform/command/command";
import { evidenceActs } from "../acts";
import { factsOfBuilds } from "../queries/facts";
import * as s from "../schema";
import { holdingOf } from "../view/holding";

/**
 * Keeps every result that a change of the limit made stale and that still holds under the limit as it is now; the
 * others stay stale, to be measured anew.
 */
export const keepHolding = command({
  name: "keepHolding",
  act: evidenceActs.keep,
  schema: s.keepHolding,
  subject: (sql, i) => projectOf(sql, "requirement", i.requirementId),
  async run({ sql, audit }, input): Promise<{ kept: number; left: number }> {
    const builds = await sql<{ id: row.Evidence["buildId"]; projectId: row.Evidence["projectId"] }[]>`
      SELECT DISTINCT build_id AS id, project_id FROM evidence WHERE requirement_id = ${input.requirementId}
    `;
    if (!builds.length) refuse("There is no evidence to keep.");
    const facts = await factsOfBuilds(
      builds[0]!.projectId,
      builds.map((b) => b.id),
    );
    const r = found(
      facts.requirements.find((x) => x.id === input.requirementId),
      "This requirement",
    );
    const { holding, others } = holdingOf(facts, r);
    if (!holding.length)
      refuse("No result that the change made stale holds under the limit as it is now. Measure the builds again.");
    await sql`
      UPDATE evidence
      SET requirement_version = ${r.number}, kept_reason = ${input.reason}
      WHERE requirement_id = ${r.id} AND build_id = ANY(${holding.map((b) => b.id)}::uuid[])
    `;
    audit({
      type: "evidence",
      id: r.id,
      label: `${r.code} kept for ${holding.length} builds`,
      after: { kept: holding.map((b) => b.id), left: others.length },
      reason: input.reason,
    });
    return { kept: holding.length, left: others.length };
  },
});
