import type * as row from "@/platform/db/rows";
import "server-only";
import { command, found, refuse, today } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { contestActs } from "../acts";
import { safetyOfEvent } from "../queries/safety";
import { ofEvent, ofHalt } from "../queries/whose";
import * as s from "../schema";

/** Nothing is scored while an event is halted, nor before its copied rules and its cautions are ticked. */
export async function refuseUnsafe(sql: Tx, eventId: string): Promise<void> {
  const e = (await safetyOfEvent(eventId, sql))!;
  if (e.copied) refuse(`The rules of ${e.name} were copied: the instructor reads and ticks them first.`);
  if (e.halt)
    refuse(`${e.name} is halted: ${e.halt.reason} (${e.halt.by}). Nothing is scored until a judge lets it go on.`);
  if (e.cautions.length && !e.check)
    refuse(`Before the first of today the cautions are ticked${e.officer && ` by ${e.officer}`}.`);
}

const folded = (name: string) => name.trim().toLowerCase().replace(/\s+/g, " ");

/** Ticks what has to be so before an event begins, once a day, signed by the person whom its rules name. */
export const checkEvent = command({
  name: "checkEvent",
  act: contestActs.inspect,
  schema: s.eventCheck,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit, by }, input) {
    const e = found(await safetyOfEvent(input.id, sql), "This event");
    if (!e.cautions.length) refuse(`${e.name} has no cautions to tick.`);
    const left = e.cautions.find((x) => !input.cautions.includes(x));
    if (left) refuse(`Not ticked yet: ${left} If the page shows other cautions, reload it: they were changed.`);
    if (e.officer && folded(input.signed) !== folded(e.officer))
      refuse(`The rules name ${e.officer}: it is signed with that name.`, "signed");
    await sql`
      INSERT INTO event_check ${sql({
        id: newId(),
        eventId: input.id,
        onDate: today(),
        cautions: [...e.cautions],
        signed: input.signed,
        recordedBy: by,
      })}
      ON CONFLICT (event_id, on_date) DO UPDATE
      SET
        cautions = excluded.cautions, signed = excluded.signed, recorded_by = excluded.recorded_by,
        recorded_at = excluded.recorded_at
      WHERE NOT event_check.cautions @> excluded.cautions
    `;
    audit({
      type: "event",
      id: input.id,
      label: `${e.name}: cautions ticked`,
      after: { on: today(), cautions: e.cautions, signed: input.signed },
    });
  },
});

/** Stops an event at once, with the reason, which stands on the board: whoever scores may. */
export const haltEvent = command({
  name: "haltEvent",
  act: contestActs.score,
  schema: s.halt,
  subject: (sql, i) => ofEvent(sql, i.eventId),
  async run({ sql, audit, by }, input) {
    const [known] = await sql<{ liftedAt: row.EventHalt["liftedAt"] }[]>`
      SELECT lifted_at FROM event_halt WHERE id = ${input.id}
    `;
    // Nobody may believe that it is halted while it is not.
    if (known?.liftedAt) refuse("That halt was lifted meanwhile. Load the page again and halt it anew.");
    if (known) return audit({ type: "event", id: input.eventId, label: "sent again" });
    const [e] = await sql<{ name: row.Event["name"] }[]>`SELECT name FROM event WHERE id = ${input.eventId} FOR UPDATE`;
    const { name } = found(e, "This event");
    const [open] = await sql<
      { reason: row.EventHalt["reason"]; by: row.EventHalt["haltedBy"] }[]
    >`SELECT reason, halted_by AS by FROM event_halt WHERE event_id = ${input.eventId} AND lifted_at IS NULL`;
    if (open) refuse(`It is halted already, by ${open.by}: ${open.reason}`);
    await sql`
      INSERT INTO event_halt ${sql({ id: input.id, eventId: input.eventId, reason: input.reason, haltedBy: by })}
    `;
    audit({ type: "event", id: input.eventId, label: `${name} halted`, reason: input.reason });
  },
});

/** Lets a halted event go on, saying what was done about it. */
export const liftHalt = command({
  name: "liftHalt",
  act: contestActs.inspect,
  schema: s.lift,
  subject: (sql, i) => ofHalt(sql, i.id),
  async run({ sql, audit, by }, input) {
    const [h] = await sql<
      { eventId: row.EventHalt["eventId"]; lifted: boolean; name: row.Event["name"]; reason: string }[]
    >`
      SELECT h.event_id, h.lifted_at IS NOT NULL AS lifted, e.name, h.reason
      FROM event_halt h
      JOIN event e ON e.id = h.event_id
      WHERE h.id = ${input.id} FOR UPDATE OF h
    `;
    const { eventId, lifted, name, reason } = found(h, "This halt");
    if (lifted) refuse("It goes on already.");
    await sql`
      UPDATE event_halt SET lifted_by = ${by}, lifted_at = app_now(), lift_note = ${input.note} WHERE id = ${input.id}
    `;
    audit({ type: "event", id: eventId, label: `${name} goes on`, before: { halted: reason }, reason: input.note });
  },
});
