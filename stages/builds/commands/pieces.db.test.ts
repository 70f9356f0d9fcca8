// Pieces and their makers against the database: checks before the one cut, what stays afterwards, what is found again.
import type { Actor } from "@/core/access/can";
import { bringBack } from "@/stages/records/commands/withdrawn";
import { ok, refused } from "@/stages/testing/database";
import { picture } from "@/stages/testing/picture";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { piecesOf, settingsFound } from "../queries/pieces";
import { withdrawPartLine, withdrawPiece } from "../withdrawals";
import { addPhoto, saveBuild } from "./builds";
import { savePartLine } from "./parts";
import { copyPieces, listPieces, markPiece, releasePiece, savePiece } from "./pieces";

let done: () => Promise<void>;
let boss: Actor;
let mate: Actor;
let w: World;
beforeAll(async () => {
  ({ done, boss, mate, w } = await openClass());
});
afterAll(() => done());

const panel = { name: "Panel", oneChance: true, material: "3 mm acrylic", nominal: "120 mm", tolerance: "0.2" };
const write = async (more: object = {}) => (await ok(savePiece, mate, { buildId: w.build, ...panel, ...more })).id;
const find = async (id: string) => (await piecesOf(w.build)).find((p) => p.id === id)!;
const tick = (who: Actor, id: string, step: string, on = true) => ok(markPiece, who, { id, step, on });

test("what is cut once waits for a second person, a trial and a release, and keeps them", async () => {
  const on = { machine: "laser", settings: "power = 60 %\nspeed = 20 mm/s" };
  const id = await write(on);
  expect((await refused(markPiece, mate, { id, step: "cut", on: true })).message).toContain(
    "No trial in cheap material",
  );
  await tick(mate, id, "drawn");
  expect((await refused(markPiece, mate, { id, step: "checked", on: true })).message).toContain("Who drew it does not");
  await tick(boss, id, "checked");
  expect((await refused(releasePiece, boss, { id, on: true })).message).toContain("No trial");
  await tick(mate, id, "trial");
  await refused(releasePiece, mate, { id, on: true });
  expect((await refused(markPiece, mate, { id, step: "cut", on: true })).message).toBe("It is not released yet.");
  await ok(releasePiece, boss, { id, on: true });
  expect(await settingsFound(w.projectId)).toEqual([]);
  await tick(mate, id, "cut");
  await tick(mate, id, "cut");
  const piece = await find(id);
  expect(piece.steps.map((s) => s.step).sort()).toEqual(["checked", "cut", "drawn", "released", "trial"]);
  expect([piece.nominal, piece.tolerance, piece.entered]).toMatchObject(["0.12", "0.0002", { nominal: "120 mm" }]);
  expect((await refused(markPiece, boss, { id, step: "checked", on: false })).message).toContain("It is cut already");
  const longer = { buildId: w.build, id, version: piece.version, ...panel, ...on, nominal: "121 mm" };
  expect(await refused(savePiece, mate, longer)).toMatchObject({ fields: { nominal: expect.stringContaining("cut") } });
  await ok(savePiece, mate, { ...longer, nominal: "120 mm", measured: "120.3 mm" });
  expect((await find(id)).measured).toBe("0.1203");
  expect((await refused(savePiece, mate, { ...longer, nominal: "120 mm", name: "Pane" })).kind).toBe("conflict");
  await tick(mate, id, "fitted");
});

test("another length is checked and released anew", async () => {
  const id = await write({ name: "Panel 2" });
  await tick(mate, id, "drawn");
  await tick(boss, id, "checked");
  await tick(mate, id, "trial");
  await ok(releasePiece, boss, { id, on: true });
  await ok(savePiece, mate, { buildId: w.build, id, version: 1, ...panel, name: "Panel 2", nominal: "125 mm" });
  expect((await find(id)).steps.map((s) => s.step).sort()).toEqual(["drawn", "trial"]);
});

test("lengths, makers and settings are refused in words beside their field", async () => {
  const wrong = async (more: object) =>
    (await refused(savePiece, mate, { buildId: w.build, ...panel, name: "Odd", ...more })) as {
      fields?: Record<string, string>;
      message: string;
    };
  expect((await wrong({ nominal: "0 mm" })).fields).toMatchObject({ nominal: "A length is more than zero." });
  expect((await wrong({ measured: "-3 mm" })).fields).toHaveProperty("measured");
  expect((await wrong({ nominal: "", tolerance: "", chain: "length" })).fields).toHaveProperty("nominal");
  expect((await wrong({ nominal: "3 kg" })).fields).toHaveProperty("nominal");
  expect((await wrong({ settings: "power = 60\nPower = 70" })).fields).toMatchObject({
    settings: "A setting is listed twice.",
  });
  expect((await wrong({ settings: "full power" })).fields).toHaveProperty("settings");
  expect((await wrong({ makerId: w.students[2] })).message).toContain("The maker in this team");
  expect((await wrong({ name: "side 1" })).message).toContain("There is a piece of this name");
});

test("what the parts list says is made here becomes pieces, once; a photo shows one of them", async () => {
  const line = (name: string, more: object) => ok(savePartLine, mate, { buildId: w.build, name, ...more });
  const { id: rails } = await line("Rail", { count: "2", source: "made" });
  await line("Screw", { count: "12", source: "bought" });
  expect(await ok(listPieces, mate, { buildId: w.build })).toEqual({ listed: 2 });
  expect(await ok(listPieces, mate, { buildId: w.build })).toEqual({ listed: 0 });
  const of = async () => (await piecesOf(w.build)).filter((p) => p.partId === rails);
  expect((await of()).map((p) => [p.name, p.part])).toEqual([
    ["Rail 1", "Rail"],
    ["Rail 2", "Rail"],
  ]);
  const pieceId = (await of())[0]!.id;
  const base64 = await picture();
  const { id: photo } = await ok(addPhoto, mate, { buildId: w.build, pieceId, caption: "Trial in card", base64 });
  expect((await find(pieceId)).photos).toEqual([{ id: photo, caption: "Trial in card" }]);
  expect((await refused(addPhoto, mate, { buildId: w.otherBuild, pieceId, base64 })).message).not.toBe("");
  // A line or a piece that is taken out lets go of what names it, and names it again when it is back.
  const { withdrawn: line1 } = (await ok(withdrawPartLine, mate, { id: rails })) as { withdrawn: string };
  expect(await of()).toEqual([]);
  await ok(bringBack, boss, { id: line1 });
  expect(await of()).toHaveLength(2);
  const { withdrawn: piece1 } = (await ok(withdrawPiece, mate, { id: pieceId })) as { withdrawn: string };
  await ok(bringBack, boss, { id: piece1 });
  expect((await find(pieceId)).photos).toHaveLength(1);
  expect(
    (await refused(savePiece, mate, { buildId: w.build, ...panel, name: "Lid", partId: w.piece })).message,
  ).toMatch(/line of the parts list/);
});

test("what was cut is found again with its settings; the next generation takes the pieces over unticked", async () => {
  const [found] = await settingsFound(w.projectId);
  expect(found).toMatchObject({ machine: "laser", settings: { power: "60 %", speed: "20 mm/s" }, piece: "Panel" });
  const next = await ok(saveBuild, mate, {
    teamId: w.a,
    stage: "prototype",
    builtOn: "2027-03-01",
    whatChanged: "Longer",
    parentIds: [w.build],
  });
  const { copied } = await ok(copyPieces, mate, { buildId: next.id, fromId: w.build });
  expect(copied).toBe((await piecesOf(w.build)).length);
  expect(await ok(copyPieces, mate, { buildId: next.id, fromId: w.build })).toEqual({ copied: 0 });
  for (const p of await piecesOf(next.id)) expect([p.steps, p.measured]).toEqual([[], null]);
});
