// Kept values: they are what the core computes, they move with every fact, and a wrong one is named.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { saveProtocol } from "@/stages/bench/commands/protocols";
import { correctRun, recordRun, voidRun } from "@/stages/bench/commands/runs";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { saveBuild } from "@/stages/builds/commands/builds";
import { ok } from "@/stages/testing/database";
import { definition } from "@/stages/testing/definition";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { retireRequirement } from "../commands/requirements";
import { freshen } from "./kept";
import { projectState } from "./state";
import { verifyProject } from "./verify";

let done: () => Promise<void>;
let boss: Actor;
let w: World;
beforeAll(async () => {
  ({ done, boss, w } = await openClass());
});
afterAll(() => done());

const check = () => verifyProject(w.projectId, "Front");
const marked = async () =>
  (
    await db()<{ n: number }[]>`SELECT count(*)::int AS n FROM kept_build WHERE project_id = ${w.projectId} AND stale`
  )[0]!.n;
/** A run that is entered now; gives its id. */
async function newRun(readings: Record<string, string>, conditions: Record<string, string> = {}): Promise<string> {
  const id = randomUUID();
  const protocolVersionId = (await protocolsOf(w.projectId))[0]!.versionId;
  await ok(recordRun, boss, { id, buildId: w.build, protocolVersionId, readings, conditions });
  return id;
}

test("every value is kept, and a second look computes nothing", async () => {
  const first = await check();
  expect([first.wrong, first.compared > 0, await marked()]).toEqual([[], true, 0]);
});

test("what a fact changes is marked, renewed when it is read, and right", async () => {
  const flow = async () => (await projectState(w.projectId)).summary(w.build, w.protocol, definition.primary);
  const before = await flow();
  const id = await newRun({ m: "8.2" });
  expect(await marked()).toBe(1);
  const after = await flow();
  expect([after!.n, await marked()]).toEqual([before!.n + 1, 0]);
  await ok(correctRun, boss, { id, version: 1, readings: { m: "7.9" }, conditions: {}, reason: "misread" });
  expect((await flow())!.mean).not.toBe(after!.mean);
  await ok(voidRun, boss, { id, version: 2, reason: "wrong lift" });
  expect((await flow())!.n).toBe(before!.n);
  expect((await check()).wrong).toEqual([]);
});

test("a build, a protocol and a requirement move the verdicts that lean on them", async () => {
  const verdict = async (r: string) => (await projectState(w.projectId)).verdict(r, w.build);
  expect(await verdict(w.mass)).toBe("met");
  const [b] = await db()<{ version: number }[]>`SELECT version FROM build WHERE id = ${w.build}`;
  await ok(saveBuild, boss, {
    teamId: w.a,
    id: w.build,
    version: b!.version,
    stage: "prototype",
    builtOn: "2027-02-20",
    whatChanged: "heavier",
    mass: "9 kg",
    physical: true,
  });
  expect(await verdict(w.mass)).toBe("not met");
  await ok(saveProtocol, boss, {
    projectId: w.projectId,
    id: w.protocol,
    version: 1,
    name: "Lift test",
    whatChanged: "stricter",
    definition: { ...definition, better: "less" },
  });
  expect(await verdict(w.flow)).toBe("stale");
  await ok(retireRequirement, boss, { id: w.flow, version: 1, reason: "asked no more" });
  expect(await verdict(w.flow)).toBe("untested");
  expect((await check()).wrong).toEqual([]);
});

test("a kept value that is broken on purpose is named with what it should be", async () => {
  await freshen([w.projectId]);
  await db()`UPDATE verdict SET value = 'met' WHERE build_id = ${w.build} AND requirement_id = ${w.mass}`;
  await db()`UPDATE run_value SET value = value + 1 WHERE run_id = ${w.run} AND key = 'm'`;
  const { wrong } = await check();
  expect(wrong.map((d) => d.what).sort()).toEqual([
    `value m of run ${w.run}`,
    `verdict on requirement ${w.mass} for build ${w.build}`,
  ]);
  expect(wrong.find((d) => d.what.startsWith("verdict"))!.computed).toContain("not met");
});
