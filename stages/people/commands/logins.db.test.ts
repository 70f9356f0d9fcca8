// Logins for a class, one's own password, and who may no longer come in.
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { openSession, personOfSession } from "@/platform/sign-in/sessions";
import { signIn } from "@/platform/sign-in/sign-in";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import { makeProject, type World } from "@/stages/testing/world";
import { sessionsOf } from "../queries/account";
import { addCoInstructor } from "./guests";
import { changePassword, endSessions, giveLogin, giveLogins, removeStaff, resetInstructor } from "./logins";
import { importRoster } from "./roster";

let done: () => Promise<void>;
let boss: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, w } = await openClass());
});
beforeEach(() => db()`DELETE FROM guess`);
afterAll(() => done());

const id = (actor: Actor) => (actor as { id: string }).id;

test("everybody of a section gets a login at once; each opens, and a second press makes none anew", async () => {
  const names = ["Łucja Ångström", "Lucja Angstrom", "O'Hara Çelik-Şen", "王芳", "Ana María de la Cruz"];
  await ok(importRoster, boss, { projectId: w.projectId, rows: names.map((name) => ({ name, section: "3" })) });
  const { slips } = await ok(giveLogins, boss, { projectId: w.projectId, sectionId: w.section });
  expect(slips.map((s) => [s.name, s.signIn])).toEqual(
    expect.arrayContaining([
      ["Łucja Ångström", expect.stringMatching(/^lucja\.angstrom2?$/)],
      ["Lucja Angstrom", expect.stringMatching(/^lucja\.angstrom2?$/)],
      ["O'Hara Çelik-Şen", "ohara.celik-sen"],
      ["王芳", "student"],
      ["Ana María de la Cruz", "ana.cruz"],
    ]),
  );
  expect(slips).toHaveLength(names.length + w.students.length);
  expect(new Set(slips.map((s) => s.signIn)).size).toBe(slips.length);
  expect(new Set(slips.map((s) => s.password)).size).toBe(slips.length);
  for (const s of slips) {
    expect(s.password).toMatch(/^[a-z2-9]{4}-[a-z2-9]{4}-[a-z2-9]{4}$/);
    expect(await signIn(s.signIn.toUpperCase(), s.password, "b")).toMatchObject({ ok: true });
  }
  expect(await refused(giveLogins, boss, { projectId: w.projectId })).toMatchObject({ kind: "refused" });
});

test("two people who press at once do not give two passwords to one student", async () => {
  await ok(importRoster, boss, { projectId: w.projectId, rows: [{ name: "Late Comer", section: "3" }] });
  const { execute } = await import("@/platform/command/command");
  const both = await Promise.all([1, 2].map(() => execute(giveLogins, boss, { projectId: w.projectId })));
  const slips = both.flatMap((r) => (r.ok ? r.value.slips : []));
  expect(slips).toHaveLength(1);
  expect(await signIn(slips[0]!.signIn, slips[0]!.password, "b")).toMatchObject({ ok: true });
});

test("a new password ends the old one; name and email may be set with it, and a taken name is said", async () => {
  const [a, b] = w.students as [string, string];
  const first = await ok(giveLogin, boss, { projectId: w.projectId, personId: a, loginName: "Ada.Q" });
  const second = await ok(giveLogin, boss, { projectId: w.projectId, personId: a, email: "ada@s.example" });
  expect([first.signIn, second.signIn]).toEqual(["ada.q", "ada.q"]);
  expect(await signIn("ada.q", first.password, "c")).toMatchObject({ ok: false });
  for (const name of ["ada.q", "ada@s.example"])
    expect(await signIn(name, second.password, "c")).toMatchObject({ ok: true, personId: a });
  expect(await refused(giveLogin, boss, { projectId: w.projectId, personId: b, loginName: "ada.q" })).toMatchObject({
    message: expect.stringContaining("belongs to somebody else"),
  });
  expect(await refused(giveLogin, boss, { projectId: w.projectId, personId: b, loginName: "two words" })).toMatchObject(
    { kind: "invalid" },
  );
});

test("one's own password is changed with the old one; other devices are signed out, this one stays", async () => {
  const me = await actorOf(w.students[1]!);
  const { password, signIn: name } = await ok(giveLogin, boss, { projectId: w.projectId, personId: id(me) });
  const [here, there, third] = [await openSession(id(me)), await openSession(id(me)), await openSession(id(me))];
  const keep = (await sessionsOf(id(me))).at(-1)!.hash;
  expect(await refused(changePassword, me, { current: "wrong", password: "a sentence of mine", keep })).toMatchObject({
    fields: { current: expect.any(String) },
  });
  expect(await refused(changePassword, me, { current: password, password: "short", keep })).toMatchObject({
    kind: "invalid",
  });
  await ok(endSessions, me, { keep, one: (await sessionsOf(id(me)))[0]!.hash });
  expect((await sessionsOf(id(me))).map((s) => s.hash)).toContain(keep);
  expect(await sessionsOf(id(me))).toHaveLength(2);
  await ok(changePassword, me, { current: password, password: "a sentence of mine", keep });
  expect(await sessionsOf(id(me))).toHaveLength(1);
  expect(await signIn(name, "a sentence of mine", "d")).toMatchObject({ ok: true });
  const open = await Promise.all([here, there, third].map((s) => personOfSession(s.secret)));
  expect(open.filter(Boolean)).toEqual([id(me)]);
});

test("a co-instructor gets a new password from the owner where it opens no more, and leaves", async () => {
  const co = { projectId: w.projectId, name: "Cora Ash", email: "cora@s.example" };
  await ok(addCoInstructor, boss, co);
  const [{ id: personId }] = (await db()`SELECT id FROM person WHERE email = ${co.email}`) as [{ id: string }];
  const { password } = await ok(resetInstructor, boss, { projectId: w.projectId, personId });
  expect(await signIn(co.email, password, "e")).toMatchObject({ ok: true });
  const session = await openSession(personId);
  await makeProject(await actorOf(personId), "Her own");
  expect(await refused(resetInstructor, boss, { projectId: w.projectId, personId })).toMatchObject({
    message: expect.stringContaining("projects of their own"),
  });
  await ok(removeStaff, boss, { projectId: w.projectId, personId });
  const left = (await actorOf((await personOfSession(session.secret))!)) as { projects: Record<string, unknown> };
  expect(left.projects[w.projectId]).toBeUndefined();
  expect(await refused(removeStaff, boss, { projectId: w.projectId, personId: id(boss) })).toMatchObject({
    kind: "missing",
  });
});
