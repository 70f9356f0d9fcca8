// Attempts with care: two who score the same one, two readers, what is charged, targets, and what a foul had reached.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { execute } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { ok } from "@/stages/testing/database";
import { inspected } from "@/stages/testing/inspected";
import type { World } from "@/stages/testing/world";
import { worldEach } from "@/stages/testing/world-each";
import { eventsOf, withAttempts } from "../queries/events";
import { fieldRows } from "../view/field";
import { scoreAttempt, settleAttempt, voidAttempt } from "./attempts";
import { confirmEvent, saveEvent } from "./events";

const here = worldEach("Care");
let boss: Actor;
let w: World;
beforeEach(async () => {
  ({ boss, w } = here);
  await inspected(boss, w.build);
});

const event = async (id = w.event) => (await eventsOf(w.projectId)).find((e) => e.id === id)!;
const row = async () => {
  const e = await event();
  return fieldRows(await withAttempts(e)).find((r) => r.id === w.entry)!;
};
const score = (m: string, nth?: number, more: object = {}, id: string = randomUUID()) =>
  execute(scoreAttempt, boss, { id, entryId: w.entry, state: "valid", readings: { m }, nth, ...more });

describe("an attempt that two people scored", () => {
  test("differently: both are kept, one counts, and either of them is made to stand", async () => {
    await score("8.4", 1);
    const id = randomUUID();
    expect(await score("8.6", 1, {}, id)).toEqual({ ok: true, value: { attempt: 2, twice: "differs" } });
    expect(await score("8.6", 1, {}, id)).toMatchObject({ value: { attempt: 2, twice: "differs" } });
    await score("8.2", 2);
    let now = await row();
    expect(now).toMatchObject({ live: 2, last: 3 });
    expect(now.twice.map((t) => [t.first.text, t.second.text])).toEqual([["8.40 kg", "8.60 kg"]]);
    const { version } = await event();
    expect(await execute(confirmEvent, boss, { id: w.event, version })).toMatchObject({
      ok: false,
      message: expect.stringContaining("Alder were scored by two people"),
    });
    const choice = { id, version: now.twice[0]!.second.version, keep: "second" };
    await ok(settleAttempt, boss, choice);
    expect(await execute(settleAttempt, boss, choice)).toMatchObject({
      ok: false,
      message: "Somebody has chosen already.",
    });
    now = await row();
    expect(now.twice).toEqual([]);
    // It takes the place of the first one: the order of the attempts stays.
    expect(now.attempts.filter((a) => a.state !== "void").map((a) => [a.number, a.text])).toEqual([
      [1, "8.60 kg"],
      [3, "8.20 kg"],
    ]);
    expect((await event()).standings[0]!.attempts.map((a) => a.text)).toEqual(["8.6", "8.2"]);
  });
  test("one of them a foul: both say what they are", async () => {
    await score("8.4", 1);
    await score("", 1, { state: "foul", readings: {} });
    const [both] = (await row()).twice;
    expect([both!.first.text, both!.second.text]).toEqual(["8.40 kg", "foul"]);
  });
  test("alike: nothing is asked, and it counts once", async () => {
    await score("8.4", 1);
    expect(await score("8.40", 1)).toMatchObject({ value: { twice: "alike" } });
    expect(await row()).toMatchObject({ live: 1, twice: [] });
  });
  test("but which are two: the second becomes one more, as long as there is one left", async () => {
    await score("8.4", 1);
    const ids = [randomUUID(), randomUUID(), randomUUID()] as const;
    for (const [i, id] of ids.entries()) await score(String(8.5 + i / 10), 1, {}, id);
    const both = (id: string) => execute(settleAttempt, boss, { id, version: 1, keep: "both" });
    expect([await both(ids[0]), await both(ids[1])]).toMatchObject([{ ok: true }, { ok: true }]);
    expect(await both(ids[2])).toMatchObject({ ok: false, message: expect.stringContaining("all 3 attempts") });
    await ok(settleAttempt, boss, { id: ids[2], version: 1, keep: "first" });
    expect(await row()).toMatchObject({ live: 3, twice: [] });
  });
  test("one that was set aside meanwhile has no rival any more: its second takes its place", async () => {
    const first = randomUUID();
    await score("8.4", 1, {}, first);
    const id = randomUUID();
    await score("8.6", 1, {}, id);
    await ok(voidAttempt, boss, { id: first, version: 1, reason: "wrong team" });
    await ok(settleAttempt, boss, { id, version: 1, keep: "second" });
    expect((await event()).standings[0]!.attempts.map((a) => a.text)).toEqual(["8.6"]);
  });
});

describe("an event that measures with care", () => {
  const careful = async (more: object) => {
    const [p] = await db()<{ id: string }[]>`SELECT id FROM protocol WHERE project_id = ${w.projectId}`;
    const rules = { better: "less", school: "best", n: 3, foul: "out", ranking: "competition" };
    const { id } = await ok(saveEvent, boss, {
      projectId: w.projectId,
      name: "Exact fill",
      protocolId: p!.id,
      channel: "m",
      ...rules,
      ties: "resolution",
      resolution: "0.01",
      tieBreaks: [],
      seed: "1",
      ...more,
    });
    const [entry] = await db()<{ id: string }[]>`
      SELECT n.id FROM entry n JOIN team t ON t.id = n.team_id WHERE n.event_id = ${id} AND t.name = 'Alder'
    `;
    const attempt = (m: string, also: object = {}) =>
      execute(scoreAttempt, boss, { id: randomUUID(), entryId: entry!.id, state: "valid", readings: { m }, ...also });
    return { id, attempt, standing: async () => (await event(id)).standings.find((s) => s.name === "Alder")! };
  };
  test("ranks the distance from a target, worsened by penalties, and shows both", async () => {
    const e = await careful({ target: "2.00", penalties: "Spilt: 0.05\nTouched: 0.1" });
    await e.attempt("1.90", { penalties: [{ key: "spilt", count: 2, reason: "at the rim" }] });
    await e.attempt("2.12");
    expect((await e.standing()).attempts.map((a) => a.text)).toEqual(["1.90 (0.20 with penalties)", "2.12 (+0.12)"]);
    expect(await e.standing()).toMatchObject({ shown: "0.12", place: 1 });
    expect((await e.standing()).working.steps).toContain("attempt 1: |1.9 − 2.00| + 2 × 0.05 (Spilt) = 0.2");
    expect(await e.attempt("2", { penalties: [{ key: "late", count: 1 }] })).toMatchObject({ ok: false });
  });
  test("takes the mean of two readers, and asks once where they are apart", async () => {
    const e = await careful({ care: "mean" });
    expect(await e.attempt("2.00")).toMatchObject({ ok: false, message: expect.stringContaining("is missing") });
    const apart = { seconds: { m: "2.30" } };
    expect(await e.attempt("2.00", apart)).toMatchObject({
      ok: false,
      message: expect.stringContaining("further apart than 0.05 kg"),
      fields: { sure: expect.any(String) },
    });
    expect(await e.attempt("2.00", { ...apart, sure: true })).toMatchObject({ ok: true });
    expect((await e.standing()).shown).toBe("2.15");
    expect(await db()`SELECT entered, second_entered FROM reading WHERE second IS NOT NULL`).toEqual([
      { entered: "2.00", secondEntered: "2.30" },
    ]);
  });
  test("counts what a foul had reached where it left the course, and nothing where nothing was read", async () => {
    const e = await careful({ better: "more", foul: "where" });
    expect(await e.attempt("1.20", { state: "foul" })).toMatchObject({ ok: true });
    expect(await e.attempt("", { state: "no_finish", readings: {} })).toMatchObject({ ok: true });
    expect((await e.standing()).attempts.map((a) => a.text)).toEqual(["foul at 1.20", "no finish"]);
    expect(await e.standing()).toMatchObject({ shown: "1.20", place: 1 });
  });
  test("refuses rules that do not go together", async () => {
    const refused = (more: object) =>
      careful(more).then(
        () => "",
        (e: Error) => e.message,
      );
    expect(await refused({ target: "2", better: "more" })).toContain("less is better");
    expect(await refused({ penalties: "Spilt" })).toContain("write a name, a colon and a number");
    const rule = { kind: "target", target: "3", points: "100", perStep: "1", step: "0.1", floor: "0" };
    expect(await refused({ target: "2", points: rule })).toContain("aims at 3, the event at 2");
  });
});
