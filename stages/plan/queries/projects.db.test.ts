// The list of projects: everything that a person has a place in, counted where it is shown.
import type { Actor } from "@/core/access/can";
import { actorOf } from "@/platform/sign-in/actors";
import { freshDatabase, ok } from "@/stages/testing/database";
import { firstInstructor } from "@/stages/testing/school";
import { createProject } from "../commands/projects";
import { projectsOf } from "./projects";

let done: () => Promise<void>;
let boss: Actor;
beforeAll(async () => {
  done = await freshDatabase();
  const owner = await firstInstructor();
  for (const [title, startsOn, endsOn, eventOn] of [
    ["First", "2027-01-11", "2027-06-11", "2027-06-01"],
    ["Second", "2027-01-18", "2027-03-26", "2027-03-24"],
    ["Third", "2027-01-25", "2027-05-21", null],
  ] as const)
    await ok(createProject, owner, {
      title,
      kind: "both",
      startsOn,
      endsOn,
      ...(eventOn ? { eventOn } : {}),
      currency: "cr",
      sections: [{ name: "3", days: [1, 2, 4] }],
    });
  boss = await actorOf(owner.id);
});
afterAll(() => done());

const counted = async (shown?: Parameters<typeof projectsOf>[1]) =>
  (await projectsOf(boss, shown)).map((p) => [p.title, p.sections.length]);

test("the newest stand first; all are counted unless fewer are shown", async () => {
  expect(await counted()).toEqual([
    ["Third", 1],
    ["Second", 1],
    ["First", 1],
  ]);
});

test("those are counted that stand first, or whose event or end is nearest", async () => {
  expect(await counted({ first: 1, nearest: 0 })).toEqual([
    ["Third", 1],
    ["Second", 0],
    ["First", 0],
  ]);
  expect(await counted({ first: 0, nearest: 2 })).toEqual([
    ["Third", 1],
    ["Second", 1],
    ["First", 0],
  ]);
});

test("nobody has none", async () => expect(await projectsOf({ kind: "nobody" })).toEqual([]));
