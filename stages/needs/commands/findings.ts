import { statusOf } from "@/core/needs/requirement";
import { parseQuantity } from "@/core/quantity/quantity";
import type { FindingOutcome } from "@/core/vocabulary/needs";
import type * as row from "@/platform/db/rows";
import "server-only";
import { command, found, projectOf, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { evidenceActs, findingActs } from "../acts";
import * as s from "../schema";
import { limitOf } from "../view/requirements";

async function requirementAndBuild(sql: Tx, requirementId: string, buildId: string) {
  const [row] = await sql<
    {
      projectId: row.Requirement["projectId"];
      code: row.Requirement["code"];
      requirementVersion: row.RequirementVersion["number"];
      buildRevision: row.Build["revision"];
      comparator: row.RequirementVersion["comparator"];
      measure: row.RequirementVersion["measure"];
      target: row.RequirementVersion["target"];
      second: row.RequirementVersion["second"];
      sides: row.RequirementVersion["sides"];
      unit: row.RequirementVersion["unit"];
    }[]
  >`
    SELECT
      r.project_id, r.code, v.number AS requirement_version, v.comparator, v.measure, v.target, v.second, v.sides,
      v.unit, b.revision AS build_revision
    FROM requirement r
    JOIN build b ON b.id = ${buildId} AND b.project_id = r.project_id
    JOIN LATERAL (SELECT * FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1) v ON true
    WHERE r.id = ${requirementId}
  `;
  return found(row, "This requirement or build");
}

/** What a number measured by looking comes to against the requirement's limit. */
function measuredFinding(
  r: Awaited<ReturnType<typeof requirementAndBuild>>,
  typed: string,
): { si: string; outcome: FindingOutcome } {
  const limit = limitOf(r);
  if (!limit?.target || limit.comparator === "yes" || limit.comparator === "fits")
    refuse(`${r.code} has no number to compare with. Say met or not met.`, "value");
  const read = parseQuantity(typed, limit.unit);
  if (!read.ok) refuse(read.message, "value");
  const { si } = read.quantity;
  // A reading by eye has no uncertainty of its own here: it is inside or it is not.
  const met = statusOf(limit, { kind: "value", value: si, U: 0 }, []).value === "met";
  return { si, outcome: met ? "met" : "not met" };
}

/**
 * What somebody found on a build: for requirements verified by inspection, demonstration or analysis without a measured
 * value.
 */
export const recordFinding = command({
  name: "recordFinding",
  act: findingActs.record,
  schema: s.finding,
  subject: (sql, i) => projectOf(sql, "requirement", i.requirementId),
  async run({ sql, audit, by }, input): Promise<{ outcome: FindingOutcome }> {
    const r = await requirementAndBuild(sql, input.requirementId, input.buildId);
    if (r.measure && input.outcome !== "not applicable")
      refuse(
        `${r.code} is decided by its measured value. Record that value, or say that the requirement does not ` +
          "apply to this build.",
        "outcome",
      );
    const measured = input.value ? measuredFinding(r, input.value) : null;
    const outcome = measured?.outcome ?? input.outcome!;
    await sql`
      INSERT INTO evidence ${sql({
        id: newId(),
        projectId: r.projectId,
        requirementId: input.requirementId,
        buildId: input.buildId,
        kind: "finding",
        value: measured?.si ?? null,
        entered: input.value,
        requirementVersion: r.requirementVersion,
        buildRevision: r.buildRevision,
        finding: outcome,
        note: input.note,
        recordedBy: by,
      })}
    `;
    audit({ type: "finding", id: input.requirementId, label: `${r.code}: ${outcome}`, after: input });
    return { outcome };
  },
});

/** Keeps stale evidence with a reason: it counts again, under the versions that are current now. */
export const keepEvidence = command({
  name: "keepEvidence",
  act: evidenceActs.keep,
  schema: s.keep,
  subject: (sql, i) => projectOf(sql, "requirement", i.requirementId),
  async run({ sql, audit }, input) {
    const r = await requirementAndBuild(sql, input.requirementId, input.buildId);
    const before = await sql`
        SELECT id, requirement_version, build_revision, protocol_version
        FROM evidence
        WHERE requirement_id = ${input.requirementId} AND build_id = ${input.buildId}
      `;
    if (!before.length) refuse("There is no evidence to keep.");
    await sql`
      UPDATE evidence e
      SET
        requirement_version = ${r.requirementVersion}, build_revision = ${r.buildRevision},
        kept_reason = ${input.reason},
        protocol_version = CASE WHEN protocol_version IS NULL THEN NULL ELSE (
          SELECT max(n.number)
          FROM run x
          JOIN protocol_version o ON o.id = x.protocol_version_id
          JOIN protocol_version n ON n.protocol_id = o.protocol_id
          WHERE x.id = e.run_id
        ) END
      WHERE requirement_id = ${input.requirementId} AND build_id = ${input.buildId}
    `;
    audit({ type: "evidence", id: input.requirementId, label: `${r.code} kept`, before, reason: input.reason });
  },
});
