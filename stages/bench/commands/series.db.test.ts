// A series from its first block to the attempt that is taken from it: nothing twice, nothing out of order.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { db } from "@/platform/db/db";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { isLeanedOn, protocolsOf, runsOf } from "../queries/runs";
import { curveOf, samplesOf, seriesCsv, seriesOf, takenOf } from "../queries/series";
import { packed } from "../view/samples";
import { withdrawSeries } from "../withdrawals";
import { saveProtocol } from "./protocols";
import { recordRun, voidRun } from "./runs";
import { addBlocks, chooseSeriesPart, openSeries } from "./series";

const hold: ProtocolDefinition = {
  conditions: [],
  measures: [
    {
      key: "th",
      name: "Hold time",
      unit: "min",
      resolution: "0.1",
      take: { rule: "crossing", unit: "°C", level: "8", way: "up" },
    },
    { key: "m", name: "Mass", unit: "kg", resolution: "0.1" },
  ],
  constants: [],
  derived: [],
  primary: "th",
  better: "more",
  policy: { school: "best", n: 3, foul: "out" },
  safety: [],
};

let done: () => Promise<void>;
let [boss, mate, other] = [{} as Actor, {} as Actor, {} as Actor];
let w: World;
let versionId: string;
beforeAll(async () => {
  ({ done, boss, mate, other, w } = await openClass());
  const { id } = await ok(saveProtocol, boss, { projectId: w.projectId, name: "Hold", definition: hold });
  versionId = (await protocolsOf(w.projectId)).find((p) => p.id === id)!.versionId;
});
afterAll(() => done());

const open = async (more: object = {}) => {
  const input = {
    id: randomUUID(),
    buildId: w.build,
    protocolVersionId: versionId,
    key: "th",
    source: "logger.csv",
    ...more,
  };
  return (await ok(openSeries, mate, input)).id;
};
/** A rise of a hundredth of a degree a second from 5 °C. */
const block = (number: number, n = 100) => {
  const t = Array.from({ length: n }, (_, i) => number * n + i);
  return {
    number,
    samples: packed(
      t,
      t.map((s) => 5 + s / 100),
    ),
  };
};
const add = (seriesId: string, ...blocks: ReturnType<typeof block>[]) => ({ seriesId, blocks });
const attempt = (seriesId: string, more: object = {}) => ({
  id: randomUUID(),
  buildId: w.build,
  protocolVersionId: versionId,
  readings: { m: "4" },
  seriesIds: [seriesId],
  ...more,
});

test("blocks are added in their order, once each, also when they are sent again", async () => {
  const id = await open();
  expect(await ok(addBlocks, mate, add(id, block(0), block(1)))).toEqual({ samples: 200 });
  expect(await ok(addBlocks, mate, add(id, block(1), block(2)))).toEqual({ samples: 100 });
  expect((await refused(addBlocks, mate, add(id, block(4)))).message).toContain("Block 3 of the series is missing");
  const early = { number: 3, samples: packed([299], [8]) };
  expect((await refused(addBlocks, mate, add(id, early))).message).toContain("299 s does not come after 299 s");
  expect((await refused(addBlocks, mate, add(id, { number: 3, samples: "AAAA" }))).message).toContain("broken");
  expect((await refused(addBlocks, mate, add(id, block(0), { ...block(3, 2001) }))).message).toMatch(/At most|at most/);
  const { t, v } = await samplesOf(id);
  expect([t.length, t[0], t[299], v[299]]).toEqual([300, 0, 299, 5 + 299 / 100]);
});

test("only of a reading that the protocol takes from a series, by the own team", async () => {
  const input = { id: randomUUID(), buildId: w.build, protocolVersionId: versionId, key: "m" };
  expect(await refused(openSeries, mate, input)).toMatchObject({
    fields: { key: expect.stringContaining("takes nothing") },
  });
  await refused(openSeries, other, { ...input, key: "th" });
  const id = await open();
  expect(await ok(openSeries, mate, { ...input, id, key: "th" })).toEqual({ id });
  await refused(addBlocks, other, add(id, block(0)));
});

test("an attempt takes its reading from the series, once; what it took is not withdrawn under it", async () => {
  const id = await open();
  await ok(addBlocks, mate, add(id, block(0), block(1), block(2)));
  expect((await refused(recordRun, mate, attempt(id))).message).toContain("8.000 °C is not reached");
  await ok(addBlocks, mate, add(id, block(3)));
  const first = attempt(id);
  await ok(recordRun, mate, first);
  await ok(recordRun, mate, first);
  expect((await refused(recordRun, mate, attempt(id))).message).toContain("taken from this series already");
  const [run] = await runsOf(w.projectId, { buildIds: [w.build] }).then((all) => all.filter((r) => r.id === first.id));
  expect(run!.readings).toMatchObject({ th: "300", m: "4" });
  expect((await seriesOf({ id }))[0]).toMatchObject({ attempt: run!.attempt, samples: 400, starts: 0, ends: 399 });
  expect((await refused(addBlocks, mate, add(id, block(4)))).message).toContain("nothing is added");
  expect((await refused(withdrawSeries, mate, { id })).message).toContain("set the attempt aside first");
  await ok(voidRun, boss, { id: run!.id, version: run!.version, reason: "lid was open" });
  await ok(withdrawSeries, mate, { id });
});

test("an attempt takes all the readings that an instrument gave at the same time", async () => {
  const two = { ...hold, measures: [hold.measures[0]!, { ...hold.measures[1]!, take: { rule: "peak", unit: "g" } }] };
  const { id: protocolId } = await ok(saveProtocol, boss, { projectId: w.projectId, name: "Two", definition: two });
  const version = (await protocolsOf(w.projectId)).find((p) => p.id === protocolId)!.versionId;
  const capture = randomUUID();
  const first = await open({ protocolVersionId: version, capture });
  const second = await open({ protocolVersionId: version, capture, key: "m" });
  const again = await open({ protocolVersionId: version, key: "m" });
  await ok(addBlocks, mate, add(first, block(0), block(1), block(2), block(3)));
  for (const id of [second, again])
    await ok(addBlocks, mate, add(id, { number: 0, samples: packed([0, 1], [900, 1500]) }));
  expect((await seriesOf({ capture })).map((s) => s.key).sort()).toEqual(["m", "th"]);
  const input = { ...attempt(first, { readings: {}, seriesIds: [first, second, again] }), protocolVersionId: version };
  expect((await refused(recordRun, mate, input)).message).toContain("Two of these series give the same reading");
  await ok(recordRun, mate, { ...input, seriesIds: [second, first] });
  const [run] = (await runsOf(w.projectId, { buildIds: [w.build] })).filter((r) => r.id === input.id);
  expect(run!.readings).toMatchObject({ th: "300", m: "1.5" });
  expect((await seriesOf({ capture })).every((s) => s.runId === input.id)).toBe(true);
});

test("what a simulated instrument gave is a pilot run and never counts", async () => {
  const id = await open({ simulated: true });
  await ok(addBlocks, mate, add(id, block(0), block(1), block(2), block(3)));
  expect((await refused(recordRun, mate, attempt(id))).message).toContain("is a pilot run, and never counts");
  await ok(recordRun, mate, attempt(id, { pilot: true }));
  expect((await seriesOf({ id }))[0]).toMatchObject({ simulated: true, place: "pilot" });
});

test("another part may count, with a reason; the attempt's reading follows it", async () => {
  const id = await open();
  await ok(addBlocks, mate, add(id, block(0), block(1), block(2), block(3)));
  const input = attempt(id);
  await ok(recordRun, mate, input);
  // The series falls back below 8 °C nowhere: in a part that begins above it nothing is crossed.
  const [s] = await seriesOf({ id });
  const part = { id, version: s!.version, from: 310, to: 390, reason: "the door was open before" };
  expect(await refused(chooseSeriesPart, mate, part)).toMatchObject({
    fields: { from: expect.stringContaining("passed already at the start") },
  });
  await ok(chooseSeriesPart, mate, { ...part, from: 250 });
  const { value, working } = await takenOf((await seriesOf({ id }))[0]!);
  expect([value!.value, working.inputs[1]!.label]).toEqual([300, "chosen part"]);
  const [kept] = await seriesOf({ id });
  expect([kept!.fromT, kept!.toT, kept!.reason]).toEqual([250, 390, "the door was open before"]);
  expect((await refused(chooseSeriesPart, mate, { ...part, from: 200 })).kind).toBe("conflict");
  await ok(chooseSeriesPart, mate, { id, version: kept!.version, reason: "all of it after all" });
  expect((await seriesOf({ id }))[0]!.fromT).toBeNull();
  const [reading] = await db()`SELECT value FROM reading WHERE run_id = ${input.id} AND key = 'th'`;
  expect(Number(reading!.value)).toBe(300);
});

test("a curve is thinned to what can be drawn, from the extents of its blocks where they are many", async () => {
  const id = await open();
  for (let i = 0; i < 160; i += 20)
    await ok(addBlocks, mate, add(id, ...Array.from({ length: 20 }, (_, k) => block(i + k, 20))));
  const all = await curveOf(id, { from: 0, to: 3199 });
  expect([all.length, all[0], all.at(-1)!.high]).toEqual([160, { t: 0, low: 5, high: 5.19 }, 5 + 3199 / 100]);
  const near = await curveOf(id, { from: 100, to: 130 });
  expect([near.length, near[0]!.t, near.at(-1)!.t]).toEqual([31, 100, 130]);
});

test("every sample is in the CSV, as it was read", async () => {
  const id = await open({ source: "to travel" });
  await ok(addBlocks, mate, add(id, block(0, 3)));
  expect((await seriesCsv((await seriesOf({ id }))[0]!)).replace("\ufeff", "")).toBe(
    "Time (s),Hold time (°C)\r\n0,5\r\n1,5.01\r\n2,5.02\r\n",
  );
});

test("a series or a pilot run holds its protocol's version, and the form is told before it is saved", async () => {
  const save = (name: string, more: object) => ok(saveProtocol, boss, { projectId: w.projectId, name, ...more });
  const find = async (name: string) => (await protocolsOf(w.projectId)).find((p) => p.name === name)!;
  const changed = { ...hold, policy: { ...hold.policy, n: 5 } };
  for (const name of ["Held by a series", "Held by a pilot"]) {
    await save(name, { definition: hold });
    const p = await find(name);
    expect(await isLeanedOn(p.versionId)).toBe(false);
    if (name.endsWith("series")) await open({ protocolVersionId: p.versionId });
    else
      await ok(recordRun, mate, {
        ...attempt("", { seriesIds: [] }),
        protocolVersionId: p.versionId,
        readings: { th: "5", m: "4" },
        pilot: true,
      });
    expect(await isLeanedOn(p.versionId)).toBe(true);
    const input = { projectId: w.projectId, id: p.id, version: p.version, name, definition: changed };
    expect(await refused(saveProtocol, boss, input)).toMatchObject({ fields: { whatChanged: expect.any(String) } });
    expect((await ok(saveProtocol, boss, { ...input, whatChanged: "Five" })).number).toBe(2);
    await expect(db()`UPDATE protocol_version SET definition = '{}' WHERE id = ${p.versionId}`).rejects.toThrow(
      "frozen",
    );
  }
});
