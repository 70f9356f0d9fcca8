// The standings that are kept: they move with every fact of an event, and a wrong one is named.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { renameTeam } from "@/stages/teams/commands/teams";
import { ok } from "@/stages/testing/database";
import { inspected } from "@/stages/testing/inspected";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { scoreAttempt, voidAttempt } from "../commands/attempts";
import { eventsOf } from "./events";
import { verifyStandings } from "./standings";

let done: () => Promise<void>;
let boss: Actor;
let w: World;
const first = randomUUID();
beforeAll(async () => {
  ({ done, boss, w } = await openClass());
  await inspected(boss, w.build);
  await ok(scoreAttempt, boss, { id: first, entryId: w.entry, state: "valid", readings: { m: "8" } });
});
afterAll(() => done());

const leader = async () => (await eventsOf(w.projectId))[0]!.standings[0]!;
const check = () => verifyStandings(w.projectId, "Front");
const stale = async () => {
  const [row] = await db()<{ stale: boolean }[]>`SELECT stale FROM kept_event WHERE event_id = ${w.event}`;
  return row!.stale;
};

test("what is read is kept, and a second look computes nothing", async () => {
  expect([(await leader()).shown, await stale()]).toEqual(["8.0", false]);
  await db()`UPDATE kept_event SET standings = '[]' WHERE event_id = ${w.event}`;
  expect((await eventsOf(w.projectId))[0]!.standings).toEqual([]);
  await db()`UPDATE kept_event SET stale = true WHERE event_id = ${w.event}`;
  expect((await leader()).shown).toBe("8.0");
});

test("an attempt, its withdrawal and a team's new name move them; a bench run does not", async () => {
  const better = randomUUID();
  await ok(scoreAttempt, boss, { id: better, entryId: w.entry, state: "valid", readings: { m: "9" } });
  expect(await stale()).toBe(true);
  expect(await leader()).toMatchObject({ shown: "9.0", attempts: [{ text: "8.0" }, { text: "9.0", counts: true }] });
  await ok(voidAttempt, boss, { id: better, version: 1, reason: "wrong team" });
  expect((await leader()).shown).toBe("8.0");
  const [team] = await db()<{ version: number }[]>`SELECT version FROM team WHERE id = ${w.a}`;
  await ok(renameTeam, boss, { id: w.a, version: team!.version, name: "Aspen" });
  expect((await leader()).name).toBe("Aspen");
  await db()`UPDATE run SET reason = 'looked at' WHERE build_id = ${w.build} AND place = 'bench'`;
  expect(await stale()).toBe(false);
  expect((await check()).wrong).toEqual([]);
});

test("standings that were changed by hand are named with both values", async () => {
  await db()`
    UPDATE kept_event SET standings = jsonb_set(standings, '{0,place}', '2') WHERE event_id = ${w.event}
  `;
  const { compared, wrong } = await check();
  expect([compared, wrong.length]).toEqual([3, 1]);
  expect(wrong[0]).toMatchObject({ project: "Front", what: `standings of event ${w.event}` });
  expect(wrong[0]!.kept).toContain('"place":2');
  expect(wrong[0]!.computed).toContain('"place":1');
});
