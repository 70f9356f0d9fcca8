// A limit that is loosened makes results stale; those that still hold are kept at one press, the others are not.
import type { Actor } from "@/core/access/can";
import { saveBuild } from "@/stages/builds/commands/builds";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { requirementsOf } from "../queries/requirements";
import { projectState } from "../queries/state";
import { keepHolding } from "./keep";
import { saveRequirement } from "./requirements";

let done: () => Promise<void>;
let boss: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, w } = await openClass());
});
afterAll(() => done());

test("what still holds is kept with its reason; what does not, and what was never measured, stays", async () => {
  const heavy = { teamId: w.b, stage: "prototype", builtOn: "2027-02-22", whatChanged: "Steel", mass: "5.8 kg" };
  const { id } = await ok(saveBuild, boss, heavy);
  const r = (await requirementsOf(w.projectId)).find((x) => x.id === w.mass)!;
  const change = (target: string, version: number) =>
    ok(saveRequirement, boss, {
      projectId: w.projectId,
      id: r.id,
      version,
      statement: r.statement,
      kind: r.kind,
      priority: r.priority,
      measure: "mass",
      comparator: "≤",
      unit: "kg",
      method: "inspection",
      target,
      reason: "Weighed the case again",
    });
  const verdicts = async () => {
    const state = await projectState(w.projectId);
    return [w.build, id, w.otherBuild].map((b) => state.verdict(w.mass, b));
  };
  expect(await verdicts()).toEqual(["met", "not met", "untested"]);
  await change("5.5", r.rowVersion);
  expect(await verdicts()).toEqual(["stale", "stale", "untested"]);
  const reason = "The limit was loosened";
  expect(await ok(keepHolding, boss, { requirementId: w.mass, reason })).toEqual({ kept: 1, left: 1 });
  expect(await verdicts()).toEqual(["met", "stale", "untested"]);
  // Tightened again, nothing that is stale holds.
  await change("4", r.rowVersion + 1);
  expect((await refused(keepHolding, boss, { requirementId: w.mass, reason })).message).toContain("Measure the builds");
});
