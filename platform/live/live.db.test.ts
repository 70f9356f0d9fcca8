import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { saveMilestone } from "@/stages/plan/commands/milestones";
import { editProject } from "@/stages/plan/commands/projects";
import { createTeam } from "@/stages/teams/commands/teams";
import { freshDatabase, ok, refused } from "@/stages/testing/database";
import { firstInstructor } from "@/stages/testing/school";
import { makeProject, type World } from "@/stages/testing/world";
import { closeLive, mayHaveMissed, watch } from "./live";

let done: () => Promise<void>;

let boss: Actor;

let w: World;

let other: World;

beforeAll(async () => {
  done = await freshDatabase();
  boss = await firstInstructor();
  w = await makeProject(boss, "Watched");
  other = await makeProject(boss, "Other");
  boss = await actorOf((boss as { id: string }).id);
});

afterAll(async () => {
  await closeLive();
  await done();
});

/** Reads a stream until it holds a text. */
async function until(reader: ReadableStreamDefaultReader<Uint8Array>, wanted: string): Promise<string> {
  let text = "";
  while (!text.includes(wanted)) {
    const { value, done: ended } = await reader.read();
    if (ended) break;
    text += new TextDecoder().decode(value);
  }
  return text;
}

test("a write reaches the project's watchers only, a refused one nobody", async () => {
  const stop = new AbortController();
  const reader = (await watch(w.projectId, stop.signal, "mara")).body!.getReader();
  expect(await until(reader, "ready")).toContain("retry: 2000");
  const edit = { kind: "both", startsOn: "2027-01-18", endsOn: "2027-03-26" };
  await ok(editProject, boss, { ...edit, projectId: other.projectId, version: 1, title: "Elsewhere" });
  await refused(editProject, boss, { ...edit, projectId: w.projectId, version: 99, title: "Stale" });
  await ok(editProject, boss, { ...edit, projectId: w.projectId, version: 1, title: "Here" });
  const text = await until(reader, "event: change");
  expect(text.match(/event: change/g)).toHaveLength(1);
  expect(text).toContain('{"about":"project","request":null,"number":');
  stop.abort();
  expect((await reader.read()).done).toBe(true);
});

test("a page hears only of what it shows, and which request it was", async () => {
  const stop = new AbortController();
  const reader = (await watch(w.projectId, stop.signal, "mara", ["milestone", "plan"])).body!.getReader();
  await until(reader, "ready");
  const request = randomUUID();
  await ok(createTeam, boss, { projectId: w.projectId, name: "Quiet", sectionId: w.section });
  await ok(saveMilestone, boss, { projectId: w.projectId, title: "Loud", dueOn: "2027-03-05" }, request);
  const text = await until(reader, "event: change");
  expect(text.match(/"about":"(\w+)"/)?.[1]).not.toBe("team");
  expect(text).toContain(request);
  stop.abort();
});

test("a lost LISTEN is said, taken up again, and what is written afterwards is heard", async () => {
  const stop = new AbortController();
  const reader = (await watch(w.projectId, stop.signal, "mara")).body!.getReader();
  await until(reader, "ready");
  await db()`
    SELECT pg_terminate_backend(pid)
    FROM pg_stat_activity
    WHERE datname = current_database() AND query = 'LISTEN ironstone'
  `;
  expect(await until(reader, "event: again")).toContain("event: lost");
  await ok(saveMilestone, boss, { projectId: w.projectId, title: "After the break", dueOn: "2027-03-05" });
  expect(await until(reader, "event: change")).toContain(`"about":"plan"`);
  stop.abort();
});

test("who asks from a number on is told at once of what was written since and is shown", async () => {
  const stop = new AbortController();
  const ask = async (since: number, about: string[]) =>
    until((await watch(w.projectId, stop.signal, "mara", about, since)).body!.getReader(), "event: ready");
  const now = Number(/id: (\d+)\nevent: ready/.exec(await ask(0, []))![1]);
  // What has not reached this process yet may have been about anything: somebody hears of it first.
  const heard = (await watch(w.projectId, stop.signal, "mara", ["team"])).body!.getReader();
  await until(heard, "event: ready");
  await ok(createTeam, boss, { projectId: w.projectId, name: "Late", sectionId: w.section });
  await until(heard, "event: change");
  expect(await ask(now, ["team"])).toContain(`id: ${now + 1}\nevent: change`);
  expect(await ask(now, ["milestone"])).not.toContain("event: change");
  expect(await ask(now + 1, ["team"])).not.toContain("event: change");
  // What was written before this process listened is not remembered: then it may have been about it.
  expect(await ask(0, ["nothing"])).toContain("event: change");
  stop.abort();
});

test("what may have been missed is told from what is remembered", () => {
  const recent = ["team", "run", "team"].map((about, i) => ({ number: 5 + i, about }));
  const missed = (since: number, now: number, ...about: string[]) => mayHaveMissed(recent, { since, now, about });
  expect([missed(7, 7, "run"), missed(4, 7, "run"), missed(6, 7, "run"), missed(6, 7)]).toEqual([
    false,
    true,
    false,
    true,
  ]);
  expect([missed(3, 7, "plan"), missed(4, 7, "plan"), missed(7, 9, "plan"), missed(9, 2, "plan")]).toEqual([
    true,
    false,
    true,
    true,
  ]);
});

test("one person holds so many streams open, and a closed one makes room", async () => {
  const stops = Array.from({ length: 20 }, () => new AbortController());
  const streams = await Promise.all(stops.map((s) => watch(w.projectId, s.signal, "greta")));
  expect(streams.every((s) => s.status === 200)).toBe(true);
  const one = () => watch(w.projectId, new AbortController().signal, "greta");
  expect((await one()).status).toBe(429);
  stops[0]!.abort();
  const again = await watch(w.projectId, stops[1]!.signal, "greta");
  expect([again.status, (await watch(w.projectId, stops[1]!.signal, "mara")).status]).toEqual([200, 200]);
  for (const s of stops) s.abort();
});

test("a transaction that fails sends no notice and leaves no trace", async () => {
  const before = await db()`SELECT count(*)::int AS n FROM audit`;
  await refused(
    editProject,
    { kind: "nobody" },
    { projectId: w.projectId, version: 2, title: "X", kind: "both", startsOn: "2027-01-18", endsOn: "2027-03-26" },
  );
  expect(await db()`SELECT count(*)::int AS n FROM audit`).toEqual(before);
});
