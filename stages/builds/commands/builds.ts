import { parseReading } from "@/core/run/reading";
import type * as row from "@/platform/db/rows";
import "server-only";
import { fromSi, parseQuantity } from "@/core/quantity/quantity";
import { primaryOf } from "@/core/run/protocol";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { readPicture, usePicture } from "@/platform/files/files";
import { projectUnits } from "@/platform/project/settings";
import { entered, readSides, siOrNull } from "@/platform/schema/entered";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { gateBefore } from "@/stages/plan/queries/gates";
import { buildActs } from "../acts";
import { type Build, isOfEditionBefore, ofBuild } from "../queries/builds";
import * as s from "../schema";
import { readLines } from "../view/lines";

/** Dropped features as typed, `feature: reason` a line. */
const readDropped = (text: string) =>
  text.split("\n").flatMap((l) => {
    const at = l.indexOf(":");
    return at > 0 ? [{ feature: l.slice(0, at).trim(), reason: l.slice(at + 1).trim() }] : [];
  });

const labels = {
  stage: "Stage",
  builtOn: "Built on",
  mass: "Mass (kg)",
  cost: "Cost",
  sides: "Sides (m)",
  ...s.buildTexts,
};

/** A prediction in the unit of what the first protocol is after; it may be typed with a unit of its own. */
async function readPrediction(sql: Tx, projectId: string, typed: string): Promise<number> {
  const [protocol] = await protocolsOf(projectId, sql);
  const channel = protocol && primaryOf(protocol.definition);
  const read = channel?.levels
    ? parseReading({ kind: "level", levels: channel.levels, unit: channel.unit }, typed)
    : parseQuantity(typed, channel?.unit ?? "1");
  if (!read.ok) refuse(read.message, "predicted");
  return fromSi(read.quantity.si, channel?.unit ?? "1").toNumber();
}

export const saveBuild = command({
  name: "saveBuild",
  act: buildActs.edit,
  schema: s.build,
  async subject(sql, i) {
    const [t] = await sql<
      { projectId: row.Team["projectId"] }[]
    >`SELECT project_id FROM team WHERE id = ${i.teamId} AND retired_at IS NULL`;
    return t ? { project: t.projectId, team: i.teamId } : null;
  },
  async run({ sql, audit, by }, input): Promise<{ id: string; number: number }> {
    const [team] = await sql<
      { projectId: row.Team["projectId"]; name: row.Team["name"] }[]
    >`SELECT project_id, name FROM team WHERE id = ${input.teamId} FOR UPDATE`;
    const projectId = team!.projectId;
    const units = await projectUnits(projectId, sql);
    const predicted = input.predicted ? await readPrediction(sql, projectId, input.predicted) : null;
    const row = {
      stage: input.stage,
      builtOn: input.builtOn,
      ...s.textsOf(input),
      predicted,
      makerId: input.makerId ?? null,
      fromEdition: input.fromEdition ?? null,
      mass: siOrNull(input.mass, units.mass),
      cost: siOrNull(input.cost, "1"),
      sides: input.sides ? readSides(input.sides, units.side) : null,
      entered: sql.json(entered(input) as never),
      features: input.features
        .split(",")
        .map((f) => f.trim())
        .filter(Boolean),
    };
    for (const [k, v] of [
      ["mass", row.mass],
      ["cost", row.cost],
    ] as const)
      if (v !== null && Number(v) < 0) refuse("This cannot be below zero.", k);
    if (input.makerId) {
      const asked = sql`SELECT FROM membership WHERE team_id = ${input.teamId} AND person_id = ${input.makerId}`;
      if (!(await asked).length) refuse("Whoever made it is, or was, in this team.", "makerId");
    }
    if (input.fromEdition && !(await isOfEditionBefore(sql, projectId, input.fromEdition)))
      refuse("This build is not of the edition before.", "fromEdition");
    const variables = readLines(input.variables);
    if (new Set(variables.map((v) => v.name)).size < variables.length)
      refuse("A variable is listed twice.", "variables");
    // A new build, and one that moves on to another stage, ask the gates before it.
    const obeyGate = async () => {
      const gate = await gateBefore(projectId, input.teamId, input.stage, sql);
      if (!gate.allowed) refuse(gate.says.join(" "));
      if (gate.says.length)
        audit({ type: "gate", id: input.teamId, label: `${team!.name}: built with an open gate`, after: gate.says });
    };
    let id = input.id;
    let number: number;
    let revision = 1;
    let before: Pick<Build, "mass" | "cost" | "sides"> | null = null;
    if (!id) {
      await obeyGate();
      // The number of one that was withdrawn stays its own.
      const [last] = await sql<{ n: number }[]>`
        SELECT greatest(
          (SELECT max(number) FROM build WHERE team_id = ${input.teamId}),
          (
            SELECT max((r.content->>'number')::int)
            FROM withdrawn w
            JOIN withdrawn_row r ON r.withdrawn_id = w.id
            WHERE w.project_id = ${projectId} AND r.table_name = 'build' AND r.content->>'team_id' = ${input.teamId}
          ),
          0
        ) AS n
      `;
      number = last!.n + 1;
      id = newId();
      await sql`INSERT INTO build ${sql({ ...row, id, projectId, teamId: input.teamId, number, recordedBy: by })}`;
      audit({ type: "build", id, label: `${team!.name} G${number}`, after: { ...row, entered: entered(input) } });
    } else {
      const [found0] = await sql<
        (Build & { sides: string[] | null })[]
      >`SELECT * FROM build WHERE id = ${id} AND team_id = ${input.teamId} FOR UPDATE`;
      const old = found(found0, "This build");
      checkVersion(old, input.version, labels, row, old as unknown as Record<string, unknown>);
      if (old.stage !== input.stage) await obeyGate();
      number = old.number;
      revision = old.revision + (input.physical ? 1 : 0);
      before = input.physical ? null : old;
      await sql`UPDATE build SET ${sql({ ...row, revision })}, version = version + 1 WHERE id = ${id}`;
      await sql`DELETE FROM variable_setting WHERE build_id = ${id}`;
      await sql`DELETE FROM build_parent WHERE build_id = ${id}`;
      await sql`DELETE FROM feature_drop WHERE build_id = ${id}`;
      audit({
        type: "build",
        id,
        label: `${team!.name} G${number}`,
        before: old,
        after: { ...row, entered: entered(input) },
        reason: input.physical ? "the build itself changed" : "correction of the record",
      });
    }
    if (variables.length) await sql`INSERT INTO variable_setting ${sql(variables.map((v) => ({ ...v, buildId: id })))}`;
    if (input.parentIds.length) {
      const known = await sql`
        SELECT id FROM build WHERE id IN ${sql(input.parentIds)} AND project_id = ${projectId} AND id <> ${id}
      `;
      if (known.length < new Set(input.parentIds).size) refuse("A build that it was made from is not in this project.");
      const [circle] = await sql`
        WITH RECURSIVE before AS (
          SELECT parent_id FROM build_parent WHERE build_id IN ${sql(input.parentIds)}
          UNION
          SELECT p.parent_id FROM build_parent p JOIN before b ON p.build_id = b.parent_id
        )
        SELECT 1 FROM before WHERE parent_id = ${id}
      `;
      if (circle) refuse("A build cannot be made from one that was made from it.", "parentIds");
      const parents = [...new Set(input.parentIds)].map((parentId) => ({ buildId: id, parentId }));
      await sql`INSERT INTO build_parent ${sql(parents)}`;
    }
    const dropped = readDropped(input.dropped);
    if (new Set(dropped.map((d) => d.feature)).size < dropped.length) refuse("A feature is listed twice.", "dropped");
    if (dropped.length) await sql`INSERT INTO feature_drop ${sql(dropped.map((d) => ({ ...d, buildId: id })))}`;
    if (input.closes.length)
      await sql`
        UPDATE failure f
        SET closed_by = ${id}, version = f.version + 1
        FROM build b
        WHERE f.id IN ${sql(input.closes)} AND f.closed_by IS NULL AND b.id = f.build_id AND b.id <> ${id}
          AND b.team_id = ${input.teamId}
      `;
    if (input.carries.length)
      await sql`
        UPDATE action_item
        SET closed_at = app_now(), closed_by = ${by}, closing_evidence = ${`G${number}: ${input.whatChanged}`},
          closing_build = ${id}, version = version + 1
        WHERE id IN ${sql(input.carries)} AND team_id = ${input.teamId} AND closed_at IS NULL
      `;
    await noteBuildEvidence(sql, projectId, id, revision, before, row, by);
    return { id, number };
  },
});

type Measured = Pick<Build, "mass" | "cost" | "sides">;

const same = (a: string | null | undefined, b: string | null) =>
  (a ?? null) === null || b === null ? (a ?? null) === b : Number(a) === Number(b);

/**
 * A build's mass, cost and size are evidence for the requirements that ask for them; what was measured anew replaces
 * the older record.
 * What an edit did not touch keeps the versions that it leaned on: correcting a text does not weigh the build again.
 */
async function noteBuildEvidence(
  sql: Tx,
  projectId: string,
  buildId: string,
  revision: number,
  before: Measured | null,
  row: Measured,
  by: string,
): Promise<void> {
  const touched = [
    (!before || !same(before.mass, row.mass)) && "mass",
    (!before || !same(before.cost, row.cost)) && "cost",
    (!before || (before.sides ?? []).map(Number).join() !== (row.sides ?? []).map(Number).join()) && "envelope",
  ].filter((m) => typeof m === "string");
  if (!touched.length) return;
  await sql`
    DELETE
    FROM evidence e
    WHERE build_id = ${buildId}
      AND kind = 'build'
      AND (
        SELECT measure FROM requirement_version WHERE requirement_id = e.requirement_id ORDER BY number DESC LIMIT 1
      ) IN ${sql(touched)}
  `;
  const given = touched.filter((m) => (m === "envelope" ? row.sides : row[m as "mass" | "cost"]) !== null);
  if (!given.length) return;
  const asks = await sql<{ id: row.Requirement["id"]; number: row.RequirementVersion["number"] }[]>`
    SELECT r.id, v.number
    FROM requirement r
    JOIN LATERAL (
      SELECT number, measure FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1
    ) v ON true
    WHERE r.project_id = ${projectId} AND v.measure IN ${sql(given)}
  `;
  if (asks.length)
    await sql`
      INSERT INTO evidence ${sql(
        asks.map((a) => ({
          id: newId(),
          projectId,
          requirementId: a.id,
          buildId,
          kind: "build",
          requirementVersion: a.number,
          buildRevision: revision,
          recordedBy: by,
        })),
      )}
    `;
}

export const addPhoto = command({
  name: "addPhoto",
  act: buildActs.edit,
  schema: s.photo,
  subject: (sql, i) => ofBuild(sql, i.buildId),
  prepare: (i) => readPicture(Buffer.from(i.base64, "base64")),
  async run({ sql, audit, by }, input, picture): Promise<{ id: string }> {
    const { buildId, caption } = input;
    const pieceId = input.pieceId ?? null;
    const { project } = (await ofBuild(sql, buildId))!;
    if (pieceId) found((await sql`SELECT FROM piece WHERE id = ${pieceId} AND build_id = ${buildId}`)[0], "This piece");
    const id = await usePicture(sql, picture, { projectId: project, buildId, pieceId, caption, addedBy: by });
    audit({ type: "photo", id, label: input.caption });
    return { id };
  },
});
