import type * as row from "@/platform/db/rows";
import "server-only";
import { command, refuse } from "@/platform/command/command";
import { contestActs } from "../acts";
import { recordedOf, rehearsalOf } from "../queries/rehearsal";
import { ofEvent } from "../queries/whose";
import * as s from "../schema";
import { recordedWords } from "../view/words";
import { simulateEvent } from "./simulate";

/** Begins a rehearsal of the contest's day: everything works as on the day, and is wiped afterwards. */
export const startRehearsal = command({
  name: "startRehearsal",
  act: contestActs.edit,
  schema: s.ofProject,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, { projectId }) {
    await sql`SELECT FROM project WHERE id = ${projectId} FOR UPDATE`;
    if (await rehearsalOf(projectId, sql)) refuse("The rehearsal is on already.");
    const there = await recordedOf(projectId, sql);
    if (there.length)
      refuse(
        `The contest has begun: ${recordedWords(there)} on record. What is rehearsed is wiped, and that must stay.`,
      );
    await sql`
      UPDATE project SET settings = settings || jsonb_build_object('rehearsal', app_now()) WHERE id = ${projectId}
    `;
    audit({ type: "rehearsal", id: projectId, label: "A rehearsal of the contest begins" });
  },
});

/** Fills an event's next results in, made up around what the builds did on the bench; only in a rehearsal. */
export const simulateResults = command({
  name: "simulateResults",
  act: contestActs.edit,
  schema: s.simulate,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit, actor }, input): Promise<{ made: number }> {
    const [e] = await sql<Pick<row.Event, "name" | "projectId" | "state">[]>`
      SELECT name, project_id, state FROM event WHERE id = ${input.id}
    `;
    if (!(await rehearsalOf(e!.projectId, sql)))
      refuse("Results are made up in a rehearsal only: begin one first, while nothing is on record.");
    if (e!.state === "confirmed") refuse("The result is confirmed. Reopen the event first.");
    const made = await simulateEvent(sql, actor, input.id, input.seed, input.all);
    if (made === 0) refuse("Nothing is left to be scored in this event.");
    audit({ type: "rehearsal", id: input.id, label: `${e!.name}: ${made} results made up, seed ${input.seed}` });
    return { made };
  },
});

/** Ends the rehearsal and wipes what was recorded in it; what was drawn before it stays. */
export const wipeRehearsal = command({
  name: "wipeRehearsal",
  act: contestActs.edit,
  schema: s.ofProject,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, { projectId }) {
    await sql`SELECT FROM project WHERE id = ${projectId} FOR UPDATE`;
    const since = await rehearsalOf(projectId, sql);
    if (!since) refuse("Nobody rehearses: nothing is wiped.");
    const gone = await recordedOf(projectId, sql);
    const events = sql`SELECT id FROM event WHERE project_id = ${projectId}`;
    const entries = sql`SELECT id FROM entry WHERE event_id IN (${events})`;
    await sql`DELETE FROM run WHERE entry_id IN (${entries})`;
    await sql`DELETE FROM match_result WHERE event_id IN (${events})`;
    await sql`DELETE FROM judge_sheet WHERE entry_id IN (${entries})`;
    await sql`DELETE FROM event_check WHERE event_id IN (${events})`;
    await sql`DELETE FROM event_halt WHERE event_id IN (${events})`;
    await sql`DELETE FROM vote WHERE ballot_id IN (SELECT id FROM ballot WHERE project_id = ${projectId})`;
    await sql`DELETE FROM ballot WHERE project_id = ${projectId} AND opened_at >= ${since}::timestamptz`;
    await sql`DELETE FROM hall_call WHERE project_id = ${projectId} AND called_at >= ${since}::timestamptz`;
    await sql`DELETE FROM inspection WHERE build_id IN (SELECT id FROM build WHERE project_id = ${projectId})`;
    // Orders and seeds that were drawn in the rehearsal are drawn again on the day.
    const drawn = await sql<{ event: string }[]>`
      DELETE FROM draw
      WHERE project_id = ${projectId} AND drawn_at >= ${since}::timestamptz
        AND (purpose LIKE 'run order %' OR purpose LIKE 'seeds of %' OR purpose LIKE 'round of %')
      RETURNING right(purpose, 36) AS event
    `;
    await sql`
      UPDATE entry
      SET
        run_off = NULL, version = version + 1,
        run_order = CASE WHEN event_id = ANY(${drawn.map((d) => d.event)}::uuid[]) THEN NULL ELSE run_order END
      WHERE id IN (${entries})
    `;
    await sql`UPDATE event SET state = 'set up', version = version + 1 WHERE id IN (${events})`;
    await sql`UPDATE board SET revealed = 0 WHERE project_id = ${projectId}`;
    await sql`UPDATE project SET settings = settings - 'rehearsal' WHERE id = ${projectId}`;
    audit({ type: "rehearsal", id: projectId, label: "The rehearsal is wiped", before: gone, after: [] });
  },
});
