import type { Actor } from "@/core/access/can";
import { ok } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { importRoster, previewRoster } from "./roster";

let done: () => Promise<void>;
let boss: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, w } = await openClass());
});
afterAll(() => done());

test("a roster of 1,500 rows comes in; wrong rows are named by their line", async () => {
  const row = (i: number) => `Student ${i},3,s${i}@roster.example`;
  const rows = Array.from({ length: 1500 }, (_, i) => row(i));
  const bad = await ok(previewRoster, boss, {
    projectId: w.projectId,
    text: ["Name,Section,Email", ...rows.map((r, i) => (i === 700 ? "Student 700,9,x" : r))].join("\n"),
  });
  expect([bad.problems.length > 0, bad.problems.every((p) => JSON.stringify(p).includes("702"))]).toEqual([true, true]);
  const good = await ok(previewRoster, boss, {
    projectId: w.projectId,
    text: ["Name,Section,Email", ...rows].join("\n"),
  });
  expect((await ok(importRoster, boss, { projectId: w.projectId, rows: good.rows })).added).toBe(1500);
});
