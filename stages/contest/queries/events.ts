import type { EventState, InspectionState } from "@/core/vocabulary/contest";
import "server-only";
import type { EventDefinition, Standing } from "@/core/contest/standings";
import { type ProtocolDefinition, readingsFor } from "@/core/run/protocol";
import { db, type Tx } from "@/platform/db/db";
import { runsOf, type StoredRun } from "@/stages/bench/queries/runs";
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
  /** Every build that the team has. */
  builds: { id: string; number: number }[];
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
  /** The seed that the run order was drawn with. */
  orderSeed: string | null;
  /** Symbols that a scorer reads for one attempt. */
  needed: string[];
}
export interface ScoredEvent extends ContestEvent {
  runs: StoredRun[];
}

type EventRow = Omit<ContestEvent, "needed"> & { stale: boolean };

const rowsOf = (projectId: string, sql: Tx) => sql<EventRow[]>`
  SELECT
    e.id, e.name, e.state, e.version, e.definition, v.protocol_id, v.id AS protocol_version_id, p.name AS protocol,
    v.definition AS protocol_definition, k.standings, k.stale,
    (
      SELECT seed FROM draw w
      WHERE w.project_id = e.project_id AND w.purpose = 'run order ' || e.id
      ORDER BY drawn_at DESC
      LIMIT 1
    ) AS order_seed,
    (
      SELECT coalesce(
        json_agg(
          json_build_object(
            'id', n.id, 'teamId', n.team_id, 'team', t.name, 'buildId', n.build_id, 'build', b.number,
            'mass', b.mass::text, 'runOrder', n.run_order, 'inspection', n.inspection,
            'inspectionNote', n.inspection_note, 'inspectedAt', n.inspected_at, 'version', n.version,
            'taken', (SELECT count(*) FROM run r WHERE r.entry_id = n.id AND r.state <> 'void'),
            'builds', (
              SELECT coalesce(json_agg(json_build_object('id', x.id, 'number', x.number) ORDER BY x.number), '[]')
              FROM build x
              WHERE x.team_id = n.team_id
            )
          )
          ORDER BY n.run_order NULLS LAST, t.name
        ),
        '[]'
      )
      FROM entry n
      JOIN team t ON t.id = n.team_id
      LEFT JOIN build b ON b.id = n.build_id
      WHERE n.event_id = e.id
    ) AS entries
  FROM event e
  JOIN protocol_version v ON v.id = e.protocol_version_id
  JOIN protocol p ON p.id = v.protocol_id
  JOIN kept_event k ON k.event_id = e.id
  WHERE e.project_id = ${projectId}
  ORDER BY e.id
`;

/** The contest's events with entries and standings, as they are kept; those that are marked are computed first. */
export async function eventsOf(projectId: string, sql: Tx = db()): Promise<ContestEvent[]> {
  let rows = await rowsOf(projectId, sql);
  if (rows.some((r) => r.stale)) {
    await freshenStandings(projectId);
    rows = await rowsOf(projectId, sql);
  }
  return rows.map(({ stale: _, ...event }) => ({
    ...event,
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

/** What the events of a project are scored by: the name, and the levels where it has some. */
export const eventChannels = (projectId: string, sql: Tx = db()) =>
  sql<{ id: string; name: string; levels: string[] | undefined }[]>`
    SELECT id, name, definition->'levels' AS levels FROM event WHERE project_id = ${projectId}
  `.then((rows) => rows.map((r) => ({ ...r, levels: r.levels ?? undefined })));
