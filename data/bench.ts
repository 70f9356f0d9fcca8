import "server-only";
import { parseQuantity, type Parsed } from "@/core/quantity/quantity";
import { checkProtocol, type ProtocolDefinition } from "@/core/run/protocol";
import type { RecordedRun } from "@/core/run/assess";
import { checkVersion, command, found, refuse } from "./command";
import { db, newId, type Tx } from "./db";
import * as s from "./schemas/work";

export interface Protocol {
  id: string;
  name: string;
  version: number;
  versionId: string;
  number: number;
  definition: ProtocolDefinition;
  whatChanged: string;
  createdBy: string;
  createdAt: string;
  runs: number;
}

/**
 * The protocols of a project in their current version, in the order in which they were written: the first is the
 * project's main test.
 */
export const protocolsOf = (projectId: string, sql: Tx = db()) => sql<Protocol[]>`
  SELECT
    p.id, p.name, p.version, v.id AS version_id, v.number, v.definition, v.what_changed, v.created_by, v.created_at,
    (
      SELECT count(*)::int
      FROM run r
      JOIN protocol_version o ON o.id = r.protocol_version_id
      WHERE o.protocol_id = p.id AND r.place = 'bench'
    ) AS runs
  FROM protocol p
  JOIN LATERAL (SELECT * FROM protocol_version WHERE protocol_id = p.id ORDER BY number DESC LIMIT 1) v ON true
  WHERE p.project_id = ${projectId}
  ORDER BY p.id
`;

/** A protocol; while no run leans on its version it is edited in place, afterwards a new version is made. */
export const saveProtocol = command({
  name: "saveProtocol",
  act: "protocol.edit",
  schema: s.protocol,
  twice: "There is a protocol of this name.",
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
      { version: number; name: string }[]
    >`SELECT version, name FROM protocol WHERE id = ${input.id} AND project_id = ${input.projectId} FOR UPDATE`;
    checkVersion(found(p, "This protocol"), input.version, { name: "Name" }, input, p!);
    const [v] = await sql<{ id: string; number: number; definition: object; used: boolean }[]>`
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

// Runs ---------------------------------------------------------------------------------------------------------------

export interface StoredRun extends RecordedRun {
  buildId: string;
  teamId: string;
  protocolId: string;
  protocolVersionId: string;
  protocolNumber: number;
  buildRevision: number;
  place: "bench" | "contest";
  entryId: string | null;
  version: number;
  by: string;
  at: string;
}

/** Runs with their readings, oldest first; narrowed by protocol, build or place. */
export const runsOf = (
  projectId: string,
  narrow: { protocolId?: string; buildId?: string; place?: "bench" | "contest" } = {},
  sql: Tx = db(),
) => sql<StoredRun[]>`
  SELECT
    r.id, r.build_id, b.team_id, v.protocol_id, r.protocol_version_id, v.number AS protocol_number, r.build_revision,
    r.attempt, r.place, r.entry_id, r.state, r.reason, r.recorded_by AS by, r.recorded_at AS at, r.version,
    coalesce(d.readings, '{}') AS readings, coalesce(d.conditions, '{}') AS conditions
  FROM run r
  JOIN build b ON b.id = r.build_id
  JOIN protocol_version v ON v.id = r.protocol_version_id
  LEFT JOIN LATERAL (
    SELECT
      json_object_agg(key, value::text) FILTER (WHERE role = 'measure') AS readings,
      json_object_agg(key, value::text) FILTER (WHERE role = 'condition') AS conditions
    FROM reading
    WHERE run_id = r.id
  ) d ON true
  WHERE r.project_id = ${projectId}
    ${narrow.protocolId ? sql`AND v.protocol_id = ${narrow.protocolId}` : sql``}
    ${narrow.buildId ? sql`AND r.build_id = ${narrow.buildId}` : sql``}
    ${narrow.place ? sql`AND r.place = ${narrow.place}` : sql``}
  ORDER BY r.build_id, v.number, r.attempt, r.recorded_at
`;

type Rows = { runId: string; key: string; role: "measure" | "condition"; value: string; entered: string }[];

/** Typed readings and conditions as rows in SI; refuses what cannot be read, beside the field that it stands in. */
export function readTyped(
  definition: ProtocolDefinition,
  runId: string,
  readings: Record<string, string>,
  conditions: Record<string, string>,
  needed: readonly string[] | null,
): Rows {
  const rows: Rows = [];
  const take = (
    parsed: Parsed,
    key: string,
    role: "measure" | "condition",
    entered: string,
    name: string,
    field: string,
  ) => {
    if (!parsed.ok) refuse(`${name}: ${parsed.message}`, field);
    rows.push({ runId, key, role, value: parsed.quantity.si, entered });
  };
  for (const m of definition.measures) {
    const typed = (readings[m.key] ?? "").trim();
    if (typed) take(parseQuantity(typed, m.unit), m.key, "measure", typed, m.name, `readings.${m.key}`);
    else if (needed?.includes(m.key)) refuse(`${m.name} is missing.`, `readings.${m.key}`);
  }
  for (const c of definition.conditions) {
    const typed = (conditions[c.key] ?? "").trim();
    if (typed) take(parseQuantity(typed, c.unit), c.key, "condition", typed, c.name, `conditions.${c.key}`);
  }
  return rows;
}

/** Evidence of a run for every requirement that asks for something the protocol measures. */
export async function noteRunEvidence(
  sql: Tx,
  run: {
    id: string;
    projectId: string;
    buildId: string;
    buildRevision: number;
    protocolId: string;
    protocolNumber: number;
  },
  by: string,
): Promise<void> {
  const asks = await sql<{ id: string; number: number }[]>`
    SELECT r.id, v.number
    FROM requirement r
    JOIN LATERAL (
      SELECT number, measure FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1
    ) v ON true
    WHERE r.project_id = ${run.projectId} AND v.measure LIKE ${`run:${run.protocolId}:%`}
  `;
  if (asks.length)
    await sql`
      INSERT INTO evidence ${sql(
        asks.map((a) => ({
          id: newId(),
          projectId: run.projectId,
          requirementId: a.id,
          buildId: run.buildId,
          kind: "run",
          runId: run.id,
          requirementVersion: a.number,
          buildRevision: run.buildRevision,
          protocolVersion: run.protocolNumber,
          recordedBy: by,
        })),
      )}
    `;
}

export const recordRun = command({
  name: "recordRun",
  act: "run.record",
  schema: s.run,
  async subject(sql, i) {
    const [b] = await sql<
      { projectId: string; teamId: string }[]
    >`SELECT project_id, team_id FROM build WHERE id = ${i.buildId}`;
    return b ? { project: b.projectId, team: b.teamId } : null;
  },
  async run({ sql, audit, by }, input): Promise<{ attempt: number }> {
    const [b] = await sql<{ projectId: string; revision: number; number: number; team: string }[]>`
      SELECT b.project_id, b.revision, b.number, t.name AS team
      FROM build b
      JOIN team t ON t.id = b.team_id
      WHERE b.id = ${input.buildId} FOR UPDATE OF b
    `;
    // The run's id is made by the form: sending it again after a lost answer has the effect of one.
    const [known] = await sql<
      { attempt: number; buildId: string }[]
    >`SELECT attempt, build_id FROM run WHERE id = ${input.id}`;
    if (known) {
      if (known.buildId !== input.buildId) refuse("This attempt was already recorded for another build.");
      audit({ type: "run", id: input.id, label: "sent again" });
      return { attempt: known.attempt };
    }
    const [v] = await sql<
      {
        id: string;
        definition: ProtocolDefinition;
        number: number;
        protocolId: string;
        name: string;
        latest: boolean;
      }[]
    >`
      SELECT
        v.id, v.definition, v.number, v.protocol_id, p.name,
        NOT EXISTS (SELECT FROM protocol_version n WHERE n.protocol_id = p.id AND n.number > v.number) AS latest
      FROM protocol_version v
      JOIN protocol p ON p.id = v.protocol_id
      WHERE v.id = ${input.protocolVersionId} AND p.project_id = ${b!.projectId}
    `;
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
    const [last] = await sql<{ n: number }[]>`
      SELECT coalesce(max(attempt), 0)::int AS n
      FROM run
      WHERE build_id = ${input.buildId} AND protocol_version_id = ${version.id} AND place = 'bench'
    `;
    const attempt = last!.n + 1;
    await sql`
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
    `;
    if (rows.length) await sql`INSERT INTO reading ${sql(rows)}`;
    if (input.state === "valid")
      await noteRunEvidence(
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
      );
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
    { projectId: string; teamId: string }[]
  >`SELECT r.project_id, b.team_id FROM run r JOIN build b ON b.id = r.build_id WHERE r.id = ${id}`;
  return r ? { project: r.projectId, team: r.teamId } : null;
};

async function lockRun(sql: Tx, id: string, version: number) {
  const [r] = await sql<
    {
      version: number;
      state: string;
      attempt: number;
      reason: string | null;
      place: string;
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
  act: "run.record",
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
  act: "run.void",
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
  act: "run.void",
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
