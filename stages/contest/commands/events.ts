import type * as row from "@/platform/db/rows";
import "server-only";
import { penaltiesIn } from "@/core/contest/attempt";
import type { EventDefinition } from "@/core/contest/standings";
import { drawOrder } from "@/core/draw/draw";
import { checkRule } from "@/core/points/rule";
import { averaging, channelsOf, noMean, type ProtocolDefinition } from "@/core/run/protocol";
import { linesOf } from "@/core/text/lines";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { contestActs } from "../acts";
import { eventsOf } from "../queries/events";
import { judgedEventsOf } from "../queries/judged";
import { matchEventsOf } from "../queries/matches";
import { ofEvent } from "../queries/whose";
import * as s from "../schema";

/** Sets up an event; every team enters with its newest build. Once attempts are scored the rules are fixed. */
export const saveEvent = command({
  name: "saveEvent",
  act: contestActs.edit,
  schema: s.event,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const [v] = await sql<{ id: row.ProtocolVersion["id"]; definition: ProtocolDefinition }[]>`
      SELECT v.id, v.definition
      FROM protocol p
      JOIN protocol_version v ON v.protocol_id = p.id
      WHERE p.id = ${input.protocolId} AND p.project_id = ${input.projectId}
      ORDER BY v.number DESC
      LIMIT 1
    `;
    const channel = channelsOf(found(v, "This protocol").definition).find((c) => c.key === input.channel);
    if (!channel) refuse("The protocol does not measure that.", "channel");
    if (channel.levels && (input.foul === "zero" || averaging.includes(input.school!)))
      refuse(noMean(channel.name), "school");
    const r = input.points;
    const [wrong] = r ? checkRule({ ...r, floor: r.floor ?? "0" } as Parameters<typeof checkRule>[0], channel) : [];
    if (wrong) refuse(`${wrong[0]!.toUpperCase()}${wrong.slice(1)}`, "points");
    const { rules: penalties } = penaltiesIn(input.penalties ?? "");
    const target = input.target || undefined;
    if (channel.levels && (target || penalties.length || input.care))
      refuse(`${channel.name} is read by levels: it has no distance from a target, no penalty and no mean.`, "target");
    if (target && input.better !== "less")
      refuse("Where a target is to be met exactly, less is better: the distance from it is ranked.", "better");
    if (r?.kind === "target" && target && Number(r.target) !== Number(target))
      refuse(`The points rule aims at ${r.target}, the event at ${target}.`, "target");
    const definition: EventDefinition = {
      channel: channel.key,
      unit: channel.unit,
      ...(channel.levels && { levels: channel.levels }),
      better: input.better,
      policy: {
        school: input.school,
        n: input.n,
        k: input.school === "best-k" ? Math.min(input.k, input.n) : undefined,
        foul: input.foul,
      },
      ranking: input.ranking,
      resolution: input.ties === "resolution" ? input.resolution! : null,
      tieBreaks: [...new Set(input.tieBreaks)],
      points: (r ? { ...r, floor: r.floor ?? "0", school: r.school ?? "complete" } : null) as EventDefinition["points"],
      seed: input.seed,
      ...(target && { target }),
      ...(input.care && { care: input.care }),
      ...(penalties.length > 0 && { penalties }),
    };
    let { id } = input;
    if (id) {
      const [e] = await sql<{ version: number; name: string; scored: boolean }[]>`
        SELECT
          version, name, EXISTS (SELECT FROM run r JOIN entry n ON n.id = r.entry_id WHERE n.event_id = e.id) AS scored
        FROM event e
        WHERE id = ${id} AND project_id = ${input.projectId} AND format = 'attempts' FOR UPDATE
      `;
      checkVersion(found(e, "This event"), input.version, { name: "Name" }, input, e!);
      if (e!.scored)
        refuse("Attempts have been scored: the rules of this event are fixed. Make another event if they must change.");
      await sql`
        UPDATE event
        SET
          name = ${input.name}, definition = ${sql.json(definition as never)}, protocol_version_id = ${v!.id},
          cautions = ${linesOf(input.cautions ?? "")}, officer = ${input.officer}, copied = false,
          version = version + 1
        WHERE id = ${id}
      `;
    } else {
      id = newId();
      await sql`
        INSERT INTO event (id, project_id, protocol_version_id, name, definition, cautions, officer)
        VALUES (
          ${id}, ${input.projectId}, ${v!.id}, ${input.name}, ${sql.json(definition as never)},
          ${linesOf(input.cautions ?? "")}, ${input.officer}
        )
      `;
    }
    await enterTeams(sql, input.projectId, id);
    audit({ type: "event", id, label: input.name, after: definition });
    return { id };
  },
});

/** Every team of a project enters an event with its newest build; who was inspected keeps its own. */
export async function enterTeams(sql: Tx, projectId: string, eventId: string): Promise<void> {
  const teams = await sql<{ id: row.Team["id"]; buildId: string | null }[]>`
    SELECT t.id, (SELECT b.id FROM build b WHERE b.team_id = t.id ORDER BY b.number DESC LIMIT 1) AS build_id
    FROM team t
    WHERE t.project_id = ${projectId} AND t.retired_at IS NULL
  `;
  if (!teams.length) return;
  await sql`
      INSERT INTO entry ${sql(teams.map((t) => ({ id: newId(), eventId, teamId: t.id, buildId: t.buildId })))}
      ON CONFLICT (event_id, team_id) DO UPDATE SET build_id = excluded.build_id, version = entry.version + 1
      WHERE entry.inspection = 'waiting'
    `;
  // A build that was inspected for another event is inspected.
  await sql`SELECT renew_inspections(ARRAY(SELECT build_id FROM entry WHERE event_id = ${eventId}))`;
}

/** Takes the teams' newest builds in again, before the inspection: teams formed or built since the event was set up. */
export const refreshEntries = command({
  name: "refreshEntries",
  act: contestActs.edit,
  schema: s.eventId,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit }, input) {
    const [e] = await sql<
      { projectId: string; name: string; state: string }[]
    >`SELECT project_id, name, state FROM event WHERE id = ${input.id} FOR UPDATE`;
    if (e!.state === "confirmed") refuse("The result is confirmed.");
    await enterTeams(sql, e!.projectId, input.id);
    audit({ type: "event", id: input.id, label: e!.name, after: { entries: "refreshed" } });
  },
});

/** Draws the run order with a seed that was shown before; anyone can repeat it. */
export const drawRunOrder = command({
  name: "drawRunOrder",
  act: contestActs.edit,
  schema: s.drawOrder,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit, by }, input) {
    const [e] = await sql<
      { version: row.Event["version"]; projectId: row.Event["projectId"]; name: row.Event["name"]; scored: boolean }[]
    >`
      SELECT
        version, project_id, name,
        EXISTS (SELECT FROM run r JOIN entry n ON n.id = r.entry_id WHERE n.event_id = e.id)
          OR EXISTS (SELECT FROM match_result m WHERE m.event_id = e.id)
          OR EXISTS (SELECT FROM judge_sheet j JOIN entry n ON n.id = j.entry_id WHERE n.event_id = e.id)
          OR EXISTS (SELECT FROM draw w WHERE w.project_id = e.project_id AND w.purpose = 'round of ' || e.id) AS scored
      FROM event e
      WHERE id = ${input.id} FOR UPDATE
    `;
    checkVersion(found(e, "This event"), input.version, {}, {}, {});
    if (e!.scored) refuse("It has begun: the order stays.");
    const entries = await sql<{ id: row.Entry["id"]; team: row.Team["name"] }[]>`
      SELECT n.id, t.name AS team
      FROM entry n
      JOIN team t ON t.id = n.team_id
      JOIN event e ON e.id = n.event_id
      WHERE n.event_id = ${input.id} AND (e.format IN ('attempts', 'judged') OR n.inspection <> 'turned away')
      ORDER BY t.name, n.id
    `;
    if (!entries.length) refuse("No team has entered yet.");
    const order = drawOrder(entries, input.seed);
    for (const [i, n] of order.entries())
      await sql`UPDATE entry SET run_order = ${i + 1}, version = version + 1 WHERE id = ${n.id}`;
    await sql`UPDATE event SET version = version + 1 WHERE id = ${input.id}`;
    await sql`
      INSERT INTO draw (id, project_id, purpose, seed, inputs, outcome, drawn_by)
      VALUES (
        ${newId()}, ${e!.projectId}, ${`run order ${input.id}`}, ${input.seed}, ${sql.json(entries.map((n) => n.team))},
        ${sql.json(order.map((n) => n.team))}, ${by}
      )
    `;
    audit({
      type: "draw",
      id: input.id,
      label: `${e!.name}: run order, seed ${input.seed}`,
      after: order.map((n) => n.team),
    });
  },
});

/** What is confirmed: every place with what it came from; of matches nobody's place may be open. */
async function resultOf(sql: Tx, projectId: string, id: string) {
  const measured = (await eventsOf(projectId, sql)).find((x) => x.id === id);
  if (measured)
    return measured.standings.map((x) => ({ team: x.name, place: x.place, counted: x.counted, points: x.points }));
  const [judged] = await judgedEventsOf(projectId, sql, id);
  if (judged) {
    const without = judged.standings.filter((x) => x.counted === null).map((x) => x.name);
    if (without.length === judged.standings.length)
      refuse("Nobody has a mark that can be compared yet: see what is said below the standings.");
    return judged.standings.map((x) => ({ team: x.name, place: x.place, counted: x.counted, points: x.points }));
  }
  const { standings } = (await matchEventsOf(projectId, sql)).find((x) => x.id === id)!;
  const open = standings.filter((x) => x.place === null).map((x) => x.name);
  if (open.length)
    refuse(`It is not played to its end: ${open.join(", ")} ${open.length === 1 ? "has" : "have"} no place.`);
  return standings.map((x) => ({ team: x.name, place: x.place, won: x.won, lost: x.lost, points: x.points }));
}

/** Confirms an event's result; it never changes silently afterwards. */
export const confirmEvent = command({
  name: "confirmEvent",
  act: contestActs.edit,
  schema: s.eventVersion,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit }, input) {
    const [e] = await sql<
      {
        version: row.Event["version"];
        state: row.Event["state"];
        name: row.Event["name"];
        projectId: row.Event["projectId"];
      }[]
    >`SELECT version, state, name, project_id FROM event WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(
      found(e, "This event"),
      input.version,
      { state: "State" },
      { state: "confirmed" },
      { state: e!.state },
    );
    if (e!.state !== "running")
      refuse(e!.state === "confirmed" ? "The result is confirmed already." : "No attempt has been scored yet.");
    const twice = await sql<{ team: row.Team["name"] }[]>`
      SELECT DISTINCT t.name AS team
      FROM run r
      JOIN entry n ON n.id = r.entry_id
      JOIN team t ON t.id = n.team_id
      WHERE n.event_id = ${input.id} AND r.rival_of IS NOT NULL
      ORDER BY 1
    `;
    if (twice.length)
      refuse(`Attempts of ${twice.map((t) => t.team).join(", ")} were scored by two people: choose what stands first.`);
    const result = await resultOf(sql, e!.projectId, input.id);
    await sql`UPDATE event SET state = 'confirmed', version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "event", id: input.id, label: `${e!.name} confirmed`, after: result });
  },
});

export const reopenEvent = command({
  name: "reopenEvent",
  act: contestActs.edit,
  schema: s.voidAttempt,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit }, input) {
    const [e] = await sql<
      { version: number; state: string; name: string }[]
    >`SELECT version, state, name FROM event WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(e, "This event"), input.version, { state: "State" }, { state: "running" }, { state: e!.state });
    if (e!.state !== "confirmed") refuse("The result is not confirmed.");
    await sql`UPDATE event SET state = 'running', version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "event", id: input.id, label: `${e!.name} reopened`, reason: input.reason });
  },
});
