// What has to be so before an event, and halts, against the database.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { ok, refused } from "@/stages/testing/database";
import { inspected } from "@/stages/testing/inspected";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { matchEventsOf } from "../queries/matches";
import { safetyOf } from "../queries/safety";
import { mayBegin } from "../view/safety";
import { scoreAttempt } from "./attempts";
import { recordMatch } from "./match-results";
import { saveMatchEvent } from "./matches";
import { checkEvent, haltEvent, liftHalt } from "./safety";

let done: () => Promise<void>;
let boss: Actor;
let w: World;
beforeAll(async () => {
  ({ done, boss, w } = await openClass());
  await inspected(boss, w.build);
});
afterAll(() => done());

const cautions = ["Spectators stand behind the line.", "Water is away from power."];
const safety = async (id: string) => (await safetyOf(w.projectId)).get(id)!;
const foul = () => ({ id: randomUUID(), entryId: w.entry, state: "foul" });

test("without cautions an event begins at once; else when they are ticked by who is named", async () => {
  expect(mayBegin(await safety(w.event))).toBe(true);
  expect((await refused(checkEvent, boss, { id: w.event, cautions: [], signed: "Ada" })).message).toContain(
    "no cautions",
  );
  await db()`UPDATE event SET cautions = ${cautions}, officer = 'Ada Wray' WHERE id = ${w.event}`;
  expect(mayBegin(await safety(w.event))).toBe(false);
  expect((await refused(scoreAttempt, boss, foul())).message).toBe(
    "Before the first of today the cautions are ticked by Ada Wray.",
  );
  const tick = { id: w.event, cautions, signed: "ada  wray" };
  expect((await refused(checkEvent, boss, { ...tick, cautions: cautions.slice(1) })).message).toContain(
    "Not ticked yet: Spectators",
  );
  expect(await refused(checkEvent, boss, { ...tick, signed: "Bo" })).toMatchObject({
    fields: { signed: expect.stringContaining("The rules name Ada Wray") },
  });
  await ok(checkEvent, boss, tick);
  await ok(checkEvent, boss, { ...tick, signed: "Ada Wray" });
  expect(await safety(w.event)).toMatchObject({ check: { signed: "ada  wray" } });
  await ok(scoreAttempt, boss, foul());
});

test("cautions that were added since have to be ticked too", async () => {
  await db()`UPDATE event SET cautions = ${[...cautions, "Cables lie safe."]} WHERE id = ${w.event}`;
  expect(mayBegin(await safety(w.event))).toBe(false);
  await ok(checkEvent, boss, { id: w.event, cautions: [...cautions, "Cables lie safe."], signed: "Ada Wray" });
  expect(mayBegin(await safety(w.event))).toBe(true);
});

test("whoever scores halts; nothing is scored meanwhile; it goes on with what was done about it", async () => {
  const halt = { id: randomUUID(), eventId: w.event, reason: "A hose burst" };
  await ok(haltEvent, boss, halt);
  await ok(haltEvent, boss, halt);
  expect((await refused(haltEvent, boss, { ...halt, id: randomUUID() })).message).toContain("halted already");
  expect((await refused(scoreAttempt, boss, foul())).message).toMatch(/is halted: A hose burst/);
  await ok(liftHalt, boss, { id: halt.id, note: "A new hose" });
  expect((await refused(liftHalt, boss, { id: halt.id, note: "x" })).message).toContain("goes on already");
  // A page that stands since then does not believe to have halted it.
  expect((await refused(haltEvent, boss, halt)).message).toContain("was lifted meanwhile");
  await ok(scoreAttempt, boss, foul());
  expect(await safety(w.event)).toMatchObject({ halt: null, before: [{ reason: "A hose burst", note: "A new hose" }] });
});

test("matches wait for it as attempts do", async () => {
  const { id } = await ok(saveMatchEvent, boss, {
    projectId: w.projectId,
    name: "Duel",
    format: "single",
    decides: "call",
    cautions: " Eyes are protected. \n\n",
    officer: "",
  });
  await db()`UPDATE entry SET run_order = (team_id = ${w.a})::int + 1 WHERE event_id = ${id}`;
  const [b, a] = (await matchEventsOf(w.projectId)).find((e) => e.id === id)!.entries;
  const walkover = { eventId: id, slot: "M1-1", a: b!.id, b: a!.id, outcome: "walkover", winner: "b" };
  expect((await refused(recordMatch, boss, { id: randomUUID(), ...walkover })).message).toBe(
    "Before the first of today the cautions are ticked.",
  );
  await ok(checkEvent, boss, { id, cautions: ["Eyes are protected."], signed: "Any judge" });
  await ok(recordMatch, boss, { id: randomUUID(), ...walkover });
});
