import type { AwardKind } from "@/core/vocabulary/contest";
import type * as row from "@/platform/db/rows";
import "server-only";
import { type Context, command, found, refuse } from "@/platform/command/command";
import { settingsOf } from "@/platform/project/settings";
import { contestActs } from "../acts";
import * as s from "../schema";

/** Sets which awards the contest gives, where it gave these before. */
export async function giveAwards(
  { sql, audit }: Pick<Context, "sql" | "audit">,
  projectId: string,
  before: readonly AwardKind[],
  given: readonly AwardKind[],
): Promise<void> {
  await sql`UPDATE project SET settings = settings || ${sql.json({ awards: given })} WHERE id = ${projectId}`;
  audit({ type: "awards", id: projectId, label: "awards", before, after: given });
}

/** Which awards the contest gives; the record says who has them. */
export const saveAwards = command({
  name: "saveAwards",
  act: contestActs.edit,
  schema: s.awards,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const { awards } = await settingsOf(input.projectId, sql);
    await giveAwards({ sql, audit }, input.projectId, awards, [...new Set(input.given)]);
  },
});

/**
 * How the events become one ranking, and how much each counts. It is declared beforehand: once an event has begun a
 * change takes its reason, which stays on record.
 */
export const saveOverall = command({
  name: "saveOverall",
  act: contestActs.edit,
  schema: s.overallRule,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const { projectId } = input;
    const events = await sql<
      {
        id: row.Event["id"];
        name: row.Event["name"];
        state: row.Event["state"];
        weight: row.Event["weight"];
      }[]
    >`SELECT id, name, state, weight FROM event WHERE project_id = ${projectId} ORDER BY id FOR UPDATE`;
    const { combine } = await settingsOf(projectId, sql);
    const moved = input.weights.flatMap((w) => {
      const event = found(
        events.find((e) => e.id === w.id),
        "This event",
      );
      return Number(event.weight) === Number(w.weight) ? [] : [{ ...event, now: w.weight }];
    });
    const begun = events.some((e) => e.state !== "set up");
    if (begun && (moved.length || combine !== input.method) && !input.reason)
      refuse("An event has begun: say why the ranking is made otherwise.", "reason");
    for (const e of moved) await sql`UPDATE event SET weight = ${e.now}, version = version + 1 WHERE id = ${e.id}`;
    const settings = sql.json({ combine: input.method! });
    await sql`UPDATE project SET settings = settings || ${settings} WHERE id = ${projectId}`;
    audit({
      type: "overall",
      id: projectId,
      label: "overall ranking",
      before: { method: combine, ...Object.fromEntries(moved.map((e) => [e.name, e.weight])) },
      after: { method: input.method, ...Object.fromEntries(moved.map((e) => [e.name, e.now])) },
      reason: input.reason,
    });
  },
});
