// What a head of department sees of all projects, counted by the database as the projects' own pages count it.

import { can } from "@/core/access/can";
import { coverage } from "@/core/needs/requirement";
import { projectActs, schoolActs } from "@/platform/project/acts";
import { actorOf } from "@/platform/sign-in/actors";
import { projectState } from "@/stages/needs/queries/state";
import { addCoInstructor } from "@/stages/people/commands/guests";
import { nameHead } from "@/stages/people/commands/heads";
import { removeStaff } from "@/stages/people/commands/logins";
import { createEdition } from "@/stages/records/commands/editions";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import { departmentOf, instructorsOf } from "./department";

let at: Awaited<ReturnType<typeof openClass>>;
beforeAll(async () => {
  at = await openClass();
});
afterAll(() => at.done());

test("counts agree with the project's own state; of students there is a number and no name", async () => {
  const state = await projectState(at.w.projectId);
  const rows = await departmentOf("2027-03-02", "2027-03-01", "2027-03-07");
  const p = rows.find((r) => r.id === at.w.projectId)!;
  const own = state.teams.map((t) =>
    coverage(
      state.requirements.map((r) => ({
        priority: r.priority,
        verdict: state.verdict(r.id, state.newest.get(t.id)?.id),
      })),
    ),
  );
  expect(p).toMatchObject({
    students: 3,
    teams: state.teams.length,
    builds: state.builds.length,
    met: own.reduce((n, c) => n + c.verified, 0),
    musts: own.reduce((n, c) => n + c.musts, 0),
    incidents: 1,
    minutes: 50,
  });
  expect(p.machines.map((m) => m.name)).toEqual(["Band saw"]);
  expect(p.best).toBeNull();
  const text = JSON.stringify(rows);
  for (const name of at.w.names) expect(text).not.toContain(name);
});

test("of editions of one project the best value is there, to be compared", async () => {
  await ok(createEdition, at.boss, {
    projectId: at.w.projectId,
    title: "Front, next",
    startsOn: "2028-01-17",
    endsOn: "2028-03-24",
  });
  const rows = await departmentOf("2027-03-02", "2027-03-01", "2027-03-07");
  expect(rows.map((r) => [r.title, r.best])).toEqual([
    ["Front", { name: "Flow", value: expect.any(Number), unit: "L/min", better: "more" }],
    ["Front, next", null],
  ]);
});

test("an instructor who is named sees the department, keeps nothing, and opens no project by it", async () => {
  const { projectId } = at.w;
  await ok(addCoInstructor, at.boss, { projectId, name: "Ola Berg", email: "ola@school.example" });
  const named = (await instructorsOf()).find((i) => i.name === "Ola Berg")!;
  await ok(removeStaff, at.boss, { projectId, personId: named.id });
  const ola = async () => actorOf(named.id);
  expect(can(await ola(), schoolActs.oversee, {})).toBe(false);
  await ok(nameHead, at.boss, { personId: named.id, on: true });
  expect(can(await ola(), schoolActs.oversee, {})).toBe(true);
  expect(can(await ola(), schoolActs.keep, {})).toBe(false);
  expect(can(await ola(), projectActs.read, { project: projectId })).toBe(false);
  await ok(nameHead, at.boss, { personId: named.id, on: false });
  expect(can(await ola(), schoolActs.oversee, {})).toBe(false);
  expect(await refused(nameHead, at.boss, { personId: at.w.students[0]!, on: true })).toMatchObject({
    kind: "missing",
  });
});
