// Safety, stock, kits and cut lists: what is written, refused, counted and left out of lists.
import { randomUUID } from "node:crypto";
import { db } from "@/platform/db/db";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import { cutsTyped, incidentTold, stockKept } from "@/stages/testing/world-shop";
import { incidentsTable, shoppingTable } from "../lists";
import { checksOn, incidentsOf } from "../queries/safety";
import { kitsOut, partsNeeded, stockOf } from "../queries/stock";
import { editCutList, keepCutList } from "./cuts";
import { countKit, handOutKit, saveKit } from "./kits";
import { checkMachine, closeIncident, editIncident, reportIncident } from "./safety";
import { addStockItem, editStockItem, gotParts, moveStock } from "./stock";

let at: Awaited<ReturnType<typeof openClass>>;
beforeAll(async () => {
  at = await openClass();
});
afterAll(() => at.done());

test("a machine was looked at when every line was; what is open is named", async () => {
  const some = await refused(checkMachine, at.mate, { id: randomUUID(), toolId: at.w.machine, lines: ["Guard down"] });
  expect(some.message).toContain("Not looked at yet: Stop tried");
  expect(await checksOn(at.w.projectId, "2027-03-02")).toMatchObject([
    { toolId: at.w.machine, lines: ["Guard down", "Stop tried"] },
  ]);
  const none = await refused(checkMachine, at.mate, { id: randomUUID(), toolId: at.w.tool, lines: [] });
  expect(none.message).toContain("no list yet");
});

test("an incident is closed once it says who was told and what was changed, and can be opened again", async () => {
  const id = randomUUID();
  await ok(reportIncident, at.other, { ...incidentTold, id, projectId: at.w.projectId, onDate: "2027-03-01" });
  const close = (version: number, closed = true) => ({ id, version, closed });
  expect((await refused(closeIncident, at.boss, close(1))).message).toContain("who was told");
  const kept = { ...incidentTold, id, version: 1, onDate: "2027-03-01", told: "Technician" };
  await ok(editIncident, at.boss, kept);
  expect((await refused(closeIncident, at.boss, close(2))).message).toContain("what was changed");
  await ok(editIncident, at.boss, { ...kept, version: 2, changed: "A new guard" });
  await ok(closeIncident, at.boss, close(3));
  expect((await incidentsOf(at.w.projectId)).find((i) => i.id === id)).toMatchObject({ closedBy: expect.any(String) });
  await ok(closeIncident, at.boss, close(4, false));
  expect((await refused(editIncident, at.boss, kept)).kind).toBe("conflict");
  const tomorrow = { ...incidentTold, id: randomUUID(), projectId: at.w.projectId, onDate: "2027-03-03" };
  expect((await refused(reportIncident, at.mate, tomorrow)).kind).toBe("invalid");
});

test("no list of incidents carries a student's name", async () => {
  const [name] = at.w.names;
  await ok(reportIncident, at.boss, {
    ...incidentTold,
    id: randomUUID(),
    projectId: at.w.projectId,
    onDate: "2027-03-01",
    what: `${name} slipped`,
  });
  const list = await incidentsTable({ id: at.w.projectId });
  expect(list).toContain("a student slipped");
  for (const n of at.w.names) expect(list).not.toContain(n);
});

test("what is there is the sum of what came and went; a count says what it is", async () => {
  const there = async () => (await stockOf(at.w.projectId)).find((s) => s.id === at.w.stock)!.there;
  const move = (kind: string, amount: string, more = {}) => ({
    id: randomUUID(),
    itemId: at.w.stock,
    kind,
    amount,
    ...more,
  });
  expect(await there()).toBe("5");
  const once = move("bought", "2,5");
  await ok(moveStock, at.boss, once);
  await ok(moveStock, at.boss, once);
  expect(await there()).toBe("7.5");
  expect((await refused(moveStock, at.boss, move("taken", "1"))).message).toContain("for which team");
  await ok(moveStock, at.boss, move("taken", "3", { teamId: at.w.a }));
  expect((await refused(moveStock, at.boss, move("scrapped", "5"))).message).toContain("There are 4.5 sheets");
  await ok(moveStock, at.boss, move("scrapped", "4.5"));
  expect(await there()).toBe("0");
  expect(await ok(moveStock, at.boss, move("counted", "4"))).toEqual({ there: "4" });
  expect((await refused(moveStock, at.boss, move("given", "0"))).message).toContain("Nothing came");
});

test("sheets and bars have a size; a name stands once", async () => {
  const add = (more: object) => ({ ...stockKept, id: randomUUID(), projectId: at.w.projectId, ...more });
  expect((await refused(addStockItem, at.boss, add({ name: "A", size: "" }))).message).toContain("600 × 400 mm");
  expect((await refused(addStockItem, at.boss, add({ name: "A", size: "2400" }))).message).toContain("is no size");
  expect((await refused(addStockItem, at.boss, add({ form: "bars", name: "A", size: "2 × 3" }))).kind).toBe("invalid");
  expect((await refused(addStockItem, at.boss, add({ name: "plywood 3 MM" }))).message).toContain("of this name");
  await ok(editStockItem, at.boss, { ...stockKept, id: at.w.stock, version: 1, size: "24 × 16 in" });
  const [item] = (await stockOf(at.w.projectId)).filter((s) => s.id === at.w.stock);
  expect(item).toMatchObject({ length: "0.6096", width: "0.4064", sizeText: "24 × 16 in" });
});

test("what a build lists as bought stands on the shopping list until it is here", async () => {
  const list = () => shoppingTable({ id: at.w.projectId, currency: "cr" });
  expect(await list()).toContain("Drum");
  await ok(gotParts, at.mate, { partIds: [at.w.partLine], got: true });
  expect(await list()).not.toContain("Drum");
  expect(await partsNeeded(at.w.projectId)).toContainEqual(
    expect.objectContaining({ name: "Drum", gotOn: "2027-03-02" }),
  );
  await ok(gotParts, at.mate, { partIds: [at.w.partLine], got: false });
  expect(await list()).toContain("Drum");
});

test("a kit is counted back line by line against what went out, not against what it holds now", async () => {
  await ok(saveKit, at.boss, {
    id: at.w.kit,
    projectId: at.w.projectId,
    version: 1,
    name: "Plumbing",
    contents: "9 × clamp",
  });
  const twice = { id: randomUUID(), kitId: at.w.kit, teamId: at.w.a };
  expect((await refused(handOutKit, at.boss, twice)).message).toContain("has this kit already");
  const count = (version: number, counted: number[]) => ({ id: at.w.kitOut, version, counted });
  expect((await refused(countKit, at.boss, count(1, [4]))).message).toContain("every line");
  expect((await refused(countKit, at.boss, count(1, [5, 1]))).message).toContain("Only 4 × clamp");
  expect(await ok(countKit, at.boss, count(1, [2, 1]))).toEqual({ missing: ["2 × clamp"] });
  expect(await ok(countKit, at.boss, count(2, [4, 1]))).toEqual({ missing: [] });
  await ok(handOutKit, at.boss, twice);
  expect((await kitsOut(at.w.projectId)).map((o) => [o.backOn !== null, o.contents.length])).toEqual([
    [false, 1],
    [true, 2],
  ]);
});

test("a cut list that cannot be read is refused at its field; a project's unit stays with it", async () => {
  const keep = (more: object) => ({
    ...cutsTyped,
    id: randomUUID(),
    projectId: at.w.projectId,
    teamId: at.w.a,
    ...more,
  });
  const wrong = await refused(keepCutList, at.mate, keep({ pieces: "Side; 300; 2" }));
  expect(wrong).toMatchObject({ fields: { pieces: expect.stringContaining("“300” of Side is no size") } });
  expect((await refused(keepCutList, at.mate, keep({ teamId: undefined }))).kind).toBe("forbidden");
  await ok(keepCutList, at.boss, keep({ teamId: undefined }));
  await ok(editCutList, at.mate, { ...cutsTyped, id: at.w.cuts, version: 1, title: "Frames again" });
  expect(await db()`SELECT title, unit, version FROM cut_list WHERE id = ${at.w.cuts}`).toMatchObject([
    { title: "Frames again", unit: "mm", version: 2 },
  ]);
});
