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
import { watch } from "./live";

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

afterAll(() => done());

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
  const reader = (await watch(w.projectId, stop.signal)).body!.getReader();
  expect(await until(reader, "ready")).toContain("retry: 2000");
  const edit = { kind: "both", startsOn: "2027-01-18", endsOn: "2027-03-26" };
  await ok(editProject, boss, { ...edit, projectId: other.projectId, version: 1, title: "Elsewhere" });
  await refused(editProject, boss, { ...edit, projectId: w.projectId, version: 99, title: "Stale" });
  await ok(editProject, boss, { ...edit, projectId: w.projectId, version: 1, title: "Here" });
  const text = await until(reader, "event: change");
  expect(text.match(/event: change/g)).toHaveLength(1);
  expect(text).toContain('{"about":"project","request":null}');
  stop.abort();
  expect((await reader.read()).done).toBe(true);
});

test("a page hears only of what it shows, and which request it was", async () => {
  const stop = new AbortController();
  const reader = (await watch(w.projectId, stop.signal, ["milestone", "plan"])).body!.getReader();
  await until(reader, "ready");
  const request = randomUUID();
  await ok(createTeam, boss, { projectId: w.projectId, name: "Quiet", sectionId: w.section });
  await ok(saveMilestone, boss, { projectId: w.projectId, title: "Loud", dueOn: "2027-03-05" }, request);
  const text = await until(reader, "event: change");
  expect(text.match(/"about":"(\w+)"/)?.[1]).not.toBe("team");
  expect(text).toContain(request);
  stop.abort();
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
