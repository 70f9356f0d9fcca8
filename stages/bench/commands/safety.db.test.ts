// The first run of a day waits until the team has ticked what must be safe; pilot runs are kept and never count.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { today } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { projectState } from "@/stages/needs/queries/state";
import { bestOf } from "@/stages/records/queries/records";
import { ok, refused } from "@/stages/testing/database";
import { definition } from "@/stages/testing/definition";
import { openClass } from "@/stages/testing/school";
import { statusIn } from "@/stages/testing/status";
import type { World } from "@/stages/testing/world";
import { benchValues, protocolsOf, runsOf, safetyChecksOf } from "../queries/runs";
import { saveProtocol } from "./protocols";
import { moveRun, recordRun } from "./runs";
import { checkSafety } from "./safety";

let done: () => Promise<void>;
let [boss, mate, other] = [{} as Actor, {} as Actor, {} as Actor];
let w: World;
beforeEach(async () => {
  ({ done, boss, mate, other, w } = await openClass());
});
afterEach(() => done());

const attempt = (more: object = {}) => ({
  id: randomUUID(),
  buildId: w.build,
  protocolVersionId: w.versionId,
  readings: { m: "8" },
  ...more,
});
const tick = (more: object = {}) => ({
  projectId: w.projectId,
  protocolId: w.protocol,
  teamId: w.a,
  cautions: definition.safety,
  ...more,
});
const forget = () => db()`DELETE FROM safety_check`;
const checks = async () => db()`SELECT team_id, cautions, checked_by, on_date FROM safety_check ORDER BY team_id`;

test("no run before the check, of this team and of today; afterwards the same attempt is taken", async () => {
  await forget();
  const waiting = attempt();
  expect(await refused(recordRun, mate, waiting)).toMatchObject({
    fields: { safety: expect.stringContaining("the team ticks the safety check of Lift test") },
  });
  await ok(checkSafety, other, tick({ teamId: w.b }));
  await refused(recordRun, mate, waiting);
  await ok(checkSafety, mate, tick());
  await db()`UPDATE safety_check SET on_date = on_date - 1 WHERE team_id = ${w.a}`;
  await refused(recordRun, mate, waiting);
  await ok(checkSafety, mate, tick());
  await ok(recordRun, mate, waiting);
});

test("each caution is ticked, and one that the protocol gained since is asked for again", async () => {
  await forget();
  expect((await refused(checkSafety, mate, tick({ cautions: ["Something else."] }))).message).toContain("Ask first.");
  await ok(checkSafety, mate, tick());
  const [p] = await protocolsOf(w.projectId);
  const safety = [...definition.safety, "Eyes protected."];
  await ok(saveProtocol, boss, {
    projectId: w.projectId,
    id: p!.id,
    version: p!.version,
    name: p!.name,
    definition: { ...p!.definition, safety },
    whatChanged: "Splinters",
  });
  const now = attempt({ protocolVersionId: (await protocolsOf(w.projectId))[0]!.versionId });
  await refused(recordRun, mate, now);
  await refused(checkSafety, mate, tick());
  await ok(checkSafety, mate, tick({ cautions: safety }));
  await ok(recordRun, mate, now);
  const [kept] = await safetyChecksOf(w.protocol, today());
  expect([kept!.cautions, kept!.by]).toEqual([safety, (mate as { name: string }).name]);
});

test("the instructor ticks it for all teams, who ticked it first stays; a student only for the own team", async () => {
  await forget();
  await ok(checkSafety, mate, tick());
  await refused(checkSafety, mate, tick({ teamId: undefined }));
  await refused(checkSafety, other, tick());
  await ok(checkSafety, boss, tick({ teamId: undefined }));
  const name = (a: Actor) => (a as { name: string }).name;
  expect((await checks()).map((c) => [c.teamId, c.checkedBy])).toEqual(
    expect.arrayContaining([
      [w.a, name(mate)],
      [w.b, name(boss)],
    ]),
  );
});

test("a pilot run has its own numbers and counts nowhere: no summary, no verdict, no record", async () => {
  const before = await statusIn(w, w.flow);
  const { attempt: first } = await ok(recordRun, mate, attempt({ pilot: true, readings: { m: "14" } }));
  const { attempt: second } = await ok(recordRun, mate, attempt({ pilot: true, readings: { m: "1.2" } }));
  expect([first, second]).toEqual([1, 2]);
  expect((await ok(recordRun, mate, attempt())).attempt).toBe(2);
  await projectState(w.projectId);
  expect((await benchValues([w.build], w.protocol, "Q")).values.length).toBe(2);
  expect((await runsOf(w.projectId, { place: "pilot" })).map((r) => r.attempt)).toEqual([1, 2]);
  const [evidence] =
    await db()`SELECT count(*)::int AS n FROM evidence e JOIN run r ON r.id = e.run_id AND place = 'pilot'`;
  expect(evidence!.n).toBe(0);
  expect(await statusIn(w, w.flow)).toBe(before);
  expect((await bestOf(w.projectId, "Lift test", "Q"))!.value).toBeLessThan(9);
});

test("a pilot run that is moved to another build stays one", async () => {
  await ok(recordRun, mate, attempt({ pilot: true }));
  const [run] = await runsOf(w.projectId, { place: "pilot" });
  const to = { id: run!.id, version: run!.version, buildId: w.otherBuild, reason: "wrong build" };
  expect(await ok(moveRun, boss, to)).toEqual({ attempt: 1 });
  const [moved] = await runsOf(w.projectId, { place: "pilot" });
  expect([moved!.buildId, (await db()`SELECT FROM evidence WHERE run_id = ${run!.id}`).length]).toEqual([
    w.otherBuild,
    0,
  ]);
});
