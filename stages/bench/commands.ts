import type * as row from "@/platform/db/rows";
import "server-only";
import { checkProtocol, type ProtocolDefinition } from "@/core/run/protocol";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { checkReadings, readTyped } from "@/platform/evidence/readings";
import { noteRunEvidence } from "@/platform/evidence/record";
import { protocolActs, runActs } from "./acts";
import * as s from "./schema";

/** A protocol; while no run leans on its version it is edited in place, afterwards a new version is made. */
export const saveProtocol = command({
  name: "saveProtocol",
  act: protocolActs.edit,
  schema: s.protocol,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<{ id: string; number: number }> {
    const definition = input.definition as unknown as ProtocolDefinition;
    const problems = checkProtocol(definition);
    if (problems.length) refuse(problems.join(" "));
    if (!input.id) {
      const id = newId();
      await sql`INSERT INTO protocol (id, project_id, name) VALUES (${id}, ${input.projectId}, ${input.name})`;
      await sql`
        INSERT INTO protocol_version (id, protocol_id, number, definition, created_by)
        VALUES (${newId()}, ${id}, 1, ${sql.json(definition as never)}, ${by})
      `;
      audit({ type: "protocol", id, label: `${input.name} v1`, after: definition });
      return { id, number: 1 };
    }
    const [p] = await sql<
      { version: row.Protocol["version"]; name: row.Protocol["name"] }[]
    >`SELECT version, name FROM protocol WHERE id = ${input.id} AND project_id = ${input.projectId} FOR UPDATE`;
    checkVersion(found(p, "This protocol"), input.version, { name: "Name" }, input, p!);
    const [v] = await sql<
      { id: row.ProtocolVersion["id"]; number: row.ProtocolVersion["number"]; definition: object; used: boolean }[]
    >`
      SELECT
        id, number, definition,
        EXISTS (
          SELECT FROM run WHERE protocol_version_id = v.id
        ) OR EXISTS (SELECT FROM event WHERE protocol_version_id = v.id) AS used
      FROM protocol_version v
      WHERE protocol_id = ${input.id}
      ORDER BY number DESC
      LIMIT 1
    `;
    let number = v!.number;
    if (v!.used && JSON.stringify(sorted(v!.definition)) !== JSON.stringify(sorted(definition))) {
      if (!input.whatChanged)
        refuse("Runs lean on this version, so a new one is made: say what changed and why.", "whatChanged");
      number++;
      await sql`
        INSERT INTO protocol_version (id, protocol_id, number, definition, what_changed, created_by)
        VALUES (${newId()}, ${input.id}, ${number}, ${sql.json(definition as never)}, ${input.whatChanged}, ${by})
      `;
    } else if (!v!.used)
      await sql`UPDATE protocol_version SET definition = ${sql.json(definition as never)} WHERE id = ${v!.id}`;
    await sql`UPDATE protocol SET name = ${input.name}, version = version + 1 WHERE id = ${input.id}`;
    audit({
      type: "protocol",
      id: input.id,
      label: `${input.name} v${number}`,
      before: v!.definition,
      after: definition,
      reason: input.whatChanged,
    });
    return { id: input.id, number };
  },
});

/** A value with its objects' keys in order, for comparing definitions as data. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (value && typeof value === "object")
    return Object.fromEntries(
      Object.entries(value)
        .filter(([, v]) => v !== undefined && v !== "")
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([k, v]) => [k, sorted(v)]),
    );
  return value;
}

export const recordRun = command({
  name: "recordRun",
  together: true,
  act: runActs.record,
  schema: s.run,
  async subject(sql, i) {
    const [b] = await sql<
      { projectId: row.Build["projectId"]; teamId: row.Build["teamId"] }[]
    >`SELECT project_id, team_id FROM build WHERE id = ${i.buildId}`;
    return b ? { project: b.projectId, team: b.teamId } : null;
  },
  async run({ sql, audit, by }, input): Promise<{ attempt: number }> {
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
        }[]
      >`
      SELECT
        v.id, v.definition, v.number, v.protocol_id, p.name,
        NOT EXISTS (SELECT FROM protocol_version n WHERE n.protocol_id = p.id AND n.number > v.number) AS latest
      FROM protocol_version v
      JOIN protocol p ON p.id = v.protocol_id
      WHERE v.id = ${input.protocolVersionId}
        AND p.project_id = (SELECT project_id FROM build WHERE id = ${input.buildId})
    `,
      sql<{ n: number }[]>`
      SELECT coalesce(max(attempt), 0)::int AS n
      FROM run
      WHERE build_id = ${input.buildId} AND protocol_version_id = ${input.protocolVersionId} AND place = 'bench'
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
    const rows = readTyped(
      version.definition,
      input.id,
      input.readings,
      input.conditions,
      input.state === "valid" ? version.definition.measures.map((m) => m.key) : null,
    );
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
        place: "bench",
        state: input.state,
        reason: input.reason || null,
        recordedBy: by,
      })}
    `,
      rows.length ? sql`INSERT INTO reading ${sql(rows)}` : null,
      input.state === "valid"
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
    audit({
      type: "run",
      id: input.id,
      label: `${b!.team} G${b!.number}, ${version.name}, attempt ${attempt}`,
      after: { state: input.state, readings: input.readings, conditions: input.conditions },
    });
    return { attempt };
  },
});

const ofRun = async (sql: Tx, id: string) => {
  const [r] = await sql<
    { projectId: row.Run["projectId"]; teamId: row.Build["teamId"] }[]
  >`SELECT r.project_id, b.team_id FROM run r JOIN build b ON b.id = r.build_id WHERE r.id = ${id}`;
  return r ? { project: r.projectId, team: r.teamId } : null;
};

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
