import "server-only";
import { pairRound } from "@/core/contest/rounds";
import { table } from "@/core/contest/table";
import { linesOf } from "@/core/text/lines";
import { type Context, checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { contestActs } from "../acts";
import { eventsOf } from "../queries/events";
import { judgedEventsOf } from "../queries/judged";
import { matchEventsOf } from "../queries/matches";
import { ofEvent } from "../queries/whose";
import * as s from "../schema";
import { seeded } from "../view/seeds";
import { enterTeams } from "./events";
import { type Locked, matchesOf, openMatches } from "./open-matches";

/** Sets up an event in which two meet at a time; every team enters. Once a match is recorded the rules are fixed. */
export const saveMatchEvent = command({
  name: "saveMatchEvent",
  act: contestActs.edit,
  schema: s.matchEvent,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const definition = {
      decides: input.decides!,
      games: input.decides === "games" ? input.games : 1,
      secondFinal: input.secondFinal,
      third: input.third,
      rounds: input.rounds,
      points: { win: input.win, draw: input.draw, loss: input.loss },
      placePoints: s.placePointsIn(input.placePoints ?? ""),
      measured:
        input.decides === "measured"
          ? { name: input.measure, unit: input.unit, better: input.better, resolution: input.resolution! }
          : null,
    };
    let { id } = input;
    if (id) {
      const e = await openMatches(sql, id);
      if (e.projectId !== input.projectId) found(null, "This event");
      checkVersion(e, input.version, { name: "Name" }, input, e);
      if (e.results.length) refuse("Matches have been recorded: the rules of this event are fixed.");
      const redraw = e.rules.format !== input.format;
      await sql`
        UPDATE event
        SET
          name = ${input.name}, format = ${input.format!}, definition = ${sql.json(definition)},
          cautions = ${linesOf(input.cautions ?? "")}, officer = ${input.officer}, copied = false,
          version = version + 1
        WHERE id = ${id}
      `;
      if (redraw) await forgetSeeds(sql, id);
    } else {
      id = newId();
      await sql`
        INSERT INTO event (id, project_id, name, format, definition, cautions, officer)
        VALUES (
          ${id}, ${input.projectId}, ${input.name}, ${input.format!}, ${sql.json(definition)},
          ${linesOf(input.cautions ?? "")}, ${input.officer}
        )
      `;
    }
    await enterTeams(sql, input.projectId, id);
    audit({ type: "event", id, label: input.name, after: { format: input.format, ...definition } });
    return { id };
  },
});

/** Another way of playing is drawn anew. */
async function forgetSeeds(sql: Tx, id: string): Promise<void> {
  await sql`UPDATE entry SET run_order = NULL, version = version + 1 WHERE event_id = ${id}`;
  await sql`DELETE FROM draw WHERE purpose = ${`round of ${id}`}`;
}

/** Gives the entries their seeds in this order, and says how it came about. */
async function seedAs(context: Context, e: Locked, version: number, ids: readonly string[], how: string) {
  const { sql, audit, by } = context;
  checkVersion(e, version, {}, {}, {});
  if (e.results.length || e.drawn.length) refuse("Matches have begun: the seeds stay.");
  const known = new Map(e.entries.map((n) => [n.id as string, n]));
  for (const id of ids) found(known.get(id), "This entry of the event");
  const missing = e.entries.filter((n) => n.inspection !== "turned away" && !ids.includes(n.id));
  if (missing.length) refuse(`Not seeded: ${missing.map((n) => n.team).join(", ")}.`, "entries");
  await sql`UPDATE entry SET run_order = NULL WHERE event_id = ${e.id}`;
  for (const [i, id] of ids.entries())
    await sql`UPDATE entry SET run_order = ${i + 1}, version = version + 1 WHERE id = ${id}`;
  await sql`UPDATE event SET version = version + 1 WHERE id = ${e.id}`;
  const teams = ids.map((id) => known.get(id)!.team);
  await sql`
    INSERT INTO draw ${sql({
      id: newId(),
      projectId: e.projectId,
      purpose: `seeds of ${e.id}`,
      seed: how,
      inputs: sql.json(teams),
      outcome: sql.json(teams),
      drawnBy: by,
    })}
  `;
  audit({ type: "draw", id: e.id, label: `${e.name}: seeds, ${how}`, after: teams });
}

/** Seeds the entries in the order of another event's standings; who has no place there follows by name. */
export const seedByEvent = command({
  name: "seedByEvent",
  act: contestActs.edit,
  schema: s.seedByEvent,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run(context, input) {
    const { sql } = context;
    const e = await openMatches(sql, input.id);
    const others = [
      ...(await eventsOf(e.projectId, sql)),
      ...(await judgedEventsOf(e.projectId, sql)),
      ...(await matchEventsOf(e.projectId, sql)),
    ];
    const from = found(
      others.find((x) => x.id === input.from && x.id !== e.id),
      "The event to seed by",
    );
    const place = new Map(from.standings.map((x) => [x.name, x.place ?? Number.POSITIVE_INFINITY]));
    if (![...place.values()].some(Number.isFinite)) refuse(`${from.name} has no places yet.`, "from");
    const at = (team: string) => place.get(team) ?? Number.POSITIVE_INFINITY;
    const order = e.entries
      .filter((n) => n.inspection !== "turned away")
      .sort((a, b) => (at(a.team) === at(b.team) ? a.team.localeCompare(b.team) : at(a.team) - at(b.team)));
    await seedAs(
      context,
      e,
      input.version,
      order.map((n) => n.id),
      `by the places of ${from.name}`.slice(0, 100),
    );
  },
});

/** Seeds the entries by hand. */
export const seedByHand = command({
  name: "seedByHand",
  act: contestActs.edit,
  schema: s.seedByHand,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run(context, input) {
    await seedAs(context, await openMatches(context.sql, input.id), input.version, input.entries, "by hand");
  },
});

/** Pairs the next round of equal records; every match of the round before is recorded by then. */
export const drawRound = command({
  name: "drawRound",
  act: contestActs.edit,
  schema: s.drawOrder,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit, by }, input) {
    const e = await openMatches(sql, input.id);
    checkVersion(e, input.version, {}, {}, {});
    if (e.rules.format !== "records") refuse("Only rounds of equal records are drawn one by one.");
    const entries = seeded(e.entries);
    if (entries.length < 2) refuse("Draw the seeds first.");
    const matches = matchesOf(e);
    const waiting = matches.filter((m) => m.state === "ready").length;
    if (waiting) refuse(`${waiting} of this round ${waiting === 1 ? "is" : "are"} still to be played.`);
    if (e.drawn.length >= e.rules.rounds) refuse(`All ${e.rules.rounds} rounds are drawn.`);
    const ids = entries.map((n) => n.id as string);
    const byes = e.drawn.flatMap((r) => (r.bye === null ? [] : [ids[r.bye - 1]!]));
    const counted = matches.flatMap((m) => (m.result ? [m.result] : []));
    const points = new Map(table(ids, counted, e.rules.points, byes).map((r) => [r.entry, Number(r.points)]));
    const next = pairRound(
      ids.map((id, i) => ({
        seed: i + 1,
        points: points.get(id)!,
        met: counted.flatMap((r) => (r.a === id ? [ids.indexOf(r.b) + 1] : r.b === id ? [ids.indexOf(r.a) + 1] : [])),
        hadBye: byes.includes(id),
      })),
      e.drawn.length + 1,
      input.seed,
    );
    if (!next) refuse("Everybody has met whom they could meet: there is no further round.");
    const name = (seed: number) => entries[seed - 1]!.team;
    const after = next.pairs.map(([a, b]) => `${name(a)} and ${name(b)}`);
    await sql`
      INSERT INTO draw ${sql({
        id: newId(),
        projectId: e.projectId,
        purpose: `round of ${e.id}`,
        seed: input.seed,
        inputs: sql.json(ids.map((_, i) => i + 1)),
        outcome: sql.json(next),
        drawnBy: by,
      })}
    `;
    await sql`UPDATE event SET version = version + 1 WHERE id = ${e.id}`;
    audit({ type: "draw", id: e.id, label: `${e.name}: round ${e.drawn.length + 1}, seed ${input.seed}`, after });
  },
});
