import type { Actor } from "@/core/access/can";
import { actorOf } from "@/platform/sign-in/actors";
import { freshDatabase } from "./database";
import { firstInstructor } from "./school";
import { makeProject, type World } from "./world";

/** A database of its own for a file of tests, and before each test a project with one of every kind of record. */
export function worldEach(title: string): { boss: Extract<Actor, { kind: "person" }>; w: World } {
  const here = {} as ReturnType<typeof worldEach>;
  let done: () => Promise<void>;
  let n = 0;
  beforeAll(async () => {
    done = await freshDatabase();
    here.boss = await firstInstructor();
  });
  afterAll(() => done());
  beforeEach(async () => {
    here.w = await makeProject(here.boss, `${title} ${++n}`);
    here.boss = (await actorOf(here.boss.id)) as typeof here.boss;
  });
  return here;
}
