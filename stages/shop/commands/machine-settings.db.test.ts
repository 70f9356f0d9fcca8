import { randomUUID } from "node:crypto";
import { db } from "@/platform/db/db";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import { makeProject } from "@/stages/testing/world";
import { settingTried } from "@/stages/testing/world-shop";
import { settingsTried } from "../queries/tools";
import { editSetting, recordSetting } from "./machine-settings";

let at: Awaited<ReturnType<typeof openClass>>;
beforeAll(async () => {
  at = await openClass();
});
afterAll(() => at.done());

const told = async () =>
  (await settingsTried(at.w.projectId)).map((s) => [s.material, s.thicknessText, s.outcome, s.edition]);

test("what was tried is kept as typed, once, with who and when; by material and thickness", async () => {
  const [first] = await settingsTried(at.w.projectId);
  expect(first).toMatchObject({ thickness: "0.003", thicknessText: "3", triedBy: expect.any(String), edition: null });
  const thin = {
    ...settingTried,
    id: randomUUID(),
    projectId: at.w.projectId,
    thickness: "1/16 in",
    outcome: "failed",
  };
  await ok(recordSetting, at.other, thin);
  await ok(recordSetting, at.other, thin);
  await ok(recordSetting, at.boss, {
    ...thin,
    id: randomUUID(),
    material: "acrylic",
    thickness: "",
    outcome: "partly",
  });
  expect(await told()).toEqual([
    ["acrylic", "", "partly", null],
    ["Birch plywood", "1/16 in", "failed", null],
    ["Birch plywood", "3", "worked", null],
  ]);
  expect((await refused(recordSetting, at.mate, { ...thin, id: randomUUID(), thickness: "3 kg" })).kind).toBe(
    "invalid",
  );
});

test("a correction keeps what was before; a stale one shows both", async () => {
  const change = { ...settingTried, id: at.w.setting, version: 1, thickness: "3.2", settings: "70 %, 18 mm/s" };
  await ok(editSetting, at.boss, change);
  expect((await settingsTried(at.w.projectId)).find((s) => s.id === at.w.setting)!.thickness).toBe("0.0032");
  expect((await refused(editSetting, at.boss, { ...change, thickness: "4" })).kind).toBe("conflict");
  expect((await refused(editSetting, at.mate, { ...change, version: 2 })).kind).toBe("forbidden");
});

test("a next edition sees what was tried before, told by its edition", async () => {
  const next = await makeProject(at.boss, "Next year");
  await db()`UPDATE project SET edition_of = ${at.w.projectId} WHERE id = ${next.projectId}`;
  const seen = await settingsTried(next.projectId);
  expect(seen.filter((s) => s.edition === null).map((s) => s.id)).toEqual([next.setting]);
  expect(seen.filter((s) => s.edition !== null)).toHaveLength(3);
});
