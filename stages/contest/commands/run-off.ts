import type { EventDefinition } from "@/core/contest/standings";
import { atResolution } from "@/core/ranking/rank";
import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { contestActs } from "../acts";
import { eventsOf } from "../queries/events";
import { ofEvent } from "../queries/whose";
import * as s from "../schema";

/** Records in which order those who were tied ended the run-off; with no order what was recorded is taken out. */
export const recordRunOff = command({
  name: "recordRunOff",
  act: contestActs.edit,
  schema: s.runOff,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit }, input) {
    const [e] = await sql<
      Pick<row.Event, "version" | "state" | "name" | "projectId">[]
    >`SELECT version, state, name, project_id FROM event WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(e, "This event"), input.version, {}, {}, {});
    if (e!.state === "confirmed") refuse("The result is confirmed. Reopen the event first.");
    const event = found(
      (await eventsOf(e!.projectId, sql)).find((x) => x.id === input.id),
      "An event of attempts",
    );
    const d: EventDefinition = event.definition;
    if (!d.tieBreaks.includes("runoff")) refuse(`The rules of ${e!.name} do not break ties by a run-off.`);
    const tied = input.tied.map((id) =>
      found(
        event.standings.find((x) => x.id === id),
        "This entry of the event",
      ),
    );
    const grid = new Set(tied.map((x) => x.counted && atResolution(x.counted, d.resolution).toString()));
    if (tied.length < 2 || grid.size > 1 || grid.has(null))
      refuse("These are not tied (any more): look at the standings again.", "tied");
    const whole = input.order.length === tied.length && tied.every((x) => input.order.includes(x.id));
    if (input.order.length > 0 && !whole) refuse("Everybody who is tied has one place in the run-off.", "order");
    const names = (ids: readonly string[]) => ids.map((id) => tied.find((x) => x.id === id)!.name);
    for (const id of input.tied) {
      const at = input.order.indexOf(id);
      await sql`
        UPDATE entry SET run_off = ${at < 0 ? null : at + 1}, version = version + 1
        WHERE id = ${id} AND event_id = ${input.id}
      `;
    }
    await sql`UPDATE event SET version = version + 1 WHERE id = ${input.id}`;
    audit({
      type: "event",
      id: input.id,
      label: `${e!.name}: run-off of ${names(input.tied).join(", ")}${whole ? "" : " taken out"}`,
      after: names(input.order as string[]),
      reason: input.reason,
    });
  },
});
