import type { EventState, InspectionState } from "@/core/vocabulary/contest";
import "server-only";
import { type EventDefinition, type Standing, standings } from "@/core/contest/standings";
import { fromSi } from "@/core/quantity/quantity";
import { assessRun } from "@/core/run/assess";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { db, type Tx } from "@/platform/db/db";
import { runsOf, type StoredRun } from "@/stages/bench/queries";
import { readingsFor } from "../view/attempts";

export interface Entry {
  id: string;
  teamId: string;
  team: string;
  buildId: string | null;
  build: number | null;
  mass: string | null;
  runOrder: number | null;
  inspection: InspectionState;
  inspectionNote: string;
  inspectedAt: string | null;
  version: number;
}

export interface ContestEvent {
  id: string;
  name: string;
  state: EventState;
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
