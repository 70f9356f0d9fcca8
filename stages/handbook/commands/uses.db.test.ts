import { randomUUID } from "node:crypto";
import { db } from "@/platform/db/db";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import { calculation } from "@/stages/testing/world";
import { aboutOf, targetsOf, useOf, usesOf } from "../queries/uses";
import { toldUse } from "../view/handbook";
import { withdrawUse } from "../withdrawals";
import { attachUse, changeUse } from "./uses";

let at: Awaited<ReturnType<typeof openClass>>;
beforeAll(async () => {
  at = await openClass();
});
afterAll(() => at.done());

const told = async () => (await usesOf(at.w.projectId, { build: at.w.build })).map((u) => toldUse("/p/x", u));

test("a calculation stays with its build: inputs as typed, computed when it is read", async () => {
  const [use] = await told();
  expect(use).toMatchObject({ name: "Lever", target: "Alder G1" });
  expect(use!.results[1]).toEqual({ name: "force at the load", text: "160.0", unit: "N" });
  expect(use!.inputs).toBe("F1 = 40 N, a = 60 cm, b = 150 mm, s1 = 300 mm");
  expect(use!.working!.steps.join("\n")).toContain("40 × 4 = 160.00 N");
  expect(use!.href).toContain(`use=${at.w.use}`);
});

test("sent twice it is one; a correction keeps what was before, and a stale one is told", async () => {
  const id = randomUUID();
  const twice = { ...calculation, id, kind: "requirement", targetId: at.w.flow, note: "handle force" };
  await ok(attachUse, at.boss, twice);
  await ok(attachUse, at.boss, twice);
  expect(await usesOf(at.w.projectId, { requirement: at.w.flow })).toHaveLength(1);
  const change = { id, version: 1, units: "metric", inputs: { F1: "80" }, note: "two hands" };
  await ok(changeUse, at.boss, change);
  expect((await useOf(at.w.projectId, id))!.inputs).toEqual({ F1: "80" });
  expect((await refused(changeUse, at.boss, { ...change, inputs: { F1: "90" } })).kind).toBe("conflict");
  const [audit] = await db()<{ before: { note: string } }[]>`SELECT before FROM audit WHERE act = 'changeUse'`;
  expect(audit!.before.note).toBe("handle force");
  await ok(withdrawUse, at.boss, { id });
  expect(await usesOf(at.w.projectId, { requirement: at.w.flow })).toEqual([]);
});

test("what comes to nothing is not kept, with what is wrong", async () => {
  const wrong = { ...calculation, id: randomUUID(), kind: "build", targetId: at.w.build };
  expect((await refused(attachUse, at.mate, { ...wrong, inputs: { a: "3 kg" } })).message).toContain(
    "Lever: “kg” is a mass; this field takes a length",
  );
  expect((await refused(attachUse, at.mate, { ...wrong, calculator: "toString" })).message).toContain(
    "The handbook has no such calculator.",
  );
  expect((await refused(attachUse, at.mate, { ...wrong, inputs: ["1"] })).kind).toBe("invalid");
});

test("a student keeps things with the own team's builds and the own notebook alone", async () => {
  const mine = (at.mate as { id: string }).id;
  const offered = await targetsOf(at.w.projectId, mine, at.w.a, false);
  expect(offered.map((t) => [t.kind, t.label])).toEqual([
    ["build", "Alder G1"],
    ["entry", expect.stringMatching(/^\d{4}-/)],
  ]);
  const kept = { ...calculation, kind: "entry", targetId: at.w.entryOfNotebook };
  await ok(attachUse, at.mate, { ...kept, id: randomUUID() });
  expect((await refused(attachUse, at.other, { ...kept, id: randomUUID() })).kind).toBe("forbidden");
  expect(await usesOf(at.w.projectId, { entries: [at.w.entryOfNotebook] })).toHaveLength(1);
  const all = await targetsOf(at.w.projectId, (at.boss as { id: string }).id, null, true);
  expect(new Set(all.map((t) => t.kind))).toEqual(new Set(["build", "protocol", "requirement"]));
});

test("a page is about its words: a mass limit's requirement by its unit, a protocol by its name", async () => {
  expect((await aboutOf(at.w.projectId, "requirement", at.w.mass))!.words).toContain("at most kg");
  expect(await aboutOf(at.w.projectId, "protocol", at.w.protocol)).toMatchObject({ words: "Lift test", team: null });
  expect(await aboutOf(at.w.projectId, "build", at.w.build)).toMatchObject({ team: at.w.a });
  expect(await aboutOf(at.w.projectId, "build", "nothing")).toBeNull();
});
