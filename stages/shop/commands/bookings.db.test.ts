import { randomUUID } from "node:crypto";
import { db } from "@/platform/db/db";
import { saveSettings } from "@/platform/project/save-settings";
import { markPiece, savePiece } from "@/stages/builds/commands/pieces";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import { bookingAsked, sharedMachine } from "@/stages/testing/world-shop";
import { bookingById, bookingsOf } from "../queries/bookings";
import { askBooking, editBooking, endBooking, placeBooking, planQueue, startBooking } from "./bookings";
import { checkMachine } from "./safety";
import { saveTool, signTool } from "./tools";

let at: Awaited<ReturnType<typeof openClass>>;
let machine: string;
let member: string;

beforeAll(async () => {
  at = await openClass();
  const [m] = await db()<{ id: string }[]>`SELECT person_id AS id FROM membership WHERE team_id = ${at.w.a}`;
  member = m!.id;
});
beforeEach(async () => {
  machine = (await ok(saveTool, at.boss, { ...sharedMachine, projectId: at.w.projectId, name: `Saw ${randomUUID()}` }))
    .id;
});
afterAll(() => at.done());

const ask = async (more: object = {}, who = at.mate) =>
  (await ok(askBooking, who, { ...bookingAsked, id: randomUUID(), toolId: machine, teamId: at.w.a, ...more })).id;
const read = async (id: string) => (await bookingById(id))!;
const train = (on = true) => ok(signTool, at.boss, { toolId: machine, personId: member, on });
const check = () =>
  ok(checkMachine, at.mate, { id: randomUUID(), toolId: machine, lines: ["Guard down", "Stop tried"] });
const start = async (id: string, who = at.boss) => ok(startBooking, who, { id, version: (await read(id)).version });

test("nobody is named who is not trained, by default; where the project warns it is said and allowed", async () => {
  const untrained = await refused(askBooking, at.mate, {
    ...bookingAsked,
    id: randomUUID(),
    toolId: machine,
    teamId: at.w.a,
    operatorId: member,
  });
  expect(untrained).toMatchObject({ fields: { operatorId: expect.stringContaining("is not trained") } });
  await ok(saveSettings, at.boss, { projectId: at.w.projectId, trainingStrictness: "warn" });
  await ask({ operatorId: member });
  await ok(saveSettings, at.boss, { projectId: at.w.projectId, trainingStrictness: "block" });
  await train();
  await ask({ operatorId: member });
  // Its months are over by the day on which it is needed.
  const late = { ...bookingAsked, toolId: machine, teamId: at.w.a, operatorId: member, needBy: "2027-09-03" };
  const over = await refused(askBooking, at.mate, { ...late, id: randomUUID() });
  expect(over.message).toContain("is over by then");
  await ok(askBooking, at.mate, { ...late, id: randomUUID(), needBy: "2027-09-02" });
});

test("what cannot be is refused where it was typed: a past day, a stranger, a machine that is not shared", async () => {
  const typed = { ...bookingAsked, toolId: machine, teamId: at.w.a };
  const past = await refused(askBooking, at.mate, { ...typed, id: randomUUID(), needBy: "2027-03-01" });
  expect(past).toMatchObject({ fields: { needBy: expect.stringContaining("is over") } });
  const [other] = await db()<{ id: string }[]>`SELECT person_id AS id FROM membership WHERE team_id = ${at.w.b}`;
  const strange = { ...typed, id: randomUUID(), operatorId: other?.id ?? at.w.students.at(-1) };
  expect((await refused(askBooking, at.mate, strange)).kind).toBe("missing");
  await db()`UPDATE tool SET shared = false WHERE id = ${machine}`;
  expect((await refused(askBooking, at.mate, { ...typed, id: randomUUID() })).message).toContain("is not shared");
});

test("asked for twice with one id it is one booking", async () => {
  const id = randomUUID();
  await ask({ id });
  await ask({ id, what: "Again" });
  expect(await bookingsOf(machine, "2027-03-02", "2027-12-31")).toMatchObject([{ id, what: "Frames" }]);
});

test("all who wait get the first session with room; nothing overlaps; who is late is counted", async () => {
  const first = await ask({ minutes: 30, needBy: "2027-03-03" });
  const second = await ask({ minutes: 30, needBy: "2027-03-02" });
  await ask({ minutes: 60, needBy: "2027-03-02" });
  const answer = await ok(planQueue, at.boss, { toolId: machine });
  expect(answer).toMatchObject({ placed: 2, without: 1 });
  const [a, b] = [await read(first), await read(second)];
  expect(b.onDate! <= a.onDate!).toBe(true);
  expect([b.starts, a.onDate === b.onDate]).toEqual([0, false]);
  expect(await ok(planQueue, at.boss, { toolId: machine })).toMatchObject({ placed: 0, without: 1 });
});

test("by hand it goes where there is room only, and can be taken off again", async () => {
  const [one, two] = [await ask({ minutes: 20 }), await ask({ minutes: 20 })];
  await ok(planQueue, at.boss, { toolId: machine });
  const stands = await read(one);
  const time = [stands.sectionId, stands.onDate, stands.period].join(" ");
  const move = async (id: string, starts: number, when = time) =>
    ({ id, version: (await read(id)).version, time: when, starts }) as const;
  const taken = await refused(placeBooking, at.boss, await move(two, stands.starts! + 10));
  expect(taken).toMatchObject({ fields: { starts: expect.stringContaining("Somebody else") } });
  const beyond = await refused(placeBooking, at.boss, await move(two, 31));
  expect(beyond).toMatchObject({ fields: { starts: expect.stringContaining("50 minutes") } });
  expect((await refused(placeBooking, at.boss, await move(two, 0, "nowhere"))).kind).toBe("invalid");
  await ok(placeBooking, at.boss, await move(two, 0, ""));
  expect(await read(two)).toMatchObject({ onDate: null, starts: null, sectionId: null });
  await ok(placeBooking, at.boss, await move(two, 30));
  expect(await read(two)).toMatchObject({ onDate: stands.onDate, starts: 30 });
  expect((await refused(placeBooking, at.boss, { id: two, version: 1, time: "", starts: 0 })).kind).toBe("conflict");
});

test("two at one minute are refused by the database itself", async () => {
  const [one, two] = [await ask(), await ask()];
  await ok(planQueue, at.boss, { toolId: machine });
  await expect(
    db()`
      UPDATE booking b
      SET on_date = o.on_date, period = o.period, starts = o.starts, section_id = o.section_id
      FROM booking o
      WHERE b.id = ${two} AND o.id = ${one}
    `,
  ).rejects.toThrow("booking_once_at_a_time");
});

test("a longer one that no longer fits waits again", async () => {
  const [one, two] = [await ask({ minutes: 20 }), await ask({ minutes: 20 })];
  await ok(planQueue, at.boss, { toolId: machine });
  const edit = (id: string, minutes: number, version: number) =>
    ok(editBooking, at.mate, { ...bookingAsked, id, version, minutes });
  expect(await edit(one, 20, 2)).toEqual({ waits: false });
  expect(await edit(one, 25, 3)).toEqual({ waits: true });
  expect(await read(one)).toMatchObject({ onDate: null, minutes: 25 });
  expect(await edit(two, 30, 2)).toEqual({ waits: false });
});

test("it begins when the machine was looked at and who stands there is trained", async () => {
  await train();
  const id = await ask({ operatorId: member });
  await ok(planQueue, at.boss, { toolId: machine });
  const begin = async (who = at.mate) => refused(startBooking, who, { id, version: (await read(id)).version });
  expect((await begin()).message).toContain("was not looked at today");
  await check();
  await train(false);
  expect((await begin()).message).toContain("is not trained");
  await db()`
    INSERT INTO tool_sign_off (tool_id, person_id, project_id, signed_on, signed_by, expires_on)
    VALUES (${machine}, ${member}, ${at.w.projectId}, '2026-01-01', 'Mara', '2027-03-01')
  `;
  expect((await begin()).message).toContain("is over");
  await train();
  await start(id, at.mate);
  expect((await begin()).message).toContain("has begun already");
  const second = await ask({ operatorId: member });
  const busy = await refused(startBooking, at.boss, { id: second, version: 1 });
  expect(busy.message).toContain("is at the machine (Frames)");
});

test("where the project warns an instructor may begin all the same, a student may not", async () => {
  await ok(saveSettings, at.boss, { projectId: at.w.projectId, trainingStrictness: "warn" });
  const id = await ask();
  await refused(startBooking, at.mate, { id, version: 1 });
  await start(id, at.boss);
  await ok(saveSettings, at.boss, { projectId: at.w.projectId, trainingStrictness: "block" });
  expect((await read(id)).startedBy).not.toBeNull();
});

test("what can be cut once only begins after its release; without a piece an instructor begins it", async () => {
  await train();
  await check();
  const piece = await ok(savePiece, at.mate, {
    buildId: at.w.build,
    name: `Cover ${randomUUID().slice(0, 4)}`,
    oneChance: true,
    material: "the last sheet",
    nominal: "300 mm",
  });
  const id = await ask({ operatorId: member, pieceId: piece.id });
  expect(await read(id)).toMatchObject({ once: true, piece: { once: true, released: false } });
  expect((await refused(startBooking, at.boss, { id, version: 1 })).message).toContain("is not released yet");
  await ok(markPiece, at.mate, { id: piece.id, step: "drawn", on: true });
  await ok(markPiece, at.boss, { id: piece.id, step: "checked", on: true });
  await ok(markPiece, at.mate, { id: piece.id, step: "trial", on: true });
  await db()`INSERT INTO piece_step (piece_id, step, done_by) VALUES (${piece.id}, 'released', 'Mara')`;
  await start(id, at.mate);
  await ok(endBooking, at.mate, { id, version: 2, used: 25, outcome: "done" });
  const loose = await ask({ operatorId: member, once: true });
  expect((await refused(startBooking, at.mate, { id: loose, version: 1 })).message).toContain("let your instructor");
  await start(loose, at.boss);
});

test("its end says how long it took; that can be corrected, and is no second end", async () => {
  await train();
  await check();
  const id = await ask({ operatorId: member });
  expect((await refused(endBooking, at.mate, { id, version: 1, used: 5, outcome: "done" })).message).toContain(
    "has not begun",
  );
  await start(id, at.mate);
  await ok(endBooking, at.mate, { id, version: 2, used: 25, outcome: "not finished", seen: "Blade dull" });
  const ended = (await read(id)).endedAt;
  await ok(endBooking, at.mate, { id, version: 3, used: 28, outcome: "done" });
  expect(await read(id)).toMatchObject({ usedMinutes: 28, outcome: "done", endedAt: ended });
  expect((await refused(editBooking, at.mate, { ...bookingAsked, id, version: 4 })).message).toContain("has begun");
});
