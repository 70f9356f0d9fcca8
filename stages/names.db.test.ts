// Names as people have them: in the order in which they are looked for, and found without their marks.
import type { Actor } from "@/core/access/can";
import { search } from "@/frame/search/search";
import { importRoster } from "@/stages/people/commands/roster";
import { studentsOf } from "@/stages/people/queries/students";
import { createTeam } from "@/stages/teams/commands/teams";
import { teamsOf } from "@/stages/teams/queries/teams";
import { ok } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";

let done: () => Promise<void>;
let boss: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, w } = await openClass());
  const rows = ["Zoe Abel", "Ångström Eva", "Çelik Ayşe", "Łucja Nowak", "Dora Ek"].map((name) => ({
    name,
    section: "3",
  }));
  await ok(importRoster, boss, { projectId: w.projectId, rows });
  for (const name of ["Team 10", "Team 2", "Ägir"])
    await ok(createTeam, boss, { projectId: w.projectId, name, sectionId: w.section });
});
afterAll(() => done());

test("lists stand in that order, numbers by their size", async () => {
  const mine = (await studentsOf(w.projectId)).map((s) => s.name).filter((n) => !n.includes(" of "));
  expect(mine).toEqual(["Ångström Eva", "Çelik Ayşe", "Dora Ek", "Łucja Nowak", "Zoe Abel"]);
  expect((await teamsOf(w.projectId)).map((t) => t.name)).toEqual(["Ägir", "Alder", "Bramble", "Team 2", "Team 10"]);
});

test.each([
  ["angstr", "Ångström Eva"],
  ["ÇELIK", "Çelik Ayşe"],
  ["ayse", "Çelik Ayşe"],
  ["lucja", "Łucja Nowak"],
  ["agir", "Ägir"],
])("%s finds %s", async (words, name) =>
  expect((await search({ id: w.projectId, slug: "pump" }, words, boss)).map((h) => h.label)).toContain(name),
);
