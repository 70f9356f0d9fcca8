import "server-only";
import { refuse } from "@/platform/command/command";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { contestActs } from "./acts";
import { ofEntry } from "./queries/whose";

const confirmed = "The result of this event is confirmed. Reopen it first.";

/** An event goes with its entries and attempts. */
export const withdrawEvent = withdrawal({
  name: "withdrawEvent",
  kind: "event",
  table: "event",
  act: contestActs.edit,
  label: "x.name",
  async refuse(sql, id) {
    if ((await sql`SELECT FROM event WHERE id = ${id} AND state = 'confirmed'`).length) refuse(confirmed);
  },
  needsReason: true,
});

/** A team withdraws from an event: its entry goes with its attempts. */
export const withdrawEntry = withdrawal({
  name: "withdrawEntry",
  kind: "entry",
  table: "entry",
  act: contestActs.edit,
  subject: ofEntry,
  label: "(SELECT name FROM team WHERE id = x.team_id) || ' in ' || (SELECT name FROM event WHERE id = x.event_id)",
  async refuse(sql, id) {
    if (
      (await sql`SELECT FROM entry n JOIN event e ON e.id = n.event_id WHERE n.id = ${id} AND e.state = 'confirmed'`)
        .length
    )
      refuse(confirmed);
  },
  needsReason: true,
});
