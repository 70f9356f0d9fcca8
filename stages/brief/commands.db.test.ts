import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { fromSi } from "@/core/quantity/quantity";
import { actorOf } from "@/platform/sign-in/actors";
import { recordRun } from "@/stages/bench/commands/runs";
import { saveBuild } from "@/stages/builds/commands/builds";
import { keepEvidence, recordFinding } from "@/stages/needs/commands/findings";
import { saveRequirement } from "@/stages/needs/commands/requirements";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { ok, refused } from "@/stages/testing/database";
import { statusIn } from "@/stages/testing/status";
import type { World } from "@/stages/testing/world";
import { worldEach } from "@/stages/testing/world-each";
import { acknowledgeBrief, saveBrief } from "./commands";
import { briefReaders, briefVersions } from "./queries";

const here = worldEach("Pump");
let boss: Actor;
let w: World;
beforeEach(() => {
  ({ boss, w } = here);
});

const change = async (id: string, more: object) => {
  const r = (await requirementsOf(w.projectId)).find((x) => x.id === id)!;
  return {
    projectId: w.projectId,
    id,
    version: r.rowVersion,
    statement: r.statement,
    kind: r.kind,
    priority: r.priority,
    measure: r.measure,
    comparator: r.comparator,
    unit: r.unit,
    target: fromSi(r.target!, r.unit!).toString(),
    method: r.method,
    ...more,
  };
};

const statusOf = (requirement: string, build?: string) => statusIn(w, requirement, build);

describe("brief and requirements", () => {
  test("a second version says what changed, and is unread again", async () => {
    expect(await refused(saveBrief, boss, { projectId: w.projectId, baseNumber: 1, body: "New" })).toMatchObject({
      fields: { whatChanged: expect.stringContaining("what changed") },
    });
    const [v1] = await briefVersions(w.projectId);
    await ok(acknowledgeBrief, await actorOf(w.students[0]!), { projectId: w.projectId, briefVersionId: v1!.id });
    await ok(saveBrief, boss, { projectId: w.projectId, baseNumber: 1, body: "New", whatChanged: "the limit" });
    const [v2] = await briefVersions(w.projectId);
    expect([v2!.number, (await briefReaders(v1!.id)).length, (await briefReaders(v2!.id)).length]).toEqual([2, 1, 0]);
    expect(
      await refused(saveBrief, boss, { projectId: w.projectId, baseNumber: 1, body: "Old tab", whatChanged: "x" }),
    ).toMatchObject({ kind: "conflict" });
  });

  test("a changed limit makes what leaned on it stale; it can be kept with a reason, or run again", async () => {
    expect(await statusOf(w.mass)).toBe("met");
    expect(await refused(saveRequirement, boss, await change(w.mass, { target: "4 kg" }))).toMatchObject({
      fields: { reason: expect.stringContaining("say why") },
    });
    await ok(saveRequirement, boss, await change(w.mass, { target: "4 kg", reason: "client" }));
    expect(await statusOf(w.mass)).toBe("stale");
    const edit = {
      teamId: w.a,
      id: w.build,
      stage: "prototype",
      builtOn: "2027-02-20",
      mass: "4.4 kg",
      sides: "590 × 380 × 390 mm",
    };
    await ok(saveBuild, boss, { ...edit, version: 1, whatChanged: "First, spelled better" });
    expect(await statusOf(w.mass)).toBe("stale"); // a corrected text does not weigh the build again
    await ok(keepEvidence, boss, { requirementId: w.mass, buildId: w.build, reason: "weighed on the same scale" });
    expect(await statusOf(w.mass)).toBe("not met");
    await ok(saveRequirement, boss, await change(w.mass, { target: "4.2 kg", reason: "client again" }));
    await ok(saveBuild, boss, { ...edit, version: 2, whatChanged: "First", mass: "4.1 kg" });
    expect(await statusOf(w.mass)).toBe("met"); // weighed anew
  });

  test("another wording changes no verdict", async () => {
    await ok(saveRequirement, boss, await change(w.flow, { statement: "Moves at least 7.5 litres a minute" }));
    expect(await statusOf(w.flow)).toBe("met");
  });

  test("a physical change of the build makes its runs stale, a correction of its record does not", async () => {
    const edit = {
      teamId: w.a,
      id: w.build,
      stage: "prototype",
      builtOn: "2027-02-20",
      whatChanged: "First, with a note",
      mass: "4.4 kg",
    };
    await ok(saveBuild, boss, { ...edit, version: 1 });
    expect(await statusOf(w.flow)).toBe("met");
    await ok(saveBuild, boss, { ...edit, version: 2, physical: true });
    expect(await statusOf(w.flow)).toBe("stale");
    await ok(recordRun, boss, {
      id: randomUUID(),
      buildId: w.build,
      protocolVersionId: w.versionId,
      readings: { m: "8.6" },
    });
    expect(await statusOf(w.flow)).toBe("met");
  });

  test("a limit in a unit of another quantity is refused", async () => {
    expect(
      await refused(saveRequirement, boss, await change(w.mass, { unit: "L", target: "5 L", reason: "x" })),
    ).toMatchObject({ fields: { unit: expect.stringContaining("different quantities") } });
    expect(
      await refused(saveRequirement, boss, {
        projectId: w.projectId,
        statement: "S",
        kind: "constraint",
        priority: "must",
      }),
    ).toMatchObject({ fields: { method: expect.stringContaining("verify") } });
  });

  test("findings decide requirements without a number", async () => {
    expect(await statusOf(w.seen)).toBe("untested");
    await ok(recordFinding, boss, {
      requirementId: w.seen,
      buildId: w.build,
      outcome: "not met",
      note: "edge at the lever",
    });
    expect(await statusOf(w.seen)).toBe("not met");
    expect(
      await refused(recordFinding, boss, { requirementId: w.flow, buildId: w.build, outcome: "met" }),
    ).toMatchObject({ kind: "invalid" });
  });
});
