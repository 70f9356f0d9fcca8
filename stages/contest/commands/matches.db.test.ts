// Events of matches against the database: seeds, results, corrections that play on, and what is refused.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { type MatchRules, slotsOf } from "@/core/contest/matches";
import { db } from "@/platform/db/db";
import { createTeam } from "@/stages/teams/commands/teams";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { type MatchEvent, matchEventsOf } from "../queries/matches";
import { verifyStandings } from "../queries/standings";
import { standingsTable } from "../standings-csv";
import { seeded } from "../view/seeds";
import { withdrawEntry, withdrawMatch } from "../withdrawals";
import { confirmEvent, drawRunOrder, refreshEntries } from "./events";
import { recordMatch } from "./match-results";
import { drawRound, saveMatchEvent, seedByEvent, seedByHand } from "./matches";
import { saveOverall } from "./overall";

let done: () => Promise<void>;
let boss: Actor;
let mate: Actor;
let w: World;
beforeAll(async () => {
  ({ done, boss, mate, w } = await openClass());
  for (const name of ["Cistern", "Downpour"])
    await ok(createTeam, boss, { projectId: w.projectId, name, sectionId: w.section });
});
afterAll(() => done());

const find = async (id: string) => (await matchEventsOf(w.projectId)).find((e) => e.id === id)!;
const idOf = (e: MatchEvent, team: string) => e.entries.find((n) => n.team === team)!.id as string;

/** An event of the four teams, all inspected (their builds are not asked for here), seeded by name. */
async function begin(name: string, more: Partial<MatchRules> & object = {}): Promise<string> {
  const { id } = await ok(saveMatchEvent, boss, {
    projectId: w.projectId,
    name,
    format: "double",
    decides: "first",
    ...more,
  });
  await db()`UPDATE entry SET inspection = 'passed', inspected_at = app_now() WHERE event_id = ${id}`;
  const e = await find(id);
  const entries = [...e.entries].sort((a, b) => a.team.localeCompare(b.team)).map((n) => n.id);
  await ok(seedByHand, boss, { id, version: e.version, entries });
  return id;
}

/** Sends that one team has beaten another in a slot. */
async function beats(id: string, slot: string, winner: string, loser: string, more: object = {}) {
  const e = await find(id);
  const [a, b] = [idOf(e, winner), idOf(e, loser)];
  return { id: randomUUID(), eventId: id, slot, a, b, outcome: "won", winner: "a", ...more };
}
const won = async (...of: Parameters<typeof beats>) => ok(recordMatch, boss, await beats(...of));
const places = (e: MatchEvent) => Object.fromEntries(e.standings.map((s) => [s.name, s.place]));

test("a double elimination of four is played to its end, and confirmed only then", async () => {
  const id = await begin("Tank race");
  await won(id, "M1-1", "Alder", "Downpour");
  await won(id, "M1-2", "Cistern", "Bramble");
  const early = await find(id);
  expect((await refused(confirmEvent, boss, { id, version: early.version })).message).toContain("no place");
  expect((await refused(recordMatch, boss, await beats(id, "M2-1", "Alder", "Bramble"))).message).toContain(
    "do not meet",
  );
  await won(id, "S1-1", "Bramble", "Downpour");
  await won(id, "M2-1", "Alder", "Cistern");
  await won(id, "S2-1", "Cistern", "Bramble");
  await won(id, "F1", "Cistern", "Alder");
  expect(places(await find(id))).toEqual({ Alder: null, Bramble: 3, Cistern: null, Downpour: 4 });
  await won(id, "F2", "Alder", "Cistern");
  const e = await find(id);
  expect(places(e)).toEqual({ Alder: 1, Bramble: 3, Cistern: 2, Downpour: 4 });
  await ok(confirmEvent, boss, { id, version: e.version });
  expect((await refused(recordMatch, boss, await beats(id, "F2", "Cistern", "Alder"))).message).toContain("confirmed");
  expect((await refused(withdrawMatch, boss, { id: e.results[0]!.id, reason: "no" })).message).toContain("confirmed");
  expect((await verifyStandings(w.projectId, "Pump")).wrong).toEqual([]);
});

test("a result sent twice is one; a second is refused, and a correction says what it makes void", async () => {
  const id = await begin("Sprint");
  const first = await beats(id, "M1-1", "Alder", "Downpour");
  await ok(recordMatch, boss, first);
  await ok(recordMatch, boss, first);
  expect((await find(id)).results).toHaveLength(1);
  const other = await beats(id, "M1-1", "Downpour", "Alder");
  expect((await refused(recordMatch, boss, other)).message).toContain("recorded already: Alder has won");
  await won(id, "M1-2", "Cistern", "Bramble");
  await won(id, "M2-1", "Alder", "Cistern");
  const right = { ...other, corrects: true };
  expect(await refused(recordMatch, boss, right)).toMatchObject({ fields: { reason: expect.any(String) } });
  const why = { ...right, reason: "Named in the wrong order" };
  expect((await refused(recordMatch, boss, why)).message).toBe(
    "It makes void: Alder against Cistern, round 2. Say that you have seen this.",
  );
  await ok(recordMatch, boss, { ...why, voids: ["M2-1"] });
  await won(id, "M2-1", "Downpour", "Cistern");
  // Nothing that was played is lost: taken back, the match that was played first counts again.
  const corrected = (await find(id)).results.find((r) => r.reason)!;
  await ok(withdrawMatch, boss, { id: corrected.id, reason: "It was right" });
  const e = await find(id);
  expect(e.results).toHaveLength(4);
  expect(e.standings.find((s) => s.name === "Alder")).toMatchObject({ won: 2, lost: 0 });
  expect((await refused(recordMatch, boss, { ...why, id: randomUUID(), voids: ["S1-1"] })).message).toContain(
    "Say that you have seen",
  );
});

test("walkovers, disqualifications and nobody there have their line; uninspected nobody plays", async () => {
  const id = await begin("Relay", { format: "single", third: true });
  const e = await find(id);
  const cistern = e.entries.find((n) => n.team === "Cistern")!;
  await db()`UPDATE entry SET inspection = 'turned away' WHERE id = ${cistern.id}`;
  expect((await refused(recordMatch, boss, await beats(id, "M1-2", "Bramble", "Cistern"))).message).toContain(
    "wins by walkover",
  );
  await won(id, "M1-2", "Bramble", "Cistern", { outcome: "walkover" });
  const out = await beats(id, "M1-1", "Alder", "Downpour", { outcome: "disqualified" });
  expect(await refused(recordMatch, boss, out)).toMatchObject({ fields: { reason: "Say why, in a few words." } });
  await ok(recordMatch, boss, { ...out, reason: "Pushed the tank" });
  expect((await refused(recordMatch, boss, await beats(id, "T1", "Cistern", "Downpour"))).message).toContain("meet");
  await won(id, "M2-1", "Alder", "Bramble", { outcome: "neither", winner: null, reason: "Thunder" });
  expect(places(await find(id))).toEqual({ Alder: 1, Bramble: 1, Cistern: 3, Downpour: 4 });
  const entry = (await find(id)).entries[0]!;
  expect((await refused(withdrawEntry, boss, { id: entry.id, reason: "x" })).message).toContain(
    "matches are on record",
  );
  expect((await refused(seedByHand, boss, { id, version: 9, entries: [entry.id] })).kind).toBe("conflict");
});

test("scores decide by their rule, and a draw stands only in a table", async () => {
  const id = await begin("League", { format: "robin", decides: "games", games: 3 });
  const games = async (a: string, b: string, aScore: string, bScore: string, slot: string) =>
    beats(id, slot, a, b, { winner: null, aScore, bScore });
  const e = await find(id);

  const order = seeded(e.entries).map((n) => n.team);
  const key = (a: string, b: string) =>
    slotsOf(e.rules, 4, []).find((s) =>
      [s.a, s.b].every((x) => x.kind === "entry" && [a, b].includes(order[x.seed - 1]!)),
    )!.key;
  expect(
    (await refused(recordMatch, boss, await games("Alder", "Bramble", "1", "1", key("Alder", "Bramble")))).message,
  ).toContain("2 games");
  await ok(recordMatch, boss, await games("Bramble", "Alder", "2", "1", key("Alder", "Bramble")));
  await ok(recordMatch, boss, await games("Cistern", "Downpour", "2", "0", key("Cistern", "Downpour")));
  const rows = (await find(id)).standings;
  expect(rows.map((s) => [s.name, s.points, s.difference])).toEqual([
    ["Cistern", "2", "2"],
    ["Bramble", "2", "1"],
    ["Alder", "0", "-1"],
    ["Downpour", "0", "-2"],
  ]);
});

test("rounds of equal records are drawn one after the other, when the round before is played", async () => {
  const id = await begin("Ladder", { format: "records", rounds: 2, decides: "call" });
  const draw = async (seed = "7") => ({ id, version: (await find(id)).version, seed });
  await ok(drawRound, boss, await draw());
  const e = await find(id);
  const team = (seed: number) => seeded(e.entries)[seed - 1]!.team;
  expect((await refused(drawRound, boss, await draw())).message).toContain("2 of this round are still to be played");
  for (const [i, [a, b]] of e.drawn[0]!.pairs.entries()) await won(id, `R1-${i + 1}`, team(a), team(b));
  await ok(drawRound, boss, await draw("8"));
  const winners = new Set(e.drawn[0]!.pairs.map(([a]) => a));
  for (const [a, b] of (await find(id)).drawn[1]!.pairs) expect(winners.has(a)).toBe(winners.has(b));
  const from = (await matchEventsOf(w.projectId)).find((x) => x.name === "Tank race")!.id;
  const late = { id, version: (await find(id)).version, from };
  expect((await refused(seedByEvent, boss, late)).message).toContain("begun");
  for (const [i, [a, b]] of (await find(id)).drawn[1]!.pairs.entries()) await won(id, `R2-${i + 1}`, team(a), team(b));
  expect((await refused(drawRound, boss, await draw())).message).toContain("All 2 rounds");
});

test("seeds: by a draw that anybody can repeat, by another event's places, or by hand", async () => {
  const { id } = await ok(saveMatchEvent, boss, {
    projectId: w.projectId,
    name: "Cup",
    format: "single",
    decides: "measured",
    measure: "Time",
    unit: "s",
    resolution: "0.1",
  });
  const race = (await matchEventsOf(w.projectId)).find((e) => e.name === "Tank race")!;
  await ok(seedByEvent, boss, { id, version: (await find(id)).version, from: race.id });
  expect(seeded((await find(id)).entries).map((n) => n.team)).toEqual(["Alder", "Cistern", "Bramble", "Downpour"]);
  expect((await find(id)).drawSeed).toBeNull();
  await ok(drawRunOrder, boss, { id, version: (await find(id)).version, seed: "12" });
  expect((await find(id)).drawSeed).toBe("12");
  expect((await refused(seedByEvent, boss, { id, version: (await find(id)).version, from: w.race })).message).toMatch(
    /no places yet/,
  );
  const e = await find(id);
  const some = e.entries.slice(0, 3).map((n) => n.id);
  expect((await refused(seedByHand, boss, { id, version: e.version, entries: some })).message).toContain("Not seeded");
  await ok(refreshEntries, boss, { id });
  await refused(drawRound, boss, { id, version: (await find(id)).version, seed: "1" });
  await refused(recordMatch, mate, await beats(id, "M1-1", "Alder", "Bramble"));
});

test("rules that cannot be are refused beside their field", async () => {
  const wrong = async (more: object) =>
    (
      (await refused(saveMatchEvent, boss, {
        projectId: w.projectId,
        name: "Odd",
        format: "double",
        decides: "games",
        ...more,
      })) as {
        fields?: Record<string, string>;
      }
    ).fields;
  expect(await wrong({ games: 2 })).toMatchObject({ games: expect.stringContaining("odd number") });
  expect(await wrong({ games: "many" })).toMatchObject({ games: "A whole number of games." });
  expect(await wrong({ decides: "measured" })).toMatchObject({
    measure: expect.any(String),
    resolution: expect.any(String),
  });
  expect(await wrong({ decides: "first", win: "-1" })).toMatchObject({ win: "A match earns nothing or more." });
  expect(await wrong({ format: "knockout" })).toHaveProperty("format");
  expect(await wrong({ decides: "first", rounds: 0 })).toMatchObject({ rounds: "At least one round." });
});

test("how the events become one ranking is declared; once one has begun a change takes its reason", async () => {
  const rule = { projectId: w.projectId, method: "places", weights: [{ id: w.race, weight: "2" }] };
  expect(await refused(saveOverall, boss, rule)).toMatchObject({
    fields: { reason: expect.stringContaining("begun") },
  });
  await ok(saveOverall, boss, { ...rule, reason: "As the brief says" });
  const [at] = await db()`
    SELECT e.weight, p.settings->>'combine' AS method
    FROM event e
    JOIN project p ON p.id = e.project_id
    WHERE e.id = ${w.race}
  `;
  expect(at).toEqual({ weight: "2", method: "places" });
  // Nothing changes: nothing has to be said.
  await ok(saveOverall, boss, rule);
  const wrong = await refused(saveOverall, boss, { ...rule, weights: [{ id: w.race, weight: "-1" }] });
  expect(JSON.stringify(wrong)).toContain("A weight is 0 (it does not count) to 100.");
  await refused(saveOverall, boss, { ...rule, reason: "x", weights: [{ id: randomUUID(), weight: "1" }] });
  expect(await standingsTable({ id: w.projectId })).toMatch(/Tank race,1,no,Alder,,,,\d won · \d lost/);
});
