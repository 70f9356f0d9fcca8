// What was seen at a run: its note, corrected by one after the other, and its pictures, taken out and brought back.
import sharp from "sharp";
import type { Actor } from "@/core/access/can";
import { bringBack } from "@/stages/records/commands/withdrawn";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { runsOf } from "../queries/runs";
import { removeRunPhoto } from "../withdrawals";
import { addRunPhoto, noteRun } from "./run-notes";

let done: () => Promise<void>;
let boss: Actor;
let mate: Actor;
let other: Actor;
let w: World;
beforeAll(async () => {
  ({ done, boss, mate, other, w } = await openClass());
});
afterAll(() => done());

const find = async () => (await runsOf(w.projectId, { buildIds: [w.build] })).find((r) => r.id === w.run)!;

test("a note is kept, and the second of two that were begun from the same one is asked about", async () => {
  const { version } = await find();
  await ok(noteRun, mate, { id: w.run, version, note: "The hose slipped at stroke 40" });
  expect(await find()).toMatchObject({ note: "The hose slipped at stroke 40", version: version + 1 });
  expect(await refused(noteRun, boss, { id: w.run, version, note: "Nothing seen" })).toMatchObject({
    kind: "conflict",
  });
  await refused(noteRun, other, { id: w.run, version: version + 1, note: "Not ours" });
  await ok(noteRun, boss, { id: w.run, version: version + 1, note: "" });
  expect((await find()).note).toBe("");
});

test("a picture of a run is shown with it, goes, and comes back", async () => {
  const base64 = (
    await sharp({ create: { width: 40, height: 30, channels: 3, background: "#3a6" } })
      .png()
      .toBuffer()
  ).toString("base64");
  expect((await refused(addRunPhoto, mate, { runId: w.run, base64: "AAAA" })).message).toMatch(/picture/i);
  await refused(addRunPhoto, other, { runId: w.run, base64 });
  const { id } = await ok(addRunPhoto, mate, { runId: w.run, caption: "The hose", base64 });
  expect((await find()).photos).toEqual([{ id, caption: "The hose" }]);
  const gone = await ok(removeRunPhoto, mate, { id });
  expect((await find()).photos).toEqual([]);
  await ok(bringBack, boss, { id: gone.withdrawn });
  expect((await find()).photos).toEqual([{ id, caption: "The hose" }]);
});
