import type { Actor } from "@/core/access/can";
import { leavesOf, type SchemeDefinition } from "@/core/grades/scheme";
import { db } from "@/platform/db/db";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { eventsOf } from "@/stages/contest/queries/events";
import { questionsOf } from "@/stages/needs/queries/questions";
import { addGateItem } from "@/stages/plan/commands/gates";
import { setMilestoneDate } from "@/stages/plan/commands/milestones";
import { saveTask } from "@/stages/plan/commands/tasks";
import { gatesOf } from "@/stages/plan/queries/gates";
import { milestonesOf } from "@/stages/plan/queries/milestones";
import { tasksOf } from "@/stages/plan/queries/tasks";
import { toolsOf } from "@/stages/shop/queries/tools";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { createEdition } from "./editions";

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
  expect((await toolsOf(projectId)).map((t) => [t.name, t.signed.length])).toEqual([
    ["Band saw", 0],
    ["Drill press", 0],
  ]);
  expect((await toolsOf(projectId))[0]).toMatchObject({
    shared: true,
    months: 6,
    checks: ["Guard down", "Stop tried"],
  });
  expect((await questionsOf(projectId)).map((q) => q.text)).toEqual(
    (await questionsOf(w.projectId)).map((q) => q.text),
  );
});

test("plan, gates, events and grading scheme come along with new dates, and lean on what was carried", async () => {
  await ok(setMilestoneDate, boss, { milestoneId: w.milestone, sectionId: w.section, dueOn: "2027-02-03" });
  await ok(addGateItem, boss, { milestoneId: w.gate, kind: "tool", toolId: w.tool, needs: 1 });
  await ok(saveTask, boss, { projectId: w.projectId, title: "Cut", length: 1, after: [w.task], milestoneId: w.spare });
  // A year on, 52 weeks later: weekdays stay.
  const dates = { startsOn: "2028-01-17", endsOn: "2028-03-24" };
  const { projectId } = await ok(createEdition, boss, { projectId: w.projectId, title: "Front again", ...dates });
  const milestones = await milestonesOf(projectId);
  expect(milestones.map((m) => [m.title, m.dueOn, Object.values(m.dates), m.gateStage])).toEqual([
    ["Drawing", "2028-01-31", ["2028-02-02"], null],
    ["Gate", "2028-03-24", [], "final"],
    ["Model", "2028-03-24", [], null],
  ]);
  const tasks = await tasksOf(projectId);
  const cut = tasks.find((t) => t.title === "Cut")!;
  expect([cut.after, cut.milestoneId]).toEqual([
    [tasks.find((t) => t.title === "Draw the lever")!.id],
    milestones.find((m) => m.title === "Model")!.id,
  ]);
  expect((await gatesOf(projectId))[0]!.items.map((i) => i.label)).toEqual([
    "Own drawing",
    "Signed for the drill press",
  ]);
  const [event] = await eventsOf(projectId);
  const [protocol] = await protocolsOf(projectId);
  expect([event!.name, event!.entries.length, event!.protocolId]).toEqual(["Timed lift", 0, protocol!.id]);
  const [scheme] = await db()<{ definition: SchemeDefinition }[]>`
    SELECT definition FROM scheme_version WHERE project_id = ${projectId}
  `;
  expect(leavesOf(scheme!.definition.components).map((x) => x.source)).toMatchObject([
    { kind: "rubric", review: "First review" },
    { kind: "points", measure: { protocol: protocol!.id } },
    { kind: "milestone", milestone: milestones[0]!.id },
    { kind: "entered" },
  ]);
});

test("what is not ticked stays behind; a mark that came from it is entered by hand", async () => {
  const input = { projectId: w.projectId, title: "Bare", startsOn: "2028-01-17", endsOn: "2028-03-24" };
  const { projectId } = await ok(createEdition, boss, { ...input, parts: ["scheme"] });
  const counts = await db()`
    SELECT
      (SELECT count(*)::int FROM milestone WHERE project_id = ${projectId}) AS milestones,
      (SELECT count(*)::int FROM requirement WHERE project_id = ${projectId}) AS requirements,
      (SELECT count(*)::int FROM brief_version WHERE project_id = ${projectId}) AS briefs
  `;
  expect(counts).toEqual([{ milestones: 0, requirements: 0, briefs: 0 }]);
  const [scheme] = await db()<{ definition: SchemeDefinition }[]>`
    SELECT definition FROM scheme_version WHERE project_id = ${projectId}
  `;
  expect(leavesOf(scheme!.definition.components).map((x) => x.source.kind)).toEqual([
    "rubric",
    "entered",
    "entered",
    "entered",
  ]);
  expect((await refused(createEdition, boss, { ...input, title: "B", parts: ["events"] })).message).toContain(
    "lean on the protocols",
  );
});
