import type * as row from "@/platform/db/rows";
import "server-only";
import { decide, isElimination, slotsOf } from "@/core/contest/matches";
import { type Correction, correct } from "@/core/contest/meeting";
import { type Match, play, type Result } from "@/core/contest/play";
import { pairRound } from "@/core/contest/rounds";
import { table } from "@/core/contest/table";
import { type Context, checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { contestActs } from "../acts";
import { eventsOf } from "../queries/events";
import { lockMatches, matchEventsOf } from "../queries/matches";
import * as s from "../schema";
import { seeded } from "../view/seeds";
import { matchWords, slotWords } from "../view/words";
import { enterTeams } from "./events";

const ofEvent = (sql: Tx, id: string) => projectOf(sql, "event", id);

type Locked = NonNullable<Awaited<ReturnType<typeof lockMatches>>>;

async function open(sql: Tx, id: string): Promise<Locked> {
  const e = found(await lockMatches(sql, id), "This event");
  if (e.state === "confirmed") refuse("The result is confirmed. Reopen the event first.");
  return e;
}

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
      const e = await open(sql, id);
      if (e.projectId !== input.projectId) found(null, "This event");
      checkVersion(e, input.version, { name: "Name" }, input, e);
      if (e.results.length) refuse("Matches have been recorded: the rules of this event are fixed.");
      const redraw = e.rules.format !== input.format;
      await sql`
        UPDATE event
        SET name = ${input.name}, format = ${input.format!}, definition = ${sql.json(definition)}, version = version + 1
        WHERE id = ${id}
      `;
      if (redraw) await forgetSeeds(sql, id);
    } else {
      id = newId();
      await sql`
        INSERT INTO event (id, project_id, name, format, definition)
        VALUES (${id}, ${input.projectId}, ${input.name}, ${input.format!}, ${sql.json(definition)})
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
    const e = await open(sql, input.id);
    const others = [...(await eventsOf(e.projectId, sql)), ...(await matchEventsOf(e.projectId, sql))];
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
    await seedAs(context, await open(context.sql, input.id), input.version, input.entries, "by hand");
  },
});

/** How an event's matches stand. */
const matchesOf = (e: Locked): Match[] => {
  const ids = seeded(e.entries).map((n) => n.id as string);
  return play(slotsOf(e.rules, ids.length, e.drawn), ids, e.results);
};

/** Pairs the next round of equal records; every match of the round before is recorded by then. */
export const drawRound = command({
  name: "drawRound",
  act: contestActs.edit,
  schema: s.drawOrder,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit, by }, input) {
    const e = await open(sql, input.id);
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

/** What stands between a match and its record, in words. */
function refuseMatch(e: Locked, match: Match | undefined, input: { a: string; b: string; outcome: string }): void {
  const two = [match?.a, match?.b];
  if (!match || !two.includes(input.a) || !two.includes(input.b) || input.a === input.b)
    refuse("These two do not meet in this match (any more). Look at the bracket again.", "slot");
  if (input.outcome !== "won" && input.outcome !== "drawn") return;
  for (const id of [input.a, input.b]) {
    const n = e.entries.find((x) => x.id === id)!;
    if (n.inspection !== "passed")
      refuse(
        n.inspection === "waiting"
          ? `${n.team} has not passed inspection yet.`
          : `${n.team} was turned away at inspection: the other wins by walkover.`,
      );
  }
}

/** What a correction makes void has to be what whoever sends it has seen. */
function refuseVoids(correction: Correction, before: readonly Match[], seen: readonly string[], e: Locked): void {
  const gone = before.filter((m) => correction.void.includes(m.slot.key));
  if (gone.length === seen.length && gone.every((m) => seen.includes(m.slot.key))) return;
  const name = (id: string) => e.entries.find((n) => n.id === id)!.team;
  refuse(
    gone.length
      ? `It makes void: ${gone.map((m) => matchWords(m, name)).join("; ")}. Say that you have seen this.`
      : "It makes nothing void any more: somebody has recorded something meanwhile. Look again.",
    "voids",
  );
}

/**
 * Records how a match ended. What is recorded of it already is replaced only by a correction, which names the results
 * that it makes void; nothing that was recorded is lost.
 */
export const recordMatch = command({
  name: "recordMatch",
  together: true,
  act: contestActs.score,
  schema: s.matchResult,
  subject: (sql, i) => ofEvent(sql, i.eventId),
  async run({ sql, audit, by }, input): Promise<{ slot: string }> {
    const e = await open(sql, input.eventId);
    if (e.results.some((r) => r.id === input.id)) {
      audit({ type: "match", id: input.id, label: "sent again" });
      return { slot: input.slot };
    }
    if ((await sql`SELECT FROM match_result WHERE id = ${input.id}`).length)
      refuse("This result was already recorded for another event.");
    const matches = matchesOf(e);
    const match = matches.find((m) => m.slot.key === input.slot);
    refuseMatch(e, match, input);
    const score = input.aScore && input.bScore ? ([input.aScore, input.bScore] as [string, string]) : null;
    const winner = winnerOf(e, input, score);
    const outcome = input.outcome === "won" && winner === null ? "drawn" : input.outcome!;
    if (outcome === "drawn" && isElimination(e.rules.format))
      refuse("In an elimination somebody goes on: play again, or let the judges call it.", "outcome");
    const result: Result = { slot: input.slot, a: input.a, b: input.b, outcome, winner, score };
    const old = match!.result;
    if (old && !input.corrects) {
      const name = (id: string | null) => e.entries.find((n) => n.id === id)?.team ?? "neither";
      refuse(
        `It is recorded already: ${name(old.winner)} ${old.winner ? "has won" : "has"}. ` +
          "If that is wrong, correct it, with the reason.",
      );
    }
    if (old && !input.reason) refuse("Say why it is corrected.", "reason");
    if (old) {
      const ids = seeded(e.entries).map((n) => n.id as string);
      refuseVoids(
        correct(
          matches.map((m) => m.slot),
          ids,
          e.results,
          result,
        ),
        matches,
        input.voids as string[],
        e,
      );
    }
    await sql`
      INSERT INTO match_result ${sql({
        id: input.id,
        eventId: e.id,
        number: 1 + (await lastNumber(sql, e.id)),
        slot: input.slot,
        aId: input.a,
        bId: input.b,
        outcome,
        winnerId: winner,
        aScore: score?.[0] ?? null,
        bScore: score?.[1] ?? null,
        reason: input.reason,
        recordedBy: by,
      })}
    `;
    if (e.state === "set up") await sql`UPDATE event SET state = 'running', version = version + 1 WHERE id = ${e.id}`;
    audit({
      type: "match",
      id: input.id,
      label: `${e.name}, ${slotWords(match!.slot)}`,
      before: old,
      after: result,
      reason: input.reason,
    });
    return { slot: input.slot };
  },
});

const lastNumber = async (sql: Tx, eventId: string): Promise<number> => {
  const [last] = await sql<{ n: row.MatchResult["number"] }[]>`
    SELECT coalesce(max(number), 0)::int AS n FROM match_result WHERE event_id = ${eventId}
  `;
  return last!.n;
};

/** Who has won by what was sent: by the rule of the match where it was played, else by who was there. */
function winnerOf(
  e: Locked,
  input: { outcome: string | undefined; winner: string | null | undefined; a: string; b: string },
  score: [string, string] | null,
): string | null {
  const side = (w: "a" | "b" | null) => (w === null ? null : input[w]);
  const named = input.winner === "a" || input.winner === "b" ? input.winner : null;
  if (input.outcome === "neither" || input.outcome === "drawn") return null;
  if (input.outcome === "won") {
    const says = decide(e.rules, { score, winner: named });
    if (!says.ok) refuse(says.message, score === null ? "winner" : "aScore");
    return side(says.winner);
  }
  if (!named) refuse("Say who was there.", "winner");
  return side(named);
}
