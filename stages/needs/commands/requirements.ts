import { numeric, twoNumbers } from "@/core/vocabulary/needs";
import "server-only";
import { isBuildMeasure, runMeasure } from "@/core/needs/requirement";
import { sameDimension } from "@/core/quantity/dimension";
import { parseUnit } from "@/core/quantity/units";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { isId } from "@/platform/db/id";
import { projectUnits } from "@/platform/project/settings";
import { adoptEvidence, insertRequirement } from "@/platform/register/requirement";
import { readSides, siOrNull } from "@/platform/schema/entered";
import { needsActs } from "../acts";
import { type RequirementRow, requirementsOf } from "../queries/requirements";
import * as s from "../schema";
import { limitWords } from "../view/requirements";

const labels = {
  statement: "Statement",
  kind: "Kind",
  priority: "Priority",
  measure: "Measure",
  comparator: "Comparator",
  target: "Target (SI)",
  second: "Second number (SI)",
  unit: "Unit",
  method: "Verified by",
  source: "From",
};

/** Adds a requirement, or a new version of one. What was measured under the old version becomes stale by itself. */
export const saveRequirement = command({
  name: "saveRequirement",
  act: needsActs.edit,
  schema: s.requirement,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<{ id: string; code: string }> {
    const measured = (numeric.values as readonly string[]).includes(input.comparator);
    if (input.priority === "must" && !input.method)
      refuse("A must needs a way to verify it: test, inspection, demonstration or analysis.", "method");
    if ((input.measure === "mass" || input.measure === "cost" || input.measure.startsWith("run:")) && !measured)
      refuse("A measured quantity takes a comparator with a number (≤, ≥, =, ± or between).", "comparator");
    if ((input.measure === "envelope") !== (input.comparator === "fits"))
      refuse("An envelope is checked with “fits in” and three sides, and only an envelope is.", "comparator");
    const { side } = await projectUnits(input.projectId, sql);
    const unit = input.comparator === "fits" ? side : input.unit || null;
    if (input.measure === "mass" && unit) fits(unit, "kg");
    const run = runMeasure(input.measure);
    if (run && isId(run.protocol)) {
      const [p] = await sql<
        { definition: { measures: { key: string; unit: string }[]; derived: { key: string; unit: string }[] } }[]
      >`
        SELECT v.definition
        FROM protocol p
        JOIN protocol_version v ON v.protocol_id = p.id
        WHERE p.id = ${run.protocol} AND p.project_id = ${input.projectId}
        ORDER BY v.number DESC
        LIMIT 1
      `;
      const channel = p && [...p.definition.measures, ...p.definition.derived].find((c) => c.key === run.channel);
      if (!channel) refuse("This protocol does not measure that.", "measure");
      fits(unit ?? "", channel.unit);
    } else if (input.measure && !isBuildMeasure(input.measure))
      refuse("Choose one of the measures of the list.", "measure");
    const money = input.measure === "cost";
    const next = {
      statement: input.statement,
      kind: input.kind,
      priority: input.priority,
      measure: input.measure || null,
      comparator: input.comparator || null,
      target: measured ? siOrNull(input.target, money ? "1" : unit!) : null,
      second: (twoNumbers.values as readonly string[]).includes(input.comparator)
        ? siOrNull(input.second, money ? "1" : unit!)
        : null,
      sides: input.comparator === "fits" ? readSides(input.sides, side) : null,
      unit: money ? "1" : unit,
      method: input.method || null,
      source: input.source,
      reason: input.reason,
    };
    if (input.comparator === "between" && Number(next.second) <= Number(next.target))
      refuse("The upper limit must lie above the lower one.", "second");
    if (!input.id) {
      const made = await insertRequirement(sql, input.projectId, next, by);
      audit({ type: "requirement", id: made.id, label: `${made.code} ${input.statement}`, after: next });
      return made;
    }
    await sql`SELECT FROM requirement WHERE id = ${input.id} FOR UPDATE`;
    const before = (await requirementsOf(input.projectId, sql)).find((r) => r.id === input.id);
    const now = found(before, "This requirement");
    checkVersion({ version: now.rowVersion }, input.version, labels, next, now as unknown as Record<string, unknown>);
    const same =
      (["statement", "kind", "priority", "measure", "comparator", "unit", "method", "source"] as const).every(
        (k) => (next[k] ?? "") === (now[k] ?? ""),
      ) &&
      Number(next.target) === Number(now.target) &&
      Number(next.second) === Number(now.second) &&
      String(next.sides ?? "") === String(now.sides ?? "");
    if (same) refuse("Nothing was changed.");
    const material =
      (["measure", "comparator", "method"] as const).some((k) => next[k] !== now[k]) ||
      Number(next.target) !== Number(now.target) ||
      Number(next.second) !== Number(now.second) ||
      (next.sides ?? []).map(Number).join() !== (now.sides ?? []).map(Number).join();
    if (material && !input.reason) refuse("The limit changes: say why, so that the record tells it later.", "reason");
    await sql`
      INSERT INTO requirement_version ${sql({
        ...next,
        id: newId(),
        requirementId: input.id,
        number: now.number + 1,
        createdBy: by,
      })}
    `;
    await sql`UPDATE requirement SET version = version + 1 WHERE id = ${input.id}`;
    // Wording, priority and source change nothing about what was measured: that evidence moves to the new version.
    if (!material)
      await sql`
        UPDATE evidence
        SET requirement_version = ${now.number + 1}
        WHERE requirement_id = ${input.id} AND requirement_version = ${now.number}
      `;
    else if (next.measure !== now.measure) await adoptEvidence(sql, input.projectId, input.id, next.measure, by);
    // After the baseline no limit changes unseen: an accepted change request stands for it.
    if (material && (await sql`SELECT FROM baseline WHERE project_id = ${input.projectId} LIMIT 1`).length) {
      const words = (x: typeof next | RequirementRow) =>
        `${x.comparator ? limitWords(x as RequirementRow, "") : "no measure"}` +
        `${now.method === next.method ? "" : `, verified by ${x.method ?? "nothing"}`}`;
      // The change that was asked for and accepted is this one; else the edit is its own request.
      const [asked] = await sql`
        UPDATE change_request
        SET requirement_version = ${now.number + 1}, version = version + 1
        WHERE id = (
          SELECT id FROM change_request
          WHERE requirement_id = ${input.id} AND state = 'accepted' AND requirement_version IS NULL
          ORDER BY decided_at
          LIMIT 1
        )
        RETURNING id
      `;
      if (!asked)
        await sql`
        INSERT INTO change_request ${sql({
          id: newId(),
          projectId: input.projectId,
          requirementId: input.id,
          what: `${now.code}: ${words(now)} becomes ${words(next)}`,
          reason: input.reason,
          askedBy: by,
          state: "accepted",
          decision: "changed in the register",
          decidedBy: by,
          requirementVersion: now.number + 1,
        })}
      `;
      await sql`
        UPDATE change_request
        SET decided_at = app_now()
        WHERE requirement_id = ${input.id} AND decided_by IS NOT NULL AND decided_at IS NULL
      `;
    }
    audit({
      type: "requirement",
      id: input.id,
      label: `${now.code} ${input.statement}`,
      before: now,
      after: next,
      reason: input.reason,
    });
    return { id: input.id, code: now.code };
  },
});

/** Refuses a limit whose unit is of another dimension than what is measured. */
function fits(unit: string, like: string): void {
  const [given, wanted] = [parseUnit(unit), parseUnit(like)];
  if (!given) refuse(`“${unit}” is not a known unit. Write for example ${like}.`, "unit");
  if (wanted && !sameDimension(given.dimension, wanted.dimension))
    refuse(`The limit is in ${unit}, but what is measured is in ${like}: these are different quantities.`, "unit");
}

const ofRequirement = (sql: Tx, id: string) => projectOf(sql, "requirement", id);

export const retireRequirement = command({
  name: "retireRequirement",
  act: needsActs.edit,
  schema: s.retire,
  subject: (sql, i) => ofRequirement(sql, i.id),
  async run({ sql, audit }, input) {
    const [r] = await sql<
      { version: number; code: string }[]
    >`SELECT version, code FROM requirement WHERE id = ${input.id} AND retired_at IS NULL FOR UPDATE`;
    checkVersion(found(r, "This requirement"), input.version, { reason: "Reason" }, input, {});
    await sql`
      UPDATE requirement
      SET retired_at = app_now(), retired_reason = ${input.reason}, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({ type: "requirement", id: input.id, label: r!.code, after: { retired: true }, reason: input.reason });
  },
});

export const restoreRequirement = command({
  name: "restoreRequirement",
  act: needsActs.edit,
  schema: s.restore,
  subject: (sql, i) => ofRequirement(sql, i.id),
  async run({ sql, audit }, input) {
    const [r] = await sql<{ code: string }[]>`
      UPDATE requirement
      SET retired_at = NULL, retired_reason = NULL, version = version + 1
      WHERE id = ${input.id}
      RETURNING code
    `;
    audit({ type: "requirement", id: input.id, label: r?.code, after: { retired: false } });
  },
});
