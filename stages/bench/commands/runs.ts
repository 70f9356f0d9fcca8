import type * as row from "@/platform/db/rows";
import "server-only";
import type { ProtocolDefinition } from "@/core/run/protocol";
import type { RunPlace } from "@/core/vocabulary/runs";
import { checkVersion, command, found, refuse, today } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { checkReadings, readTyped } from "@/platform/evidence/readings";
import { noteRunEvidence } from "@/platform/evidence/record";
import { runActs } from "../acts";
import * as s from "../schema";
import { readSeries } from "./series-readings";
import { ofBuild, ofRun } from "./subjects";

export const recordRun = command({
  name: "recordRun",
  together: true,
  act: runActs.record,
  schema: s.run,
  subject: (sql, i) => ofBuild(sql, i.buildId),
  async run({ sql, audit, by }, input): Promise<{ attempt: number }> {
    const place: RunPlace = input.pilot ? "pilot" : "bench";
    // Asked together, in this order: what follows the lock on the build sees what others wrote before it.
    // The run's id is made by the form: sending it again after a lost answer has the effect of one.
    const [[b], [known], [v], [last]] = await Promise.all([
      sql<
        {
          projectId: row.Build["projectId"];
          revision: row.Build["revision"];
          number: row.Build["number"];
          team: row.Team["name"];
        }[]
      >`
      SELECT b.project_id, b.revision, b.number, t.name AS team
      FROM build b
      JOIN team t ON t.id = b.team_id
      WHERE b.id = ${input.buildId} FOR UPDATE OF b
    `,
      sql<
        { attempt: row.Run["attempt"]; buildId: row.Run["buildId"] }[]
      >`SELECT attempt, build_id FROM run WHERE id = ${input.id}`,
      sql<
        {
          id: row.ProtocolVersion["id"];
          definition: ProtocolDefinition;
          number: row.ProtocolVersion["number"];
          protocolId: row.ProtocolVersion["protocolId"];
          name: row.Protocol["name"];
          latest: boolean;
          safe: boolean;
        }[]
      >`
      SELECT
        v.id, v.definition, v.number, v.protocol_id, p.name,
        EXISTS (
          SELECT
          FROM safety_check c
          JOIN build b ON b.team_id = c.team_id AND b.id = ${input.buildId}
          WHERE c.protocol_id = p.id AND c.on_date = ${today()}
            AND c.cautions @> ARRAY(SELECT jsonb_array_elements_text(v.definition -> 'safety'))
        ) AS safe,
        NOT EXISTS (SELECT FROM protocol_version n WHERE n.protocol_id = p.id AND n.number > v.number) AS latest
      FROM protocol_version v
      JOIN protocol p ON p.id = v.protocol_id
      WHERE v.id = ${input.protocolVersionId}
        AND p.project_id = (SELECT project_id FROM build WHERE id = ${input.buildId})
    `,
      sql<{ n: number }[]>`
      SELECT coalesce(max(attempt), 0)::int AS n
      FROM run
      WHERE build_id = ${input.buildId} AND protocol_version_id = ${input.protocolVersionId} AND place = ${place}
    `,
    ]);
    if (known) {
      if (known.buildId !== input.buildId) refuse("This attempt was already recorded for another build.");
      audit({ type: "run", id: input.id, label: "sent again" });
      return { attempt: known.attempt };
    }
    const version = found(v, "This protocol");
    if (!version.latest)
      refuse(
        `${version.name} has a newer version. Reload to test under it; what you typed stays in the fields ` +
          "until you do.",
      );
    if (version.definition.safety.length && !version.safe)
      refuse(
        `Before the first run of the day the team ticks the safety check of ${version.name}, on the bench. ` +
          "Then this attempt can be sent again; nothing of it was saved yet.",
        "safety",
      );
    const taken = await readSeries(sql, input.seriesIds, {
      buildId: input.buildId,
      versionId: version.id,
      pilot: input.pilot,
    });
    const isTaken = (key: string) => taken.some((x) => x.key === key);
    const rows = readTyped(
      version.definition,
      input.id,
      Object.fromEntries(Object.entries(input.readings).filter(([key]) => !isTaken(key))),
      input.conditions,
      input.state === "valid" ? version.definition.measures.flatMap((m) => (isTaken(m.key) ? [] : m.key)) : null,
    );
    for (const { key, si } of taken)
      rows.push({ runId: input.id, key, role: "measure", value: si, entered: "from a series" });
    if (input.state === "valid") checkReadings(version.definition, rows, [version.definition.primary], input.sure);
    const attempt = last!.n + 1;
    await Promise.all([
      sql`
      INSERT INTO run ${sql({
        id: input.id,
        projectId: b!.projectId,
        buildId: input.buildId,
        buildRevision: b!.revision,
        protocolVersionId: version.id,
        attempt,
        place,
        state: input.state,
        reason: input.reason || null,
        recordedBy: by,
      })}
    `,
      rows.length ? sql`INSERT INTO reading ${sql(rows)}` : null,
      input.state === "valid" && !input.pilot
        ? noteRunEvidence(
            sql,
            {
              id: input.id,
              projectId: b!.projectId,
              buildId: input.buildId,
              buildRevision: b!.revision,
              protocolId: version.protocolId,
              protocolNumber: version.number,
            },
            by,
          )
        : null,
    ]);
    if (taken.length)
      await sql`UPDATE series SET run_id = ${input.id}, version = version + 1 WHERE id = ANY(${input.seriesIds})`;
    audit({
      type: "run",
      id: input.id,
      label: `${b!.team} G${b!.number}, ${version.name}, ${input.pilot ? "pilot " : ""}attempt ${attempt}`,
      after: { state: input.state, readings: input.readings, conditions: input.conditions },
    });
    return { attempt };
  },
});

async function lockRun(sql: Tx, id: string, version: number) {
  const [r] = await sql<
    {
      version: row.Run["version"];
      state: row.Run["state"];
      attempt: row.Run["attempt"];
      reason: row.Run["reason"];
      place: row.Run["place"];
      definition: ProtocolDefinition;
    }[]
  >`
    SELECT r.version, r.state, r.attempt, r.reason, r.place, v.definition
    FROM run r
    JOIN protocol_version v ON v.id = r.protocol_version_id
    WHERE r.id = ${id} FOR UPDATE OF r
  `;
  const run = found(r, "This run");
  checkVersion(run, version, { state: "State" }, { state: "your change" }, { state: run.state });
  if (run.place === "contest") refuse("A contest attempt is corrected on the Contest page.");
  return run;
}

/** Corrects what was read in a run, with a reason; the audit keeps both values. */
export const correctRun = command({
  name: "correctRun",
  act: runActs.record,
  schema: s.correctRun,
  subject: (sql, i) => ofRun(sql, i.id),
  async run({ sql, audit }, input) {
    const run = await lockRun(sql, input.id, input.version);
    const before = await sql`SELECT key, role, value, entered FROM reading WHERE run_id = ${input.id} ORDER BY key`;
    const rows = readTyped(
      run.definition,
      input.id,
      input.readings,
      input.conditions,
      run.state === "valid" ? run.definition.measures.map((m) => m.key) : null,
    );
    await sql`DELETE FROM reading WHERE run_id = ${input.id}`;
    if (rows.length) await sql`INSERT INTO reading ${sql(rows)}`;
    await sql`UPDATE run SET version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "run", id: input.id, label: `attempt ${run.attempt}`, before, after: rows, reason: input.reason });
  },
});

/** Sets a run aside with a reason; the record keeps it. */
export const voidRun = command({
  name: "voidRun",
  act: runActs.void,
  schema: s.voidRun,
  subject: (sql, i) => ofRun(sql, i.id),
  async run({ sql, audit }, input) {
    const run = await lockRun(sql, input.id, input.version);
    if (run.state === "void") refuse("This run is set aside already.");
    await sql`
      UPDATE run
      SET state = 'void', void_from = state, reason = ${input.reason}, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "run",
      id: input.id,
      label: `attempt ${run.attempt}`,
      before: { state: run.state, reason: run.reason },
      after: { state: "void" },
      reason: input.reason,
    });
  },
});

/** Takes a run that was set aside back in. */
export const restoreRun = command({
  name: "restoreRun",
  act: runActs.void,
  schema: s.restoreRun,
  subject: (sql, i) => ofRun(sql, i.id),
  async run({ sql, audit }, input) {
    const run = await lockRun(sql, input.id, input.version);
    if (run.state !== "void") refuse("This run is not set aside.");
    await sql`
      UPDATE run
      SET state = coalesce(void_from, 'valid'), void_from = NULL, reason = NULL, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "run",
      id: input.id,
      label: `attempt ${run.attempt}`,
      before: { state: "void", reason: run.reason },
      after: { state: "taken back" },
    });
  },
});

/** Moves a run that was recorded for the wrong build to another build of the project, as its next attempt. */
export const moveRun = command({
  name: "moveRun",
  act: runActs.void,
  schema: s.moveRun,
  subject: (sql, i) => ofRun(sql, i.id),
  async run({ sql, audit, by }, input): Promise<{ attempt: number }> {
    const run = await lockRun(sql, input.id, input.version);
    const [to] = await sql<
      {
        id: row.Build["id"];
        revision: row.Build["revision"];
        label: string;
        from: row.Build["id"];
        projectId: row.Build["projectId"];
        versionId: row.ProtocolVersion["id"];
        protocolId: row.ProtocolVersion["protocolId"];
        number: row.ProtocolVersion["number"];
        n: number;
      }[]
    >`
      SELECT
        b.id, b.revision, t.name || ' G' || b.number AS label, r.build_id AS from, b.project_id, v.id AS version_id,
        v.protocol_id, v.number,
        coalesce(
          (
            SELECT max(attempt)
            FROM run
            WHERE build_id = b.id AND protocol_version_id = r.protocol_version_id AND place = r.place
          ),
          0
        )::int AS n
      FROM run r
      JOIN build b ON b.id = ${input.buildId} AND b.project_id = r.project_id
      JOIN team t ON t.id = b.team_id
      JOIN protocol_version v ON v.id = r.protocol_version_id
      WHERE r.id = ${input.id}
    `;
    const target = found(to, "The other build");
    if (target.id === target.from) refuse("The run is of this build already.", "buildId");
    const attempt = target.n + 1;
    await sql`
      UPDATE run
      SET build_id = ${target.id}, build_revision = ${target.revision}, attempt = ${attempt}, version = version + 1
      WHERE id = ${input.id}
    `;
    await sql`DELETE FROM evidence WHERE run_id = ${input.id}`;
    if (run.place === "bench" && (run.state === "valid" || run.state === "void"))
      await noteRunEvidence(
        sql,
        {
          id: input.id,
          projectId: target.projectId,
          buildId: target.id,
          buildRevision: target.revision,
          protocolId: target.protocolId,
          protocolNumber: target.number,
        },
        by,
      );
    audit({
      type: "run",
      id: input.id,
      label: `attempt ${run.attempt}, now attempt ${attempt} of ${target.label}`,
      before: { build: target.from },
      after: { build: target.id },
      reason: input.reason,
    });
    return { attempt };
  },
});
