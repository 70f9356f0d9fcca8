// What the records board reads is what the runs say: a build's best on the bench or in the contest, pilot runs aside.
import { db } from "@/platform/db/db";
import { openClass } from "@/stages/testing/school";
import { buildBests, toldOfBuilds } from "./queries/board";

let at: Awaited<ReturnType<typeof openClass>>;
beforeAll(async () => {
  at = await openClass();
});
afterAll(() => at.done());

const line = { protocol: "Lift test", key: "Q", better: "more" as const };
const bests = () => buildBests([at.w.projectId], [line]);

test("a build's best comparable run, told with its team, section and number of runs", async () => {
  const [before] = (await bests()).filter((b) => b.buildId === at.w.build);
  const values = await db()<{ value: number; place: string }[]>`
    SELECT v.value, r.place
    FROM run_value v
    JOIN run r ON r.id = v.run_id
    WHERE v.build_id = ${at.w.build} AND v.key = 'Q' AND v.comparable AND r.place <> 'pilot'
  `;
  expect(before).toMatchObject({ team: "Alder", section: "3", protocol: "Lift test", runs: values.length });
  expect(before!.value).toBe(Math.max(...values.map((v) => v.value)));
});

test("a better run in the contest is the build's best; less is better the other way round", async () => {
  const [run] = await db()<{ id: string; value: number }[]>`
    SELECT r.id, v.value
    FROM run r
    JOIN run_value v ON v.run_id = r.id AND v.key = 'Q'
    WHERE r.build_id = ${at.w.build} AND v.comparable
    LIMIT 1
  `;
  await db()`UPDATE run_value SET value = ${run!.value + 5} WHERE run_id = ${run!.id} AND key = 'Q'`;
  await db()`UPDATE run SET place = 'contest', entry_id = ${at.w.entry} WHERE id = ${run!.id}`;
  await db()`UPDATE kept_build SET stale = false`;
  const [best] = (await bests()).filter((b) => b.buildId === at.w.build);
  expect(best).toMatchObject({ value: run!.value + 5, place: "contest" });
  const less = await buildBests([at.w.projectId], [{ ...line, better: "less" }]);
  expect(less.find((b) => b.buildId === at.w.build)!.value).toBeLessThan(run!.value + 5);
  await db()`UPDATE run SET place = 'pilot', entry_id = NULL WHERE id = ${run!.id}`;
  await db()`UPDATE kept_build SET stale = false`;
  expect((await bests()).every((b) => b.value < run!.value + 5)).toBe(true);
});

test("of no editions and of no measures there is nothing; builds are told with their settings", async () => {
  expect(await buildBests([], [line])).toEqual([]);
  expect(await buildBests([at.w.projectId], [])).toEqual([]);
  expect(await toldOfBuilds([])).toEqual([]);
  expect(await toldOfBuilds([at.w.build])).toMatchObject([{ id: at.w.build, features: expect.any(Array) }]);
});
