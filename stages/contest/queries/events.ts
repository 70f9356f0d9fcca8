import type { EventState, InspectionState } from "@/core/vocabulary/contest";
import "server-only";
import type { EventDefinition, Standing } from "@/core/contest/standings";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { db, type Tx } from "@/platform/db/db";
import { runsOf, type StoredRun } from "@/stages/bench/queries";
import { readingsFor } from "../view/attempts";
import { freshenStandings } from "./standings";

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
  /** Attempts that stand. */
  taken: number;
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
  standings: Standing[];
  /** Symbols that a scorer reads for one attempt. */
  needed: string[];
}
export interface ScoredEvent extends ContestEvent {
  runs: StoredRun[];
}

/** The contest's events with entries and standings, as they are kept. */
export async function eventsOf(projectId: string, sql: Tx = db()): Promise<ContestEvent[]> {
  await freshenStandings(projectId);
  const [events, entries] = await Promise.all([
    sql<Omit<ContestEvent, "entries" | "needed">[]>`
      SELECT
        e.id, e.name, e.state, e.version, e.definition, v.protocol_id, v.id AS protocol_version_id, p.name AS protocol,
        v.definition AS protocol_definition, k.standings
      FROM event e
      JOIN protocol_version v ON v.id = e.protocol_version_id
      JOIN protocol p ON p.id = v.protocol_id
      JOIN kept_event k ON k.event_id = e.id
      WHERE e.project_id = ${projectId}
      ORDER BY e.id
    `,
    sql<(Entry & { eventId: string })[]>`
      SELECT
        n.id, n.event_id, n.team_id, t.name AS team, n.build_id, b.number AS build, b.mass, n.run_order, n.inspection,
        n.inspection_note, n.inspected_at, n.version,
        (SELECT count(*)::int FROM run r WHERE r.entry_id = n.id AND r.state <> 'void') AS taken
      FROM entry n
      JOIN event e ON e.id = n.event_id
      JOIN team t ON t.id = n.team_id
      LEFT JOIN build b ON b.id = n.build_id
      WHERE e.project_id = ${projectId}
      ORDER BY n.run_order NULLS LAST, t.name
    `,
  ]);
  return events.map((event) => ({
    ...event,
    entries: entries.filter((n) => n.eventId === event.id),
    needed: readingsFor(event.protocolDefinition, event.definition.channel),
  }));
}

/** The same with every attempt of the contest, for those who score and judge. */
export async function contestOf(projectId: string, sql: Tx = db()): Promise<ScoredEvent[]> {
  const [events, runs] = await Promise.all([eventsOf(projectId, sql), runsOf(projectId, { place: "contest" }, sql)]);
  return events.map((event) => {
    const ids = new Set(event.entries.map((n) => n.id));
    return { ...event, runs: runs.filter((r) => r.entryId && ids.has(r.entryId)) };
  });
}
