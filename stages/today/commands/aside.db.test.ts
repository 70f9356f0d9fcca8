// A flag is put aside with a note, comes back by itself when there is more of it, and by hand.
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { saveBuild } from "@/stages/builds/commands/builds";
import { saveFailure } from "@/stages/builds/commands/failures";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { flagsWaiting } from "../queries/flags";
import { withdrawAside } from "../withdrawals";
import { putAside } from "./aside";

let done: () => Promise<void>;
let boss: Actor;
let mate: Actor;
let w: World;
beforeAll(async () => {
  ({ done, boss, mate, w } = await openClass());
});
afterAll(() => done());

const says = async () => (await flagsWaiting([w.projectId], "2027-03-01")).find((x) => x.who === "Alder")?.what ?? "";
const passedOver = { kind: "failure", size: 1, reason: "1 failure not answered by the build that followed" };

test("what was put aside stays away until there is more of it, or it is brought back", async () => {
  await ok(saveBuild, mate, { teamId: w.a, stage: "prototype", builtOn: "2027-03-01", whatChanged: "A brace" });
  expect(await says()).toContain("1 failure not answered");
  const input = { teamId: w.a, ...passedOver, note: "They know; the next build answers it" };
  expect(await refused(putAside, boss, { ...input, note: " " })).toMatchObject({
    fields: { note: expect.any(String) },
  });
  await refused(putAside, mate, input);
  const { id } = await ok(putAside, boss, input);
  expect(await says()).not.toContain("not answered");
  await ok(saveFailure, mate, { buildId: w.build, mode: "The hose slipped", severity: "worse" });
  expect(await says()).toContain("2 failures not answered");
  expect((await ok(putAside, boss, { ...input, size: 2, note: "Both seen" })).id).toBe(id);
  expect(await says()).not.toContain("not answered");
  const [kept] = await db()`SELECT size, note, set_by FROM flag_aside WHERE id = ${id}`;
  expect(kept).toMatchObject({ size: 2, note: "Both seen" });
  await ok(withdrawAside, boss, { id });
  expect(await says()).toContain("2 failures not answered");
});
