import "server-only";
import { today } from "@/platform/command/command";
import { db, type Tx } from "@/platform/db/db";

/** How an event stands as far as safety goes. */
export interface EventSafety {
  readonly eventId: string;
  readonly name: string;
  readonly cautions: readonly string[];
  /** Who has to tick them; empty where the rules name nobody. */
  readonly officer: string;
  /** It was copied from the edition before, and its rules are not ticked yet. */
  readonly copied: boolean;
  /** The day is rehearsed: what is scored now is wiped. */
  readonly rehearsal: boolean;
  readonly version: number;
  /** The check of today, where it was ticked with these cautions. */
  readonly check: { readonly signed: string; readonly at: string } | null;
  readonly halt: { readonly id: string; readonly reason: string; readonly by: string; readonly at: string } | null;
  /** Halts that were lifted, the newest first. */
  readonly before: readonly {
    readonly reason: string;
    readonly by: string;
    readonly at: string;
    readonly liftedBy: string;
    readonly note: string;
  }[];
}

const rows = (sql: Tx, where: ReturnType<Tx>) => sql<EventSafety[]>`
  SELECT
    e.id AS event_id, e.name, e.cautions, e.officer, e.copied, e.version,
    EXISTS (SELECT FROM project p WHERE p.id = e.project_id AND p.settings ? 'rehearsal') AS rehearsal,
    (
      SELECT json_build_object('signed', k.signed, 'at', k.recorded_at)
      FROM event_check k
      WHERE k.event_id = e.id AND k.on_date = ${today()} AND k.cautions @> e.cautions
    ) AS check,
    (
      SELECT json_build_object('id', h.id, 'reason', h.reason, 'by', h.halted_by, 'at', h.halted_at)
      FROM event_halt h
      WHERE h.event_id = e.id AND h.lifted_at IS NULL
    ) AS halt,
    (
      SELECT coalesce(
        json_agg(
          json_build_object(
            'reason', h.reason, 'by', h.halted_by, 'at', h.halted_at, 'liftedBy', h.lifted_by, 'note', h.lift_note
          )
          ORDER BY h.halted_at DESC
        ),
        '[]'
      )
      FROM event_halt h
      WHERE h.event_id = e.id AND h.lifted_at IS NOT NULL
    ) AS before
  FROM event e
  WHERE ${where}
`;

/** How the events of a project stand as far as safety goes, by event. */
export const safetyOf = async (projectId: string, sql: Tx = db()): Promise<Map<string, EventSafety>> =>
  new Map((await rows(sql, sql`e.project_id = ${projectId}`)).map((e) => [e.eventId, e]));

/** The same of one event. */
export const safetyOfEvent = async (id: string, sql: Tx = db()): Promise<EventSafety | undefined> =>
  (await rows(sql, sql`e.id = ${id}`))[0];
