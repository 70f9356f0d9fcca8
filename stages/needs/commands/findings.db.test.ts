// What was measured by looking: the number decides, is kept as typed, and stays with its limit.
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { projectState } from "../queries/state";
import { recordFinding } from "./findings";
import { saveRequirement } from "./requirements";

let done: () => Promise<void>;
let boss: Actor;
let w: World;
let handle: string;
const stands = {
  statement: "The handle stands a yard up",
  kind: "constraint" as const,
  priority: "must" as const,
  comparator: "±" as const,
  target: "36",
  second: "0.5",
  unit: "in",
  method: "inspection" as const,
};
beforeAll(async () => {
  ({ done, boss, w } = await openClass());
  handle = (await ok(saveRequirement, boss, { ...stands, projectId: w.projectId })).id;
});
afterAll(() => done());

const find = (more: object) => ({ requirementId: handle, buildId: w.build, ...more });
const verdict = async () => (await projectState(w.projectId)).verdict(handle, w.build);

test("a number inside its limit is met, one outside is not, whatever its unit; both are kept as typed", async () => {
  expect(await ok(recordFinding, boss, find({ value: "3 ft 1/4 in" }))).toEqual({ outcome: "met" });
  expect(await verdict()).toBe("met");
  expect(await ok(recordFinding, boss, find({ value: "93 cm" }))).toEqual({ outcome: "not met" });
  expect(await verdict()).toBe("not met");
  const kept = await db()`
    SELECT value::text, entered, finding FROM evidence WHERE requirement_id = ${handle} ORDER BY recorded_at
  `;
  expect(kept.map((k) => ({ ...k }))).toEqual([
    { value: "0.92075", entered: "3 ft 1/4 in", finding: "met" },
    { value: "0.93", entered: "93 cm", finding: "not met" },
  ]);
});

test("another kind of quantity, no number, and a requirement without one are refused in words", async () => {
  expect(await refused(recordFinding, boss, find({ value: "3 kg" }))).toMatchObject({
    fields: { value: expect.any(String) },
  });
  expect(await refused(recordFinding, boss, find({}))).toMatchObject({ fields: { outcome: "This is needed." } });
  const message = (await refused(recordFinding, boss, { requirementId: w.seen, buildId: w.build, value: "3 in" }))
    .message;
  expect(message).toContain("has no number to compare with");
});
