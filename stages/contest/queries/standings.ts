import "server-only";
import { type JudgedStanding, judgedStandings } from "@/core/contest/judged";
import { type MatchStanding, matchStandings } from "@/core/contest/matches";
import { type EventDefinition, type Standing, standings } from "@/core/contest/standings";
import { fromSi } from "@/core/quantity/quantity";
import { assessRun } from "@/core/run/assess";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { db, inTransaction, type Tx } from "@/platform/db/db";
import { type Difference, differences, stable } from "@/platform/kept/differences";
import { runsOf, type StoredRun } from "@/stages/bench/queries/runs";
import { markedSheets } from "../view/judged";
import { seeded } from "../view/seeds";
import { judgedFactsOf } from "./judged-facts";
import { matchFactsOf } from "./match-facts";

interface Scored {
  readonly definition: EventDefinition;
  readonly protocolDefinition: ProtocolDefinition;
}

/**
 * The value of an attempt for ranking, as exact text in the channel's unit: a reading as it was read, a derived value
 * to 12 digits.
 */
function attemptValue(event: Scored, run: StoredRun): string | null {
  if (run.state !== "valid" && event.definition.policy.foul !== "where") return null;
  const measure = event.protocolDefinition.measures.find((m) => m.key === event.definition.channel);
  if (measure)
    return run.readings[measure.key] === undefined ? null : fromSi(run.readings[measure.key]!, measure.unit).toString();
  const v = assessRun(event.protocolDefinition, { ...run, state: "valid" }).values[event.definition.channel]?.value;
  return v ? String(Number(v.value.toPrecision(12))) : null;
}

interface Computed {
  readonly eventId: string;
  readonly name: string;
  readonly version: number;
  readonly standings: readonly (Standing | MatchStanding | JudgedStanding)[];
}

/**
 * The standings of these events as they come out of the facts: for renewing, for checking, and as they were at a time
 * of the day.
 * @param until facts that were recorded later are left out
 */
export async function computeStandings(
  sql: Tx,
  projectId: string,
  eventIds: readonly string[],
  until?: string,
): Promise<Computed[]> {
  const then = (at: string) => until === undefined || Date.parse(at) <= Date.parse(until);
  const [events, entries, runs, matches, judged] = await Promise.all([
    sql<(Scored & { id: string; name: string; version: number })[]>`
      SELECT e.id, e.name, e.version, e.definition, v.definition AS protocol_definition
      FROM event e
      JOIN protocol_version v ON v.id = e.protocol_version_id
      WHERE e.id = ANY(${[...eventIds]})
    `,
    sql<
      {
        id: string;
        eventId: string;
        team: string;
        mass: string | null;
        inspection: string;
        inspectedAt: string | null;
        runOff: number | null;
      }[]
    >`
      SELECT n.id, n.event_id, t.name AS team, b.mass, n.inspection, n.inspected_at, n.run_off
      FROM entry n
      JOIN event e ON e.id = n.event_id
      JOIN team t ON t.id = n.team_id
      LEFT JOIN build b ON b.id = n.build_id
      WHERE e.id = ANY(${[...eventIds]})
      ORDER BY n.run_order NULLS LAST, t.name
    `,
    runsOf(projectId, { eventIds }, sql),
    matchFactsOf(eventIds, sql),
    judgedFactsOf(eventIds, sql),
  ]);
  const ofMatches = matches.map((e) => ({
    eventId: e.id,
    name: e.name,
    version: e.version,
    standings: matchStandings(
      { ...e.definition, format: e.format },
      seeded(e.entries).map((n) => ({ id: n.id, name: n.team })),
      e.results.filter((r) => then(r.at)),
      e.drawn,
    ),
  }));
  const ofJudges = judged.map((e) => ({
    eventId: e.id,
    name: e.name,
    version: e.version,
    standings: judgedStandings(
      e.rules,
      e.entries.map((n) => ({ id: n.id, name: n.team, out: false })),
      markedSheets(e.sheets.filter((x) => then(x.at))),
    ),
  }));
  const measured = events.map((event) => ({
    eventId: event.id,
    name: event.name,
    version: event.version,
    standings: standings(
      event.definition,
      entries
        .filter((n) => n.eventId === event.id)
        .map((n) => ({
          id: n.id,
          name: n.team,
          mass: n.mass,
          inspectedAt: n.inspectedAt,
          runOff: n.runOff,
          out: n.inspection === "turned away",
          attempts: runs
            .filter((r) => r.entryId === n.id && r.state !== "void" && then(r.at))
            .map((r) => ({ state: r.state, value: attemptValue(event, r), charges: r.penalties })),
        })),
    ),
  }));
  return [...measured, ...ofMatches, ...ofJudges];
}

/** Computes the standings anew where a fact of them changed. */
export async function freshenStandings(projectId: string): Promise<void> {
  // Mostly nothing has changed: that is one question, and no transaction.
  if (!(await db()`SELECT FROM kept_event WHERE project_id = ${projectId} AND stale LIMIT 1`).length) return;
  await inTransaction(async (sql) => {
    // Readers who find the same event marked wait for the first one; then nothing is left to do.
    await sql`SELECT pg_advisory_xact_lock(hashtextextended(${`standings ${projectId}`}, 0))`;
    const stale = await sql<{ eventId: string; mark: string }[]>`
      SELECT event_id, mark FROM kept_event WHERE project_id = ${projectId} AND stale ORDER BY event_id
    `;
    if (!stale.length) return;
    const ids = stale.map((s) => s.eventId);
    const computed = new Map((await computeStandings(sql, projectId, ids)).map((c) => [c.eventId, c]));
    for (const { eventId, mark } of stale) {
      const now = computed.get(eventId);
      if (!now) continue;
      // What changed while this was computed has another mark by now, and stays marked.
      await sql`
        UPDATE kept_event
        SET standings = ${sql.json(now.standings as never)}, event_version = ${now.version}, stale = mark <> ${mark}
        WHERE event_id = ${eventId}
      `;
    }
  });
}

/** Computes a project's standings anew and names what is kept otherwise. Says how many events it compared. */
export async function verifyStandings(
  projectId: string,
  title: string,
): Promise<{ compared: number; wrong: Difference[] }> {
  await freshenStandings(projectId);
  const events = await db()<{ id: string }[]>`SELECT id FROM event WHERE project_id = ${projectId}`;
  const computed = await computeStandings(
    db(),
    projectId,
    events.map((e) => e.id),
  );
  const kept = await db()<{ eventId: string; standings: unknown; eventVersion: number | null }[]>`
    SELECT event_id, standings, event_version FROM kept_event WHERE project_id = ${projectId}
  `;
  const line = (version: number | null, of: unknown) => `version ${version}: ${stable(of)}`;
  return {
    compared: computed.length,
    wrong: differences(
      title,
      new Map(kept.map((k) => [`standings of event ${k.eventId}`, line(k.eventVersion, k.standings)])),
      new Map(computed.map((c) => [`standings of event ${c.eventId}`, line(c.version, c.standings)])),
    ),
  };
}
