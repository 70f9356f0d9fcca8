import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { contestActs } from "../acts";
import { linesOf } from "../queries/inspections";
import * as s from "../schema";
import { type Check, checkAll } from "../view/inspection";

/** Locks a build, and says how it was inspected last; refuses what somebody else inspected meanwhile. */
async function lockBuild(sql: Tx, buildId: string, after: number) {
  const [b] = await sql<
    {
      projectId: row.Build["projectId"];
      revision: row.Build["revision"];
      name: string;
    }[]
  >`
    SELECT b.project_id, b.revision, t.name || ' G' || b.number AS name
    FROM build b
    JOIN team t ON t.id = b.team_id
    WHERE b.id = ${buildId} FOR UPDATE OF b
  `;
  const build = found(b, "This build");
  const [last] = await sql<
    {
      number: row.Inspection["number"];
      outcome: row.Inspection["outcome"];
      by: row.Inspection["recordedBy"];
    }[]
  >`SELECT number, outcome, recorded_by AS by FROM inspection WHERE build_id = ${buildId} ORDER BY number DESC LIMIT 1`;
  if ((last?.number ?? 0) !== after)
    refuse(
      last
        ? `${build.name} was inspected meanwhile: ${last.outcome} by ${last.by}. Look at it, then inspect again.`
        : `The inspection of ${build.name} was taken back meanwhile. Look again.`,
      "after",
    );
  return { ...build, last };
}

/** Writes the next inspection of a build. */
const record = (
  sql: Tx,
  build: Awaited<ReturnType<typeof lockBuild>>,
  input: { id: string; buildId: string; after: number },
  found: Pick<row.Inspection, "outcome" | "note"> & { checks?: readonly Check[]; waiver?: string },
  by: string,
) => sql`
  INSERT INTO inspection ${sql({
    id: input.id,
    buildId: input.buildId,
    number: input.after + 1,
    buildRevision: build.revision,
    outcome: found.outcome,
    checks: sql.json((found.checks ?? []) as never),
    waiver: found.waiver ?? "",
    note: found.note,
    recordedBy: by,
  })}
`;

const sentBefore = async (sql: Tx, id: string, buildId: string): Promise<boolean> => {
  const [known] = await sql<{ buildId: row.Inspection["buildId"] }[]>`SELECT build_id FROM inspection WHERE id = ${id}`;
  if (known && known.buildId !== buildId) refuse("This inspection was already recorded for another build.");
  return known !== undefined;
};

/**
 * Inspects a build, once for all events that it enters: every line that was measured or looked at, as it was typed. A
 * must that is not kept or was not looked at passes with a reason only, which stands on the record.
 */
export const inspectBuild = command({
  name: "inspectBuild",
  together: true,
  act: contestActs.inspect,
  schema: s.inspection,
  subject: (sql, i) => projectOf(sql, "build", i.buildId),
  async run({ sql, audit, by }, input) {
    if (await sentBefore(sql, input.id, input.buildId))
      return audit({ type: "inspection", id: input.buildId, label: "sent again" });
    const build = await lockBuild(sql, input.buildId, input.after);
    const { checks, wrong, over, missing } = checkAll(
      await linesOf(build.projectId, input.buildId, sql),
      input.typed ?? {},
    );
    const [bad] = Object.entries(wrong);
    if (bad) refuse(bad[1], `typed.${bad[0]}`);
    const passed = input.outcome === "passed";
    if (passed && !input.waiver && over.length)
      refuse(
        `${build.name} does not keep ${over.join(", ")}. Turn it away, or write why it may start all the same.`,
        "waiver",
      );
    if (passed && !input.waiver && missing.length)
      refuse(`Not looked at: ${missing.join(", ")}. Look, or write why it may start all the same.`, "waiver");
    const waiver = passed && (over.length || missing.length) ? input.waiver : "";
    await record(sql, build, input, { outcome: input.outcome!, checks, waiver, note: input.note }, by);
    audit({
      type: "inspection",
      id: input.buildId,
      label: `${build.name}: ${input.outcome}`,
      after: { checks, ...(passed && over.length && { waived: over }), ...(passed && missing.length && { missing }) },
      reason: input.waiver || input.note,
    });
  },
});

/** Ends the impound of a build: it may be changed or repaired, and is inspected again before it starts. */
export const releaseBuild = command({
  name: "releaseBuild",
  act: contestActs.inspect,
  schema: s.release,
  subject: (sql, i) => projectOf(sql, "build", i.buildId),
  async run({ sql, audit, by }, input) {
    if (await sentBefore(sql, input.id, input.buildId))
      return audit({ type: "inspection", id: input.buildId, label: "sent again" });
    const build = await lockBuild(sql, input.buildId, input.after);
    if (build.last?.outcome !== "passed") refuse(`${build.name} is not impounded.`);
    await record(sql, build, input, { outcome: "released", note: input.reason }, by);
    audit({ type: "inspection", id: input.buildId, label: `${build.name}: released`, reason: input.reason });
  },
});

/** Adds a part to those that are allowed by count, or changes one. */
export const saveAllowedPart = command({
  name: "saveAllowedPart",
  act: contestActs.edit,
  schema: s.allowedPart,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    let { id } = input;
    const { name, most } = input;
    if (id) {
      const [old] = await sql<row.AllowedPart[]>`
        SELECT * FROM allowed_part WHERE id = ${id} AND project_id = ${input.projectId} FOR UPDATE
      `;
      checkVersion(found(old, "This part"), input.version, { name: "Part", most: "At most" }, input, { ...old! });
      await sql`UPDATE allowed_part SET name = ${name}, most = ${most}, version = version + 1 WHERE id = ${id}`;
      audit({
        type: "allowed part",
        id,
        label: name,
        before: { name: old!.name, most: old!.most },
        after: { name, most },
      });
    } else {
      id = newId();
      await sql`INSERT INTO allowed_part ${sql({ id, projectId: input.projectId, name, most })}`;
      audit({ type: "allowed part", id, label: name, after: { name, most } });
    }
    return { id };
  },
});
