// Who was shown an entry reads that entry alone, signs what was read, and is asked again where it was amended.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { recordRun } from "@/stages/bench/commands/runs";
import { bringBack } from "@/stages/records/commands/withdrawn";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { amendEntry } from "./commands";
import { askCountersign, countersign } from "./countersigned";
import { entriesOf } from "./queries";
import { daysOf, shownTo } from "./queries-day";
import { withdrawCountersign } from "./withdrawals";

let done: () => Promise<void>;
let w: World;
let writer: Actor;
let partner: Actor;
beforeAll(async () => {
  ({ done, w } = await openClass());
  writer = await actorOf(w.students[0]!);
  partner = await actorOf(w.students[1]!);
});
afterAll(() => done());

const shown = () => shownTo(w.projectId, w.students[1]!);
const entry = async () => (await entriesOf(w.projectId, { personId: w.students[0]! }))[0]!;

test("a partner sees the words of what was shown until it is signed, and again when it is amended", async () => {
  expect(await shown()).toMatchObject([{ text: "The seal leaked.", version: 1, number: null }]);
  await ok(countersign, partner, { id: w.sign, number: 1 });
  expect(await shown()).toEqual([]);
  expect((await entry()).signs).toMatchObject([{ number: 1, signedAt: expect.any(String) }]);
  const amended = { id: w.entryOfNotebook, version: 1, text: "The seal leaked at the top.", reason: "more exact" };
  await ok(amendEntry, writer, amended);
  expect(await shown()).toMatchObject([{ text: "The seal leaked at the top.", version: 2, number: 1 }]);
  expect(await refused(countersign, partner, { id: w.sign, number: 1 })).toMatchObject({
    message: expect.stringContaining("amended since you read it"),
  });
  await ok(countersign, partner, { id: w.sign, number: 2 });
});

test("not oneself, not twice the same, not somebody else of the school", async () => {
  const ask = (partnerId: string) => ({ id: randomUUID(), entryId: w.entryOfNotebook, partnerId });
  expect(await refused(askCountersign, writer, ask(w.students[0]!))).toMatchObject({
    fields: { partnerId: "Nobody countersigns an entry of their own." },
  });
  expect(await refused(askCountersign, writer, ask(w.students[1]!))).toMatchObject({
    message: "This entry was shown to that person already.",
  });
  expect(await refused(askCountersign, writer, ask(randomUUID()))).toMatchObject({
    fields: { partnerId: "Choose somebody of the class." },
  });
});

test("taken back, it is shown no more; brought back, the signature stands as it stood", async () => {
  const { withdrawn } = await ok(withdrawCountersign, writer, { id: w.sign });
  expect((await entry()).signs).toEqual([]);
  expect(await refused(countersign, partner, { id: w.sign, number: 2 })).toMatchObject({ kind: "missing" });
  await ok(bringBack, writer, { id: withdrawn });
  expect((await entry()).signs).toMatchObject([{ number: 2 }]);
});

test("what the team recorded on an entry's day stands beside it, and of no other team", async () => {
  const e = await entry();
  await db()`UPDATE notebook_entry SET on_date = app_now()::date WHERE id = ${e.id}`;
  const before = (await daysOf([e.id])).get(e.id)!;
  const run = { protocolVersionId: w.versionId, readings: { m: "8.1" }, conditions: { h: "1.60" } };
  await ok(recordRun, writer, { ...run, id: randomUUID(), buildId: w.build });
  const after = (await daysOf([e.id])).get(e.id)!;
  const runs = (of: typeof after) => of.runs.reduce((n, r) => n + r.n, 0);
  expect(runs(after)).toBe(runs(before) + 1);
  expect(after.runs.every((r) => r.id === w.build)).toBe(true);
  expect(await daysOf([])).toEqual(new Map());
});
