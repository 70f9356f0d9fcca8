import type { Actor } from "@/core/access/can";
import { questionsOf } from "@/stages/needs/queries/questions";
import { toolsOf } from "@/stages/shop/queries";
import { ok } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { createEdition } from "./commands";

let done: () => Promise<void>;
let boss: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, w } = await openClass());
});
afterAll(() => done());

test("the next edition carries the schools, the tools and the questions over", async () => {
  const { projectId } = await ok(createEdition, boss, {
    projectId: w.projectId,
    title: "Front, next",
    startsOn: "2028-01-17",
    endsOn: "2028-03-24",
  });
  expect((await toolsOf(projectId)).map((t) => [t.name, t.signed.length])).toEqual([["Drill press", 0]]);
  expect((await questionsOf(projectId)).map((q) => q.text)).toEqual(
    (await questionsOf(w.projectId)).map((q) => q.text),
  );
});
