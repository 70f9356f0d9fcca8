import type * as row from "@/platform/db/rows";
import "server-only";
import { clockIn, clockOf } from "@/core/contest/programme";
import { checkVersion, command, found } from "@/platform/command/command";
import { contestActs } from "../acts";
import { ofEvent } from "../queries/whose";
import * as s from "../schema";

/** When an event begins on the day, on how many benches or lanes, and how long an attempt or a match takes there. */
export const saveProgramme = command({
  name: "saveProgramme",
  act: contestActs.edit,
  schema: s.programme,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit }, input) {
    const [e] = await sql<Pick<row.Event, "version" | "name" | "starts" | "lanes" | "minutes" | "repair">[]>`
      SELECT version, name, starts, lanes, minutes, repair FROM event WHERE id = ${input.id} FOR UPDATE
    `;
    const before = found(e, "This event");
    const starts = before.starts === null ? "" : clockOf(before.starts);
    const labels = { starts: "Begins at", lanes: "Side by side", minutes: "Minutes each", repair: "Repair" };
    checkVersion(before, input.version, labels, input, { ...before, starts });
    const plan = {
      starts: input.starts ? clockIn(input.starts) : null,
      lanes: input.lanes,
      minutes: input.minutes,
      repair: input.repair,
    };
    await sql`UPDATE event SET ${sql(plan)}, version = version + 1 WHERE id = ${input.id}`;
    const { version: _, name, ...was } = before;
    audit({ type: "event", id: input.id, label: `${name}: programme`, before: was, after: plan });
  },
});
