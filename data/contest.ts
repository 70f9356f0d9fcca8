import "server-only";
import { type EventDefinition, type Standing, standings } from "@/core/contest/standings";
import { drawOrder } from "@/core/draw/draw";
import { symbolsIn } from "@/core/formula/formula";
import { fromSi } from "@/core/quantity/quantity";
import { assessRun } from "@/core/run/assess";
import { channelsOf, type ProtocolDefinition } from "@/core/run/protocol";
import { readTyped, type StoredRun, runsOf } from "./bench";
import { checkVersion, command, found, projectOf, refuse } from "./command";
import { db, newId, type Tx } from "./db";
import * as s from "./schemas/judging";

export interface Entry {
  id: string;
  teamId: string;
  team: string;
  buildId: string | null;
  build: number | null;
  mass: string | null;
  runOrder: number | null;
  inspection: "waiting" | "passed" | "turned away";
  inspectionNote: string;
  inspectedAt: string | null;
  version: number;
}
export interface ContestEvent {
  id: string;
  name: string;
  state: "set up" | "running" | "confirmed";
  version: number;
  definition: EventDefinition;
  protocolId: string;
  protocolVersionId: string;
  protocol: string;
  protocolDefinition: ProtocolDefinition;
  entries: Entry[];
  runs: StoredRun[];
  standings: Standing[] /** Symbols that a scorer reads for one attempt. */;
  needed: string[];
}

/** The readings that a channel is computed from; itself for a read measure. */
export function readingsFor(p: ProtocolDefinition, channel: string): string[] {
  if (p.measures.some((m) => m.key === channel)) return [channel];
  const d = p.derived.find((x) => x.key === channel);
  return [
    ...new Set(
      symbolsIn(d?.expression ?? "")
        .filter((x) => x !== channel)
        .flatMap((x) => readingsFor(p, x)),
    ),
  ];
}

/**
 * The value of an attempt for ranking, as exact text in the channel's unit: a reading as it was read, a derived value
 * to 12 digits.
 */
function attemptValue(
  event: { definition: EventDefinition; protocolDefinition: ProtocolDefinition },
  run: StoredRun,
): string | null {
  const measure = event.protocolDefinition.measures.find((m) => m.key === event.definition.channel);
  if (measure)
    return run.readings[measure.key] === undefined ? null : fromSi(run.readings[measure.key]!, measure.unit).toString();
  const v = assessRun(event.protocolDefinition, run).values[event.definition.channel]?.value;
  return v ? String(Number(v.value.toPrecision(12))) : null;
}

/** The contest's events with entries, attempts and standings computed from them. */
export async function contestOf(projectId: string, sql: Tx = db()): Promise<ContestEvent[]> {
  const [events, entries, runs] = await Promise.all([
    sql<Omit<ContestEvent, "entries" | "runs" | "standings" | "needed">[]>`
      SELECT
        e.id, e.name, e.state, e.version, e.definition, v.protocol_id, v.id AS protocol_version_id, p.name AS protocol,
        v.definition AS protocol_definition
      FROM event e
      JOIN protocol_version v ON v.id = e.protocol_version_id
      JOIN protocol p ON p.id = v.protocol_id
      WHERE e.project_id = ${projectId}
      ORDER BY e.id
    `,
    sql<(Entry & { eventId: string })[]>`
      SELECT
        n.id, n.event_id, n.team_id, t.name AS team, n.build_id, b.number AS build, b.mass, n.run_order, n.inspection,
        n.inspection_note, n.inspected_at, n.version
      FROM entry n
      JOIN event e ON e.id = n.event_id
      JOIN team t ON t.id = n.team_id
      LEFT JOIN build b ON b.id = n.build_id
      WHERE e.project_id = ${projectId}
      ORDER BY n.run_order NULLS LAST, t.name
    `,
    runsOf(projectId, { place: "contest" }, sql),
  ]);
  return events.map((event) => {
    const mine = entries.filter((n) => n.eventId === event.id);
    const ids = new Set(mine.map((n) => n.id));
    const attempts = runs.filter((r) => r.entryId && ids.has(r.entryId));
    return {
      ...event,
      entries: mine,
      runs: attempts,
      needed: readingsFor(event.protocolDefinition, event.definition.channel),
      standings: standings(
        event.definition,
        mine.map((n) => ({
          id: n.id,
          name: n.team,
          mass: n.mass,
          inspectedAt: n.inspectedAt,
          out: n.inspection === "turned away",
          attempts: attempts
            .filter((r) => r.entryId === n.id)
            .map((r) => ({ state: r.state, value: r.state === "valid" ? attemptValue(event, r) : null }))
            .filter((a) => a.state !== "void"),
        })),
      ),
    };
  });
}

const ofEvent = (sql: Tx, id: string) => projectOf(sql, "event", id);
const ofEntry = async (sql: Tx, id: string) => {
  const [e] = await sql<
    { projectId: string }[]
  >`SELECT e.project_id FROM entry n JOIN event e ON e.id = n.event_id WHERE n.id = ${id}`;
  return e ? { project: e.projectId } : null;
};

/** Sets up an event; every team enters with its newest build. Once attempts are scored the rules are fixed. */
export const saveEvent = command({
  name: "saveEvent",
  act: "contest.edit",
  schema: s.event,
  twice: "There is an event of this name.",
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const [v] = await sql<{ id: string; definition: ProtocolDefinition }[]>`
      SELECT v.id, v.definition
      FROM protocol p
      JOIN protocol_version v ON v.protocol_id = p.id
      WHERE p.id = ${input.protocolId} AND p.project_id = ${input.projectId}
      ORDER BY v.number DESC
      LIMIT 1
    `;
    const channel = channelsOf(found(v, "This protocol").definition).find((c) => c.key === input.channel);
    if (!channel) refuse("The protocol does not measure that.", "channel");
    const r = input.points;
    if (r && r.kind === "line" && (r.anchors?.length ?? 0) < 2) refuse("A line takes two anchors or more.", "points");
    if (r && r.kind === "target" && !(r.target && r.points && r.perStep && Number(r.step) > 0))
      refuse("A target rule takes the target, points, points a step and a step above zero.", "points");
    const definition: EventDefinition = {
      channel: channel.key,
      unit: channel.unit,
      better: input.better,
      policy: {
        school: input.school,
        n: input.n,
        k: input.school === "best-k" ? Math.min(input.k, input.n) : undefined,
        foul: input.foul,
      },
      ranking: input.ranking,
      resolution: input.ties === "resolution" ? input.resolution! : null,
      tieBreaks: [...new Set(input.tieBreaks)],
      points: (r ? { ...r, floor: r.floor ?? "0", school: r.school ?? "complete" } : null) as EventDefinition["points"],
      seed: input.seed,
    };
    let { id } = input;
    if (id) {
      const [e] = await sql<{ version: number; name: string; scored: boolean }[]>`
        SELECT
          version, name, EXISTS (SELECT FROM run r JOIN entry n ON n.id = r.entry_id WHERE n.event_id = e.id) AS scored
        FROM event e
        WHERE id = ${id} AND project_id = ${input.projectId} FOR UPDATE
      `;
      checkVersion(found(e, "This event"), input.version, { name: "Name" }, input, e!);
      if (e!.scored)
        refuse("Attempts have been scored: the rules of this event are fixed. Make another event if they must change.");
      await sql`
        UPDATE event
        SET
          name = ${input.name}, definition = ${sql.json(definition as never)}, protocol_version_id = ${v!.id},
          version = version + 1
        WHERE id = ${id}
      `;
    } else {
      id = newId();
      await sql`
        INSERT INTO event (id, project_id, protocol_version_id, name, definition)
        VALUES (${id}, ${input.projectId}, ${v!.id}, ${input.name}, ${sql.json(definition as never)})
      `;
    }
    await enterTeams(sql, input.projectId, id);
    audit({ type: "event", id, label: input.name, after: definition });
    return { id };
  },
});

async function enterTeams(sql: Tx, projectId: string, eventId: string): Promise<void> {
  const teams = await sql<{ id: string; buildId: string | null }[]>`
    SELECT t.id, (SELECT b.id FROM build b WHERE b.team_id = t.id ORDER BY b.number DESC LIMIT 1) AS build_id
    FROM team t
    WHERE t.project_id = ${projectId} AND t.retired_at IS NULL
  `;
  if (teams.length)
    await sql`
      INSERT INTO entry ${sql(teams.map((t) => ({ id: newId(), eventId, teamId: t.id, buildId: t.buildId })))}
      ON CONFLICT (event_id, team_id) DO UPDATE SET build_id = excluded.build_id, version = entry.version + 1
      WHERE entry.inspection = 'waiting'
    `;
}

/** Takes the teams' newest builds in again, before the inspection: teams formed or built since the event was set up. */
export const refreshEntries = command({
  name: "refreshEntries",
  act: "contest.edit",
  schema: s.eventId,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit }, input) {
    const [e] = await sql<
      { projectId: string; name: string; state: string }[]
    >`SELECT project_id, name, state FROM event WHERE id = ${input.id} FOR UPDATE`;
    if (e!.state === "confirmed") refuse("The result is confirmed.");
    await enterTeams(sql, e!.projectId, input.id);
    audit({ type: "event", id: input.id, label: e!.name, after: { entries: "refreshed" } });
  },
});

/** Draws the run order with a seed that was shown before; anyone can repeat it. */
export const drawRunOrder = command({
  name: "drawRunOrder",
  act: "contest.edit",
  schema: s.drawOrder,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit, by }, input) {
    const [e] = await sql<{ version: number; projectId: string; name: string; scored: boolean }[]>`
      SELECT
        version, project_id, name,
        EXISTS (SELECT FROM run r JOIN entry n ON n.id = r.entry_id WHERE n.event_id = e.id) AS scored
      FROM event e
      WHERE id = ${input.id} FOR UPDATE
    `;
    checkVersion(found(e, "This event"), input.version, {}, {}, {});
    if (e!.scored) refuse("Attempts have been scored: the order stays.");
    const entries = await sql<{ id: string; team: string }[]>`
      SELECT n.id, t.name AS team
      FROM entry n
      JOIN team t ON t.id = n.team_id
      WHERE n.event_id = ${input.id}
      ORDER BY t.name, n.id
    `;
    if (!entries.length) refuse("No team has entered yet.");
    const order = drawOrder(entries, input.seed);
    for (const [i, n] of order.entries())
      await sql`UPDATE entry SET run_order = ${i + 1}, version = version + 1 WHERE id = ${n.id}`;
    await sql`UPDATE event SET version = version + 1 WHERE id = ${input.id}`;
    await sql`
      INSERT INTO draw (id, project_id, purpose, seed, inputs, outcome, drawn_by)
      VALUES (
        ${newId()}, ${e!.projectId}, ${`run order ${input.id}`}, ${input.seed}, ${sql.json(entries.map((n) => n.team))},
        ${sql.json(order.map((n) => n.team))}, ${by}
      )
    `;
    audit({
      type: "draw",
      id: input.id,
      label: `${e!.name}: run order, seed ${input.seed}`,
      after: order.map((n) => n.team),
    });
  },
});

export const inspectEntry = command({
  name: "inspectEntry",
  act: "contest.score",
  schema: s.inspection,
  subject: (sql, i) => ofEntry(sql, i.entryId),
  async run({ sql, audit }, input) {
    const [n] = await sql<
      { version: number; inspection: string; note: string; team: string; state: string; buildId: string | null }[]
    >`
      SELECT n.version, n.inspection, n.inspection_note AS note, t.name AS team, e.state, n.build_id
      FROM entry n
      JOIN team t ON t.id = n.team_id
      JOIN event e ON e.id = n.event_id
      WHERE n.id = ${input.entryId} FOR UPDATE OF n
    `;
    const entry = found(n, "This entry");
    checkVersion(entry, input.version, { outcome: "Inspection", note: "Note" }, input, {
      outcome: entry.inspection,
      note: entry.note,
    });
    if (entry.state === "confirmed") refuse("The result is confirmed. Reopen the event first.");
    if (input.outcome === "passed" && !entry.buildId) refuse(`${entry.team} has no build to inspect.`);
    await sql`
      UPDATE entry
      SET
        inspection = ${input.outcome}, inspection_note = ${input.note},
        inspected_at = ${input.outcome === "passed" ? sql`app_now()` : null}, version = version + 1
      WHERE id = ${input.entryId}
    `;
    audit({
      type: "inspection",
      id: input.entryId,
      label: `${entry.team}: ${input.outcome}`,
      before: { inspection: entry.inspection },
      after: { inspection: input.outcome },
      reason: input.note,
    });
  },
});

/** Scores one attempt. The attempt's id is made by the scorer's device: a retry has the effect of one. */
export const scoreAttempt = command({
  name: "scoreAttempt",
  act: "contest.score",
  schema: s.attempt,
  twice: "Somebody else scored this attempt at the same moment. Reload to see it.",
  subject: (sql, i) => ofEntry(sql, i.entryId),
  async run({ sql, audit, by }, input): Promise<{ attempt: number }> {
    const [n] = await sql<
      {
        eventId: string;
        projectId: string;
        name: string;
        state: string;
        team: string;
        buildId: string | null;
        revision: number | null;
        inspection: string;
        protocolVersionId: string;
        definition: EventDefinition;
        protocol: ProtocolDefinition;
      }[]
    >`
      SELECT
        n.event_id, e.project_id, e.name, e.state, t.name AS team, n.build_id, b.revision, n.inspection,
        e.protocol_version_id, e.definition, v.definition AS protocol
      FROM entry n
      JOIN event e ON e.id = n.event_id
      JOIN team t ON t.id = n.team_id
      LEFT JOIN build b ON b.id = n.build_id
      JOIN protocol_version v ON v.id = e.protocol_version_id
      WHERE n.id = ${input.entryId} FOR UPDATE OF n, e
    `;
    const entry = found(n, "This entry");
    const [known] = await sql<
      { attempt: number; entryId: string }[]
    >`SELECT attempt, entry_id FROM run WHERE id = ${input.id}`;
    if (known) {
      if (known.entryId !== input.entryId) refuse("This attempt was already scored for another team.");
      audit({ type: "attempt", id: input.id, label: "sent again" });
      return { attempt: known.attempt };
    }
    if (entry.state === "confirmed") refuse("The result is confirmed. Reopen the event first.");
    if (entry.inspection !== "passed")
      refuse(
        entry.inspection === "waiting"
          ? `${entry.team} has not passed inspection yet.`
          : `${entry.team} was turned away at inspection.`,
      );
    const [last] = await sql<{ n: number; live: number }[]>`
      SELECT coalesce(max(attempt), 0)::int AS n, count(*) FILTER (WHERE state <> 'void')::int AS live
      FROM run
      WHERE entry_id = ${input.entryId}
    `;
    if (last!.live >= entry.definition.policy.n)
      refuse(`${entry.team} has had all ${entry.definition.policy.n} attempts.`);
    const needed = readingsFor(entry.protocol, entry.definition.channel);
    const rows = readTyped(
      entry.protocol,
      input.id,
      input.state === "valid" ? input.readings : {},
      {},
      input.state === "valid" ? needed : null,
    );
    for (const r of rows)
      if (Number(r.value) < 0) refuse("A measured value cannot be below zero here.", `readings.${r.key}`);
    const attempt = last!.n + 1;
    await sql`
      INSERT INTO run ${sql({
        id: input.id,
        projectId: entry.projectId,
        buildId: entry.buildId!,
        buildRevision: entry.revision ?? 1,
        protocolVersionId: entry.protocolVersionId,
        attempt,
        place: "contest",
        entryId: input.entryId,
        state: input.state,
        reason: input.reason || null,
        recordedBy: by,
      })}
    `;
    if (rows.length) await sql`INSERT INTO reading ${sql(rows)}`;
    if (entry.state === "set up")
      await sql`UPDATE event SET state = 'running', version = version + 1 WHERE id = ${entry.eventId}`;
    audit({
      type: "attempt",
      id: input.id,
      label: `${entry.name}, ${entry.team}, attempt ${attempt}`,
      after: { state: input.state, readings: input.readings },
    });
    return { attempt };
  },
});

/** Sets a contest attempt aside with a reason, so that it can be scored again; the standings follow by themselves. */
export const voidAttempt = command({
  name: "voidAttempt",
  act: "contest.score",
  schema: s.voidAttempt,
  async subject(sql, i) {
    const [r] = await sql<{ projectId: string }[]>`SELECT project_id FROM run WHERE id = ${i.id} AND place = 'contest'`;
    return r ? { project: r.projectId } : null;
  },
  async run({ sql, audit }, input) {
    const [r] = await sql<{ version: number; state: string; attempt: number; team: string; event: string }[]>`
      SELECT r.version, r.state, r.attempt, t.name AS team, e.state AS event
      FROM run r
      JOIN entry n ON n.id = r.entry_id
      JOIN event e ON e.id = n.event_id
      JOIN team t ON t.id = n.team_id
      WHERE r.id = ${input.id} FOR UPDATE OF r
    `;
    checkVersion(found(r, "This attempt"), input.version, { state: "State" }, { state: "void" }, { state: r!.state });
    if (r!.event === "confirmed") refuse("The result is confirmed. Reopen the event first.");
    if (r!.state === "void") refuse("This attempt is set aside already.");
    const readings = await sql`SELECT key, value, entered FROM reading WHERE run_id = ${input.id}`;
    await sql`
      UPDATE run
      SET state = 'void', void_from = state, reason = ${input.reason}, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "attempt",
      id: input.id,
      label: `${r!.team}, attempt ${r!.attempt}`,
      before: { state: r!.state, readings },
      after: { state: "void" },
      reason: input.reason,
    });
  },
});

/** Confirms an event's result; it never changes silently afterwards. */
export const confirmEvent = command({
  name: "confirmEvent",
  act: "contest.edit",
  schema: s.eventVersion,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit }, input) {
    const [e] = await sql<
      { version: number; state: string; name: string; projectId: string }[]
    >`SELECT version, state, name, project_id FROM event WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(
      found(e, "This event"),
      input.version,
      { state: "State" },
      { state: "confirmed" },
      { state: e!.state },
    );
    if (e!.state !== "running")
      refuse(e!.state === "confirmed" ? "The result is confirmed already." : "No attempt has been scored yet.");
    const result = (await contestOf(e!.projectId, sql))
      .find((x) => x.id === input.id)!
      .standings.map((x) => ({ team: x.name, place: x.place, counted: x.counted, points: x.points }));
    await sql`UPDATE event SET state = 'confirmed', version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "event", id: input.id, label: `${e!.name} confirmed`, after: result });
  },
});

export const reopenEvent = command({
  name: "reopenEvent",
  act: "contest.edit",
  schema: s.voidAttempt,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit }, input) {
    const [e] = await sql<
      { version: number; state: string; name: string }[]
    >`SELECT version, state, name FROM event WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(e, "This event"), input.version, { state: "State" }, { state: "running" }, { state: e!.state });
    if (e!.state !== "confirmed") refuse("The result is not confirmed.");
    await sql`UPDATE event SET state = 'running', version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "event", id: input.id, label: `${e!.name} reopened`, reason: input.reason });
  },
});
