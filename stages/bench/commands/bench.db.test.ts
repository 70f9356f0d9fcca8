import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { auditOf } from "@/platform/audit/audit";
import { execute } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { ok, refused } from "@/stages/testing/database";
import { statusIn } from "@/stages/testing/status";
import type { World } from "@/stages/testing/world";
import { worldEach } from "@/stages/testing/world-each";
import { lastReadings, protocolsOf, runsOf } from "../queries/runs";
import { saveProtocol } from "./protocols";
import { correctRun, recordRun, restoreRun, voidRun } from "./runs";

const here = worldEach("Pump");
let boss: Actor;
let w: World;
beforeEach(() => {
  ({ boss, w } = here);
});

const statusOf = (requirement: string, build?: string) => statusIn(w, requirement, build);

describe("bench", () => {
  const record = (m: string, more: object = {}) =>
    execute(recordRun, boss, {
      id: randomUUID(),
      buildId: w.build,
      protocolVersionId: w.versionId,
      readings: { m },
      ...more,
    });

  test("readings are understood with their unit; wrong units and impossible values say so", async () => {
    expect(await record("8600 g")).toMatchObject({ ok: true, value: { attempt: 2 } });
    expect(await record("8.6 L")).toMatchObject({
      ok: false,
      fields: { "readings.m": expect.stringContaining("this field takes a mass") },
    });
    expect(await record("lots")).toMatchObject({
      ok: false,
      fields: { "readings.m": expect.stringContaining("cannot be read") },
    });
    expect(await record("")).toMatchObject({ ok: false, fields: { "readings.m": "Collected is missing." } });
    expect((await runsOf(w.projectId)).length).toBe(2);
  });

  test("a reading outside its range is asked about once; what cannot be computed uses nothing up", async () => {
    const asked = await record("86 kg");
    expect(asked).toMatchObject({ ok: false, fields: { sure: expect.stringContaining("usually 1 to 15 kg") } });
    const input = { id: randomUUID(), buildId: w.build, protocolVersionId: w.versionId, readings: { m: "86" } };
    await ok(recordRun, boss, { ...input, sure: true });
    const [p] = await protocolsOf(w.projectId);
    const d = p!.definition;
    await ok(saveProtocol, boss, {
      projectId: w.projectId,
      id: p!.id,
      version: p!.version,
      name: p!.name,
      whatChanged: "Per kilogram",
      definition: {
        ...d,
        measures: d.measures.map((m) => ({ ...m, min: "", max: "" })),
        derived: d.derived.map((x) => ({ ...x, unit: "1/kg", expression: "1 / m" })),
      },
    });
    const versionId = (await protocolsOf(w.projectId))[0]!.versionId;
    const zero = { ...input, id: randomUUID(), protocolVersionId: versionId, readings: { m: "0" }, sure: true };
    expect(await refused(recordRun, boss, zero)).toMatchObject({
      kind: "refused",
      message: expect.stringContaining("cannot be computed from these readings"),
    });
    expect((await runsOf(w.projectId)).length).toBe(2);
  });

  test.each([
    ["NUL", { m: "8\u0000" }],
    ["half a character", { m: "8\ud800" }],
    ["another kind", { m: { m: 8 } }],
    ["another kind", 7],
  ])("readings with %s are refused in words", async (_, readings) =>
    expect(
      await refused(recordRun, boss, {
        id: randomUUID(),
        buildId: w.build,
        protocolVersionId: w.versionId,
        readings,
      }),
    ).toMatchObject({ kind: "invalid", message: expect.not.stringContaining("our side") }),
  );

  test("the same attempt sent twice is recorded once", async () => {
    const input = { id: randomUUID(), buildId: w.build, protocolVersionId: w.versionId, readings: { m: "8" } };
    const [a, b] = await Promise.all([execute(recordRun, boss, input), execute(recordRun, boss, input)]);
    expect([a, b]).toEqual([
      { ok: true, value: { attempt: 2 } },
      { ok: true, value: { attempt: 2 } },
    ]);
    expect((await runsOf(w.projectId)).length).toBe(2);
  });

  test("a protocol that runs lean on is frozen: editing makes a version, and old runs no longer compare", async () => {
    const [p] = await protocolsOf(w.projectId);
    const definition = { ...p!.definition, policy: { ...p!.definition.policy, n: 5 } };
    expect(
      await refused(saveProtocol, boss, { projectId: w.projectId, id: p!.id, version: 1, name: p!.name, definition }),
    ).toMatchObject({ fields: { whatChanged: expect.any(String) } });
    await ok(saveProtocol, boss, {
      projectId: w.projectId,
      id: p!.id,
      version: 1,
      name: p!.name,
      definition,
      whatChanged: "five attempts",
    });
    expect((await protocolsOf(w.projectId))[0]!.number).toBe(2);
    expect(await statusOf(w.flow)).toBe("stale");
    await expect(db()`UPDATE protocol_version SET definition = '{}' WHERE id = ${w.versionId}`).rejects.toThrow(
      "frozen",
    );
    expect(await record("8")).toMatchObject({ ok: false, message: expect.stringContaining("newer version") });
  });

  test("the latest readings are an example, as they were typed", async () => {
    await record("8600 g");
    await record("", { state: "foul", readings: {} });
    expect(await lastReadings(w.versionId)).toEqual({ m: "8600 g" });
  });

  test("a formula whose units do not fit is refused with both named", async () => {
    const [p] = await protocolsOf(w.projectId);
    const r = await refused(saveProtocol, boss, {
      projectId: w.projectId,
      name: "Bad",
      definition: { ...p!.definition, derived: [{ ...p!.definition.derived[0]!, expression: "m * t" }] },
    });
    expect(r.message).toContain("but a flow is declared");
  });

  test("a run is set aside, taken back and corrected, with reasons on record", async () => {
    await ok(voidRun, boss, { id: w.run, version: 1, reason: "hose slipped" });
    expect(await statusOf(w.flow)).toBe("untested");
    await ok(restoreRun, boss, { id: w.run, version: 2 });
    await ok(correctRun, boss, {
      id: w.run,
      version: 3,
      readings: { m: "6.8" },
      conditions: {},
      reason: "digits swapped",
    });
    expect(await statusOf(w.flow)).toBe("not met");
    expect((await auditOf(w.projectId)).map((a) => a.reason).slice(0, 3)).toEqual([
      "digits swapped",
      null,
      "hose slipped",
    ]);
  });
});
