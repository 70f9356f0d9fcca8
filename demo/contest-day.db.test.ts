import { boardSource } from "@/stages/contest/queries/boards";
import { enteredOf } from "@/stages/contest/queries/inspections";
import { programmeOf } from "@/stages/contest/queries/programme";
import { guestLinksOf } from "@/stages/people/queries/guests";
import { worldEach } from "@/stages/testing/world-each";
import { morning } from "./contest-day";
import { clock } from "./run";

const here = worldEach("Morning");

test("the morning of a contest: drawn, half inspected, with boards and links; nothing is scored yet", async () => {
  clock.today = process.env.IRONSTONE_TODAY!;
  const { projectId, event } = here.w;
  await morning(here.boss.id, projectId, clock.today);
  const builds = await enteredOf(projectId);
  const inspected = builds.filter((b) => b.inspections.length > 0);
  expect([inspected.length, builds.length]).toEqual([1, 2]);
  expect(inspected[0]!.inspections[0]!.outcome).toBe("passed");
  const source = (await boardSource(projectId))!;
  expect(source.boards.map((b) => [b.name, b.shows]).sort()).toEqual([
    ["At the door", "running"],
    ["Gym wall", "order"],
    ["Hall", "running"],
  ]);
  expect(source.contest.events.find((e) => e.id === event)!.orderSeed).toContain("20270302-");
  const links = (await guestLinksOf(projectId)).filter((l) => l.role === "scorer").map((l) => l.label);
  expect(links).toEqual(expect.arrayContaining(["Bench 1", "Bench 2"]));
  expect((await programmeOf(projectId)).find((e) => e.id === event)!.made).toEqual([]);
});
