import { randomUUID } from "node:crypto";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { createEdition } from "@/stages/records/commands/editions";
import { createTeam } from "@/stages/teams/commands/teams";
import { ok, refused } from "@/stages/testing/database";
import { worldEach } from "@/stages/testing/world-each";
import { toCopy } from "../queries/copied";
import { judgedEventsOf } from "../queries/judged";
import { programmeOf } from "../queries/programme";
import { safetyOf } from "../queries/safety";
import { mayBegin } from "../view/safety";
import { copyEvents, tickRules } from "./copied";
import { markSheet, saveJudgedEvent } from "./judged";
import { saveProgramme } from "./programme";

const here = worldEach("Copied");

/** The next edition of the world's project, with these parts carried over. */
async function next(parts: string[]) {
  const dates = { startsOn: "2028-01-17", endsOn: "2028-03-24" };
  const input = { projectId: here.w.projectId, title: `${here.w.slug} next`, ...dates, parts };
  const { projectId } = await ok(createEdition, here.boss, input);
  const boss = await actorOf(here.boss.id);
  const [section] = await db()<
    { id: string }[]
  >`SELECT section_id AS id FROM project_section WHERE project_id = ${projectId}`;
  await ok(createTeam, boss, { projectId, name: "Weir", sectionId: section!.id });
  return { projectId, boss };
}

test("events of the edition before are copied with their times, and scored once their rules are ticked", async () => {
  const plan = { starts: "9:30", lanes: 2, minutes: "6", repair: 10 };
  const of = async (projectId: string, name: string) => (await programmeOf(projectId)).find((e) => e.name === name)!;
  const design = await of(here.w.projectId, "Design");
  await ok(saveProgramme, here.boss, { id: design.id, version: design.version, ...plan });
  const { projectId, boss } = await next(["brief"]);
  const offered = await toCopy(projectId);
  expect(offered.map((e) => [e.name, e.hinders]).sort()).toEqual([
    ["Design", null],
    ["Race", null],
    ["Timed lift", "protocol"],
  ]);
  const wanted = offered.find((e) => e.name === "Design")!;
  await ok(copyEvents, boss, { projectId, ids: [wanted.id] });
  const copy = await of(projectId, "Design");
  expect(copy).toMatchObject({ starts: 570, lanes: 2, minutes: "6", teams: ["Weir"], made: [] });
  const [event] = await judgedEventsOf(projectId);
  expect([event!.sheets, event!.rules.criteria.map((c) => c.name)]).toEqual([[], ["Use"]]);
  expect(mayBegin((await safetyOf(projectId)).get(copy.id)!)).toBe(false);
  const sheet = { id: randomUUID(), entryId: event!.entries[0]!.id, after: 0, marks: { use: "3" } };
  await refused(markSheet, boss, sheet, /were copied: the instructor reads and ticks them first/);
  await ok(tickRules, boss, { id: copy.id, version: copy.version });
  await refused(tickRules, boss, { id: copy.id, version: copy.version + 1 }, /ticked already/);
  await ok(markSheet, boss, sheet);
  await refused(copyEvents, boss, { projectId, ids: [wanted.id] }, /an event named Design already/);
  const lift = offered.find((e) => e.name === "Timed lift")!;
  await refused(copyEvents, boss, { projectId, ids: [lift.id] }, /measured under Lift test: write that protocol first/);
  await refused(copyEvents, boss, { projectId, ids: [randomUUID()] }, /not here/);
});

test("an edition that carries its events has them to be ticked; saving the rules anew ticks them too", async () => {
  const { projectId, boss } = await next(["protocols", "events"]);
  const safety = [...(await safetyOf(projectId)).values()];
  expect(safety.map((e) => [e.name, e.copied]).sort()).toEqual([
    ["Design", true],
    ["Race", true],
    ["Timed lift", true],
  ]);
  const [event] = await judgedEventsOf(projectId);
  const { criteria, most, method, tie } = event!.rules;
  const rules = { criteria: [...criteria], most, method, tie };
  await ok(saveJudgedEvent, boss, { projectId, id: event!.id, version: event!.version, name: "Design", ...rules });
  expect((await safetyOf(projectId)).get(event!.id)!.copied).toBe(false);
});
