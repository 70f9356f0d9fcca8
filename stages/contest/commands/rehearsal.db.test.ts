import { execute } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { ok, refused } from "@/stages/testing/database";
import { worldEach } from "@/stages/testing/world-each";
import { ballotOf } from "../queries/awards";
import { boardSource } from "../queries/boards";
import { contestOf } from "../queries/contest";
import { matchEventsOf } from "../queries/matches";
import { recordedOf, rehearsalOf } from "../queries/rehearsal";
import { momentsOf } from "../queries/replay";
import { boardState } from "../view/board-face";
import { allPlaced } from "../view/lives";
import { drawRunOrder, refreshEntries } from "./events";
import { simulateResults, startRehearsal, wipeRehearsal } from "./rehearsal";

const here = worldEach("Rehearsal");
const project = () => ({ projectId: here.w.projectId });

/** The world's contest as it is before its day: nothing of it on record, the race not seeded. */
async function before() {
  await db()`DELETE FROM match_result`;
  await db()`DELETE FROM judge_sheet`;
  await db()`DELETE FROM draw`;
  await db()`UPDATE entry SET run_order = NULL`;
  await db()`UPDATE event SET state = 'set up'`;
  // The builds that were made since it was set up.
  for (const id of [here.w.race, here.w.judged]) await ok(refreshEntries, here.boss, { id });
}

/** Everything about the contest, without the counters that only grow. */
async function record() {
  const { contest } = await contestOf(here.w.projectId);
  const bare = JSON.stringify(contest, (key, value) => (key === "version" ? undefined : value));
  return { bare, recorded: await recordedOf(here.w.projectId) };
}

test("a rehearsal makes a whole day up, says that it is one, and leaves nothing behind", async () => {
  await before();
  const { version } = (await matchEventsOf(here.w.projectId))[0]!;
  await ok(drawRunOrder, here.boss, { id: here.w.race, version, seed: "4417" });
  const was = await record();
  expect(was.recorded).toEqual([]);
  await refused(simulateResults, here.boss, { id: here.w.event, seed: "7", all: true }, /in a rehearsal only/);
  await ok(startRehearsal, here.boss, project());
  await refused(startRehearsal, here.boss, project(), /on already/);
  expect(boardState((await boardSource(here.w.projectId))!, {}).title).toMatch(/ rehearsal$/);
  for (const id of [here.w.event, here.w.race, here.w.judged]) {
    const { made } = await ok(simulateResults, here.boss, { id, seed: "7" });
    expect(made).toBeGreaterThan(0);
    await ok(simulateResults, here.boss, { id, seed: "8", all: true });
    await refused(simulateResults, here.boss, { id, seed: "9", all: true }, /Nothing is left/);
  }
  const { contest } = await contestOf(here.w.projectId);
  expect(contest.events[0]!.entries.map((e) => e.taken)).toEqual([3, 3]);
  expect(allPlaced(contest.races[0]!.standings)).toBe(true);
  expect(contest.judged[0]!.standings.every((s) => s.place !== null)).toBe(true);
  expect((await recordedOf(here.w.projectId)).map((r) => r.what)).toEqual(
    expect.arrayContaining(["attempts", "matches", "sheets of judges", "inspections"]),
  );
  await ok(wipeRehearsal, here.boss, project());
  expect(await record()).toEqual(was);
  expect(await rehearsalOf(here.w.projectId)).toBeNull();
  await refused(wipeRehearsal, here.boss, project(), /Nobody rehearses/);
  // The vote that was open before is open still; nothing of the rehearsal is replayed afterwards.
  expect(await ballotOf(here.w.projectId)).toMatchObject({ code: here.w.code, open: true });
  expect(await momentsOf(here.w.projectId)).toEqual([]);
});

test("a contest that has begun is not rehearsed: its record stays", async () => {
  const r = await refused(startRehearsal, here.boss, project());
  expect(r.message).toMatch(/^The contest has begun: 1 matches, 1 sheets of judges on record/);
  expect((await execute(wipeRehearsal, here.boss, project())).ok).toBe(false);
  expect(await recordedOf(here.w.projectId)).toHaveLength(2);
});
