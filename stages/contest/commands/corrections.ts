import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { contestActs } from "../acts";
import { ofEntry, ofEvent } from "../queries/whose";
import * as s from "../schema";

/** Gives an event another name, also when attempts have been scored: the rules stay. */
export const renameEvent = command({
  name: "renameEvent",
  act: contestActs.edit,
  schema: s.renameEvent,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit }, input) {
    const [e] = await sql<
      { version: row.Event["version"]; name: row.Event["name"] }[]
    >`SELECT version, name FROM event WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(e, "This event"), input.version, { name: "Name" }, input, e!);
    await sql`UPDATE event SET name = ${input.name}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "event", id: input.id, label: input.name, before: { name: e!.name }, after: { name: input.name } });
  },
});

/** A team enters with another of its builds, which is inspected anew; once it has an attempt, the build stays. */
export const changeEntry = command({
  name: "changeEntry",
  act: contestActs.edit,
  schema: s.changeEntry,
  subject: (sql, i) => ofEntry(sql, i.id),
  async run({ sql, audit }, input) {
    const [n] = await sql<
      {
        version: row.Entry["version"];
        teamId: row.Entry["teamId"];
        buildId: row.Entry["buildId"];
        team: row.Team["name"];
        state: row.Event["state"];
        scored: boolean;
      }[]
    >`
      SELECT
        n.version, n.team_id, n.build_id, t.name AS team, e.state,
        EXISTS (SELECT FROM run WHERE entry_id = n.id AND state <> 'void') AS scored
      FROM entry n
      JOIN team t ON t.id = n.team_id
      JOIN event e ON e.id = n.event_id
      WHERE n.id = ${input.id} FOR UPDATE OF n
    `;
    const entry = found(n, "This entry");
    checkVersion(entry, input.version, { buildId: "Build" }, input, entry);
    if (entry.state === "confirmed") refuse("The result is confirmed. Reopen the event first.");
    if (entry.scored)
      refuse(
        `${entry.team} has made attempts with this build. Set them aside first, or withdraw the entry.`,
        "buildId",
      );
    const [b] = await sql<
      { number: row.Build["number"] }[]
    >`SELECT number FROM build WHERE id = ${input.buildId} AND team_id = ${entry.teamId}`;
    await sql`
      UPDATE entry
      SET
        build_id = ${input.buildId}, inspection = 'waiting', inspection_note = '', inspected_at = NULL,
        version = version + 1
      WHERE id = ${input.id}
    `;
    await sql`SELECT renew_inspections(ARRAY[${input.buildId}]::uuid[])`;
    audit({
      type: "entry",
      id: input.id,
      label: `${entry.team} enters with G${found(b, "This build of the team").number}`,
      before: { build: entry.buildId },
      after: { build: input.buildId },
      reason: input.reason,
    });
  },
});
