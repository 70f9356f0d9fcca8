import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { execute } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { saveBuild } from "@/stages/builds/commands/builds";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { createEdition, finishProject } from "@/stages/records/commands/editions";
import { bestOf } from "@/stages/records/queries";
import { freshDatabase, ok } from "@/stages/testing/database";
import { firstInstructor } from "@/stages/testing/school";
import { makeProject, type World } from "@/stages/testing/world";
import { contestOf } from "../queries/events";
import { inspectEntry, scoreAttempt, voidAttempt } from "./attempts";
import { confirmEvent, drawRunOrder } from "./events";

let done: () => Promise<void>;

let boss: Actor;

let w: World;

let n = 0;

beforeAll(async () => {
  done = await freshDatabase();
  boss = await firstInstructor();
});

afterAll(() => done());

beforeEach(async () => {
  w = await makeProject(boss, `Pump ${++n}`);
  boss = await actorOf((boss as { id: string }).id);
});

describe("contest and records", () => {
  test("over a limit nobody passes in one tap: a waiver takes its reason, which stays", async () => {
    const pass = { entryId: w.entry, version: 1, outcome: "passed" };
    await ok(saveBuild, boss, {
      teamId: w.a,
      id: w.build,
      version: 1,
      stage: "prototype",
      builtOn: "2027-02-20",
      whatChanged: "First",
      mass: "5.3 kg",
    });
    expect(await execute(inspectEntry, boss, pass)).toMatchObject({
      fields: { note: expect.stringContaining("does not keep mass (R-02)") },
    });
    await ok(inspectEntry, boss, { ...pass, note: "The scale reads 0.4 kg too much" });
    const [kept] = await db()`SELECT after, reason FROM audit WHERE act = 'inspectEntry'`;
    expect(kept).toEqual({
      after: { inspection: "passed", waived: ["R-02"] },
      reason: "The scale reads 0.4 kg too much",
    });
  });
  const score = (m: string, id = randomUUID()) =>
    execute(scoreAttempt, boss, { id, entryId: w.entry, state: "valid", readings: { m } });
  test("inspection first, attempts limited, a retry counts once, a void attempt can be repeated", async () => {
    expect(await score("8")).toMatchObject({ ok: false, message: expect.stringContaining("not passed inspection") });
    await ok(inspectEntry, boss, { entryId: w.entry, version: 1, outcome: "passed" });
    const id = randomUUID();
    expect([await score("8", id), await score("8", id)]).toEqual([
      { ok: true, value: { attempt: 1 } },
      { ok: true, value: { attempt: 1 } },
    ]);
    await score("9");
    const third = randomUUID();
    await score("9.5", third);
    expect(await score("10")).toMatchObject({ ok: false, message: expect.stringContaining("all 3 attempts") });
    await ok(voidAttempt, boss, { id: third, version: 1, reason: "wrong team" });
    expect(await score("7")).toMatchObject({ ok: true, value: { attempt: 4 } });
    const [e] = await contestOf(w.projectId);
    expect(e!.standings[0]).toMatchObject({ name: "Alder", place: 1, shown: "9.0" });
    await ok(confirmEvent, boss, { id: w.event, version: e!.version });
    expect(await score("7")).toMatchObject({ ok: false, message: expect.stringContaining("confirmed") });
  });
  test("a run order is drawn by its seed and kept", async () => {
    await ok(drawRunOrder, boss, { id: w.event, version: 1, seed: "42" });
    const order = (await contestOf(w.projectId))[0]!.entries.map((x) => x.team);
    await ok(drawRunOrder, boss, { id: w.event, version: 2, seed: "42" });
    expect((await contestOf(w.projectId))[0]!.entries.map((x) => x.team)).toEqual(order);
  });
  test("the next edition carries what was learned, and its benchmark is this one's best", async () => {
    await ok(finishProject, boss, { projectId: w.projectId });
    const next = await ok(createEdition, boss, {
      projectId: w.projectId,
      title: "Next",
      startsOn: "2028-01-17",
      endsOn: "2028-03-24",
    });
    const carried = await requirementsOf(next.projectId);
    const [p] = await protocolsOf(next.projectId);
    expect(carried.map((r) => r.measure).filter((m) => m?.startsWith("run:"))).toEqual([`run:${p!.id}:Q`]);
    expect(await bestOf(w.projectId, p!.name, "Q")).toMatchObject({
      team: "Alder",
      build: 1,
      value: expect.closeTo(8.617, 3),
    });
  });
});
