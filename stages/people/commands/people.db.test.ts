import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { actorOf, guestActor } from "@/platform/sign-in/actors";
import { guestCookie, knock } from "@/platform/sign-in/guests";
import { openSession, personOfSession } from "@/platform/sign-in/sessions";
import { createFirstInstructor, signIn } from "@/platform/sign-in/sign-in";
import { recordRun } from "@/stages/bench/commands/runs";
import { runsOf } from "@/stages/bench/queries/runs";
import { publishGrades } from "@/stages/grades/commands/publish";
import { ok, refused } from "@/stages/testing/database";
import type { World } from "@/stages/testing/world";
import { worldEach } from "@/stages/testing/world-each";
import { studentRecord } from "../queries/record";
import { eraseStudent } from "./erase";
import { createGuestLink, revokeGuestLink } from "./guests";
import { giveLogin } from "./logins";

const here = worldEach("Pump");
let boss: Actor;
let w: World;
beforeEach(() => {
  ({ boss, w } = here);
});

describe("people", () => {
  test("sign-in is limited, and says the same of a wrong email as of a wrong password", async () => {
    const wrong = await signIn("mara@hartsedge.example", "no", "a");
    expect(await signIn("nobody@hartsedge.example", "no", "a")).toEqual(wrong);
    expect(await signIn(" MARA@hartsedge.example ", "a long enough password", "a")).toMatchObject({ ok: true });
    // Five are free: none of them waits for the one before.
    const guess = () => signIn("mara@hartsedge.example", "no", "a");
    for (let i = 0; i < 5; i++) expect(await guess()).toEqual(wrong);
    // Sent at once they are counted one by one: the next wait is five minutes, so one is heard of forty, however slow
    // the machine is, and the right one has to wait like the others.
    await db()`UPDATE guess SET n = 20, free_at = clock_timestamp() WHERE key LIKE 'account:mara%'`;
    const guesses = await Promise.all(Array.from({ length: 40 }, guess));
    expect(guesses.filter((g) => !g.ok && !g.message.startsWith("Too many guesses"))).toHaveLength(1);
    expect(await signIn("mara@hartsedge.example", "a long enough password", "a")).toMatchObject({
      ok: false,
      message: expect.stringMatching(/Try again in \d+ second/),
    });
    // Nobody is locked out: after the wait the right password is heard, and the count is forgotten.
    await db()`UPDATE guess SET free_at = clock_timestamp()`;
    expect(await signIn("mara@hartsedge.example", "a long enough password", "a")).toMatchObject({ ok: true });
    expect(await db()`SELECT FROM guess WHERE key LIKE 'account:mara%'`).toHaveLength(0);
    expect(await signIn("mara@hartsedge.example", "x".repeat(40_000_000), "a")).toMatchObject({ ok: false });
    await db()`DELETE FROM guess`;
  });
  test("there is one first instructor; sessions end", async () => {
    expect(
      await createFirstInstructor({ name: "X", email: "x@s.example", password: "a long enough password" }),
    ).toMatchObject({ ok: false });
    const { secret } = await openSession((boss as { id: string }).id);
    expect(await personOfSession(secret)).toBe((boss as { id: string }).id);
    await db()`UPDATE session_token SET expires_at = now() - interval '1 second'`;
    expect(await personOfSession(secret)).toBeNull();
  });
  test("a guest link opens with its PIN only, expires and can be taken back", async () => {
    const { secret, pin } = await ok(createGuestLink, boss, {
      projectId: w.projectId,
      role: "scorer",
      label: "Gym",
      days: 2,
    });
    expect(await knock(secret, null)).toMatchObject({ state: "pin" });
    expect(await knock(secret, "0")).toMatchObject({
      state: "pin",
      message: expect.stringContaining("not the link's PIN"),
    });
    expect(await knock(secret, pin)).toMatchObject({ state: "open" });
    expect((await guestActor(secret)).kind).toBe("nobody");
    const cookie = await guestCookie(secret);
    expect(await guestActor(cookie)).toMatchObject({ kind: "guest", role: "scorer" });
    expect(await knock(secret, null, cookie)).toMatchObject({ state: "open", known: true });
    // Wrong guesses of others make the next guess wait; the device that was let in once is not asked.
    await Promise.all(Array.from({ length: 50 }, (_, i) => knock(secret, String(i))));
    expect(await knock(secret, pin)).toMatchObject({ message: expect.stringContaining("Too many guesses") });
    expect(await knock(secret, null, cookie)).toMatchObject({ state: "open" });
    expect(await guestActor(`${secret}.made-up`)).toEqual({ kind: "nobody" });
    await ok(revokeGuestLink, boss, { id: ((await guestActor(cookie)) as { id: string }).id });
    expect((await guestActor(cookie)).kind).toBe("nobody");
  });
  test("a student's record can be taken out, and erased for good", async () => {
    const [id, name] = [w.students[0]!, w.names[0]!];
    const { password } = await ok(giveLogin, boss, { projectId: w.projectId, personId: id, email: "erased@s.example" });
    expect(await signIn("erased@s.example", password, "b")).toMatchObject({ ok: true });
    await ok(recordRun, await actorOf(id), {
      id: randomUUID(),
      buildId: w.build,
      protocolVersionId: w.versionId,
      readings: { m: "8" },
    });
    expect(await studentRecord(w.projectId, id)).toMatchObject({ person: { name }, memberships: [{ team: "Alder" }] });
    await ok(publishGrades, boss, { projectId: w.projectId }).catch(() => {});
    expect(await refused(eraseStudent, boss, { projectId: w.projectId, personId: id, confirm: "no" })).toMatchObject({
      kind: "invalid",
    });
    await ok(eraseStudent, boss, { projectId: w.projectId, personId: id, confirm: name });
    for (const { table } of await db()<{ table: string }[]>`
      SELECT relname AS table
      FROM pg_class
      JOIN pg_namespace n ON n.oid = relnamespace
      WHERE nspname = 'public' AND relkind = 'r'
    `)
      expect([
        table,
        (await db().unsafe(`SELECT 1 FROM ${table} x WHERE to_jsonb(x)::text LIKE '%${name}%'`)).length,
      ]).toEqual([table, 0]);
    expect((await actorOf(id)).kind).toBe("nobody");
    expect((await runsOf(w.projectId)).length).toBe(2);
  });
});
