import type { EventState, InspectionState } from "@/core/vocabulary/contest";
import type * as row from "@/platform/db/rows";
import "server-only";
import type { EventDefinition, Placed, Standing } from "@/core/contest/standings";
import { type ProtocolDefinition, readingsFor } from "@/core/run/protocol";
import { db, type Tx } from "@/platform/db/db";
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
  runOff: number | null;
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
/** An event as those who score it see it: without its standings. */
export type FieldEvent = Omit<ContestEvent, "standings">;

/** An event where no working is opened: boards. */
export type PlacedEvent = FieldEvent & { standings: Placed[] };

/** An attempt as those who score and judge see it. */
export interface FieldRecord extends Pick<row.Run, "id" | "attempt" | "state" | "voidFrom" | "rivalOf" | "version"> {
  entryId: row.Entry["id"];
  by: row.Run["recordedBy"];
  readings: Record<string, string>;
  penalties: { key: string; count: number; reason: string }[];
  /** How many records its entry has in all, without those that wait for a choice. */
  settled: number;
}

/** An event with attempts, for those who score and judge. */
export type ScoredEvent<E extends FieldEvent = FieldEvent> = E & { attempts: FieldRecord[] };

type EventRow = Omit<ContestEvent, "needed"> & { stale: boolean };

/** How standings are read. */
const standingsAs = {
  whole: (sql: Tx) => sql`k.standings`,
  placed: (sql: Tx) => sql`(
      SELECT coalesce(jsonb_agg(x.s - 'working' ORDER BY x.nth), '[]')
      FROM jsonb_array_elements(k.standings) WITH ORDINALITY AS x(s, nth)
    )`,
  none: (sql: Tx) => sql`NULL::jsonb`,
} as const;

interface Narrow {
  /** Only this event. */
  readonly id?: string;
  /** Standings with their workings, without them (a tenth of the bytes), or none: then nothing is computed first. */
  readonly standings: keyof typeof standingsAs;
}

const rowsOf = (projectId: string, sql: Tx, { id, standings }: Narrow) => sql<EventRow[]>`
  SELECT
    e.id, e.name, e.state, e.version, e.definition, v.protocol_id, v.id AS protocol_version_id, p.name AS protocol,
    v.definition AS protocol_definition, k.stale,
    ${standingsAs[standings](sql)} AS standings,
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
            'inspectionNote', n.inspection_note, 'inspectedAt', n.inspected_at, 'runOff', n.run_off,
            'version', n.version,
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
  WHERE e.project_id = ${projectId} ${id ? sql`AND e.id = ${id}` : sql``}
  ORDER BY e.id
`;

async function read(projectId: string, sql: Tx, narrow: Narrow): Promise<ContestEvent[]> {
  let rows = await rowsOf(projectId, sql, narrow);
  if (narrow.standings !== "none" && rows.some((r) => r.stale)) {
    await freshenStandings(projectId);
    rows = await rowsOf(projectId, sql, narrow);
  }
  return rows.map(({ stale: _, ...event }) => ({
    ...event,
    needed: readingsFor(event.protocolDefinition, event.definition.channel),
  }));
}

/** The contest's events with entries and standings, as they are kept; those that are marked are computed first. */
export const eventsOf = (projectId: string, sql: Tx = db()): Promise<ContestEvent[]> =>
  read(projectId, sql, { standings: "whole" });

/** The same without the standings' workings. */
export const placedEventsOf = (projectId: string, sql: Tx = db()): Promise<PlacedEvent[]> =>
  read(projectId, sql, { standings: "placed" });

/** One event without its standings, for those who score it: they do not wait until the places are computed. */
export const fieldEvent = async (projectId: string, id: string): Promise<FieldEvent | undefined> =>
  (await read(projectId, db(), { id, standings: "none" }))[0];

/** How many records of each entry are read, the latest: those before stand in the standings. */
const latest = 7;

/** An event with the latest attempts of each entry, and those that two people scored, for those who score and judge. */
export const withAttempts = async <E extends FieldEvent>(event: E): Promise<ScoredEvent<E>> => ({
  ...event,
  attempts: await db()<FieldRecord[]>`
    WITH made AS (
      SELECT
        r.id, r.entry_id, r.attempt, r.state, r.void_from, r.rival_of, r.version, r.recorded_by AS by, r.recorded_at,
        row_number() OVER (PARTITION BY r.entry_id ORDER BY r.attempt DESC) AS back,
        count(*) FILTER (WHERE r.rival_of IS NULL) OVER (PARTITION BY r.entry_id)::int AS settled
      FROM run r
      JOIN entry n ON n.id = r.entry_id
      WHERE n.event_id = ${event.id}
    )
    SELECT
      m.id, m.entry_id, m.attempt, m.state, m.void_from, m.rival_of, m.version, m.by, m.settled,
      coalesce(
        (SELECT json_object_agg(key, value::text) FROM reading WHERE run_id = m.id AND role = 'measure'), '{}'
      ) AS readings,
      coalesce(
        (
          SELECT json_agg(json_build_object('key', y.key, 'count', y.count, 'reason', y.reason) ORDER BY y.key)
          FROM penalty y
          WHERE y.run_id = m.id
        ),
        '[]'
      ) AS penalties
    FROM made m
    WHERE m.back <= ${latest} OR m.rival_of IS NOT NULL OR m.id IN (SELECT rival_of FROM made)
    ORDER BY m.attempt, m.recorded_at
  `,
});

/** What the events of a project are scored by: the name, and the levels where it has some. */
export const eventChannels = (projectId: string, sql: Tx = db()) =>
  sql<{ id: string; name: string; levels: string[] | undefined }[]>`
    SELECT id, name, definition->'levels' AS levels FROM event WHERE project_id = ${projectId}
  `.then((rows) => rows.map((r) => ({ ...r, levels: r.levels ?? undefined })));
