// What a head of department sees of all projects, counted by the database as the projects' own pages count it.

import { coverage } from "@/core/needs/requirement";
import { projectState } from "@/stages/needs/queries/state";
import { openClass } from "@/stages/testing/school";
import { departmentOf } from "./department";

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
  expect(p.best).toMatchObject({ name: expect.any(String), value: expect.any(Number) });
  const text = JSON.stringify(rows);
  for (const name of at.w.names) expect(text).not.toContain(name);
});
