// A project in US units: what is typed bare is pounds and inches, and what is shown is too.
import type { Actor } from "@/core/access/can";
import { frameOf } from "@/platform/project/frame";
import { saveSettings } from "@/platform/project/save-settings";
import { asEntered } from "@/platform/schema/entered";
import { saveBuild } from "@/stages/builds/commands/builds";
import { buildById } from "@/stages/builds/queries/builds";
import { saveConcept } from "@/stages/concepts/commands/concepts";
import { conceptsOf } from "@/stages/concepts/queries/concepts";
import { saveRequirement } from "@/stages/needs/commands/requirements";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { projectState } from "@/stages/needs/queries/state";
import { limitWords } from "@/stages/needs/view/requirements";
import { ok } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";

let done: () => Promise<void>;
let boss: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, w } = await openClass());
  await ok(saveSettings, boss, { projectId: w.projectId, units: "us" });
});
afterAll(() => done());

test("builds, concepts and envelopes take and keep pounds and inches; a build that fits is met", async () => {
  const { units } = (await frameOf(w.slug, boss))!;
  expect(units).toEqual({ mass: "lb", side: "in" });
  const { id: requirementId } = await ok(saveRequirement, boss, {
    projectId: w.projectId,
    statement: "Fits the cart",
    kind: "constraint",
    priority: "must",
    measure: "envelope",
    comparator: "fits",
    sides: "18 × 12 × 14",
    method: "inspection",
  });
  const r = (await requirementsOf(w.projectId)).find((x) => x.id === requirementId)!;
  expect(limitWords(r, "")).toBe("18 × 12 × 14 in");
  const typed = { mass: "9", sides: "18 × 12 × 14" };
  const build = { teamId: w.a, stage: "prototype", builtOn: "2027-02-24", whatChanged: "Boxed", ...typed };
  const { id } = await ok(saveBuild, boss, build);
  const b = (await buildById(w.projectId, id))!;
  expect([Number(b.mass), b.sides!.map(Number)]).toEqual([4.08233133, [0.4572, 0.3048, 0.3556]]);
  expect((await projectState(w.projectId)).verdict(requirementId, id)).toBe("met");
  // Saving the form as it opens changes nothing.
  await ok(saveBuild, boss, { ...build, id, version: b.version, ...asEntered(b, units) });
  const again = (await buildById(w.projectId, id))!;
  expect([again.mass, again.sides]).toEqual([b.mass, b.sides]);
  const concept = await ok(saveConcept, boss, { projectId: w.projectId, title: "Cart", mass: "10" });
  expect(Number((await conceptsOf(w.projectId, boss)).find((k) => k.id === concept.id)!.mass)).toBe(4.5359237);
});
