// Boards against the database: what they show is chosen from elsewhere, and each change is sent to every screen.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { closeLive } from "@/platform/live/live";
import { ok, refused } from "@/stages/testing/database";
import { inspected } from "@/stages/testing/inspected";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { boardStream } from "../board-stream";
import { boardSource } from "../queries/boards";
import { openCall } from "../queries/calls";
import { momentsOf, replayedSource } from "../queries/replay";
import { type BoardChange, withChange } from "../view/board-change";
import type { BoardState } from "../view/board-face";
import { scoreAttempt } from "./attempts";
import { revealAward, saveBoard, showOnBoard } from "./boards";
import { callInHall, endCall } from "./calls";

let done: () => Promise<void>;
let boss: Actor;
let w: World;
beforeAll(async () => {
  ({ done, boss, w } = await openClass());
  await inspected(boss, w.build);
});
afterAll(async () => {
  await closeLive();
  await done();
});

/** A screen's stream: gives what it shows, one state after the other; `said` is told how each came. */
function screen(asked: { board?: string; event?: string }, signal: AbortSignal, who = "hall", said: string[] = []) {
  const reader = boardStream(w.projectId, asked, signal, who).body!.getReader();
  let text = "";
  let now: BoardState | null = null;
  return async (): Promise<BoardState> => {
    for (;;) {
      const data = /event: (board|change)\ndata: (.*)\n\n/.exec(text);
      if (data) {
        text = text.slice(data.index + data[0].length);
        said.push(data[1]!);
        const sent = JSON.parse(data[2]!) as BoardState & BoardChange;
        now = data[1] === "board" ? sent : withChange(now!, sent)!;
        return now;
      }
      const { value, done: ended } = await reader.read();
      if (ended) throw new Error("the stream has ended");
      text += new TextDecoder().decode(value);
    }
  };
}
const score = (m: string) =>
  ok(scoreAttempt, boss, { id: randomUUID(), entryId: w.entry, state: "valid", readings: { m } });

test("a score reaches every screen, each as it asked; two that ask alike are sent the same", async () => {
  const stop = new AbortController();
  const said: string[] = [];
  const screens = [
    screen({ event: w.event }, stop.signal, "hall", said),
    screen({ event: w.event }, stop.signal),
    screen({ board: w.board }, stop.signal),
  ];
  const first = await Promise.all(screens.map((next) => next()));
  expect(first.map((s) => s.title)).toEqual(Array(3).fill(first[0]!.title));
  await score("8.6");
  const seen = await Promise.all(screens.map((next) => next()));
  for (const s of seen) expect(s.face).toMatchObject({ kind: "attempts", rows: [{ shown: "8.6" }, {}] });
  expect(seen[0]).toEqual(seen[1]);
  // All of it first, then what has changed; who comes now is sent all of it, and the same change after it.
  expect(said).toEqual(["board", "change"]);
  const late = screen({ event: w.event }, stop.signal);
  expect(await late()).toEqual(seen[0]);
  await score("8.9");
  expect(await late()).toEqual(await screens[0]!());
  stop.abort();
});

test("a replay shows at its last moment what stands now, before it only what was recorded by then", async () => {
  const moments = await momentsOf(w.projectId);
  const places = async (at: string) => {
    const source = (await replayedSource(w.projectId, moments, at))!;
    return source.contest.events.find((e) => e.id === w.event)!;
  };
  const now = (await boardSource(w.projectId))!.contest.events.find((e) => e.id === w.event)!;
  const last = await places(moments.at(-1)!.at);
  expect(last.standings.map((s) => ({ ...s, working: undefined }))).toEqual(now.standings);
  expect([last.state, last.entries.map((n) => n.taken)]).toEqual([now.state, now.entries.map((n) => n.taken)]);
  const first = moments.find((m) => m.act === "scoreAttempt")!;
  const before = await places(new Date(Date.parse(first.at) - 1000).toISOString());
  expect([before.state, before.standings.map((s) => s.place)]).toEqual(["set up", [null, null]]);
});

test("who is called stands on every board, until they came or somebody else is called", async () => {
  const call = async () => (await boardSource(w.projectId))!.call;
  const first = { projectId: w.projectId, id: randomUUID(), words: "Alder: please come" };
  await Promise.all([ok(callInHall, boss, first), ok(callInHall, boss, first)]);
  expect(await call()).toBe("Alder: please come");
  // A page that would send other words under an old call does not believe to have called.
  await refused(callInHall, boss, { ...first, words: "Bramble: please come" }, /has called already/);
  await ok(callInHall, boss, { ...first, id: randomUUID(), words: "Bramble: please come" });
  expect(await call()).toBe("Bramble: please come");
  await ok(endCall, boss, { id: (await openCall(w.projectId))!.id });
  expect(await call()).toBe("");
  await ok(endCall, boss, { id: first.id });
});

test("who comes later is shown what stands, without another reading", async () => {
  const stop = new AbortController();
  const [early, late] = [screen({}, stop.signal), screen({}, stop.signal)];
  await early();
  expect((await late()).face).toMatchObject({ rows: [{ shown: "8.9" }, {}] });
  stop.abort();
});

test("the presenter's press changes what the hall sees; awards come one by one; the pause has its words", async () => {
  const stop = new AbortController();
  const hall = screen({ board: w.board }, stop.signal);
  await hall();
  await ok(showOnBoard, boss, { id: w.board, shows: "pause", words: "We go on at 14:10" });
  expect((await hall()).face).toEqual({ kind: "pause", words: "We go on at 14:10" });
  await ok(revealAward, boss, { id: w.board, count: 1 });
  expect((await hall()).face).toMatchObject({ kind: "awards", awards: [{}] });
  await ok(showOnBoard, boss, { id: w.board, shows: "event", eventId: w.race });
  expect((await hall()).face).toMatchObject({ kind: "bracket", name: "Race" });
  stop.abort();
});

test("an event of another contest is not shown, and one has to be chosen", async () => {
  expect((await refused(showOnBoard, boss, { id: w.board, shows: "event" })).message).toBe("Choose the event.");
  const foreign = { id: w.board, shows: "event", eventId: randomUUID() };
  expect((await refused(showOnBoard, boss, foreign)).kind).toBe("missing");
});

test("a board is renamed against its version; two have no same name", async () => {
  const { id } = await ok(saveBoard, boss, { projectId: w.projectId, name: "Gym", light: true });
  expect((await refused(saveBoard, boss, { projectId: w.projectId, name: "gym" })).message).toContain("has this name");
  const change = { projectId: w.projectId, id, name: "Gym left", version: 1 };
  await ok(saveBoard, boss, change);
  expect((await refused(saveBoard, boss, change)).kind).toBe("conflict");
  expect((await boardSource(w.projectId))!.boards.map((b) => [b.name, b.light])).toEqual([
    ["Gym left", false],
    ["Hall", false],
  ]);
});

test("a screen whose link to the database was lost is told, and shows what changed meanwhile", async () => {
  const stop = new AbortController();
  const hall = screen({ event: w.event }, stop.signal);
  await hall();
  await db()`
    SELECT pg_terminate_backend(pid)
    FROM pg_stat_activity
    WHERE datname = current_database() AND query = 'LISTEN ironstone'
  `;
  await score("9.1");
  expect((await hall()).face).toMatchObject({ rows: [{ shown: "9.1" }, {}] });
  stop.abort();
});
