// A connection that dies at every statement of every command, in turn: no half-write, no wrong answer, nothing twice.
import postgres from "postgres";
import type { Actor } from "@/core/access/can";
import { execute } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { commands } from "@/stages/commands";
import { tables } from "@/stages/tables";
import { freshDatabase } from "@/stages/testing/database";
import { table } from "@/stages/testing/matrix";
import { firstInstructor } from "@/stages/testing/school";
import { atQuery, openWire } from "@/stages/testing/wire";
import { makeProject, type World } from "@/stages/testing/world";

let done: () => Promise<void>;
let wire: Awaited<ReturnType<typeof openWire>>;
let aside: postgres.Sql;
let boss: Actor;
let w: World;

beforeAll(async () => {
  done = await freshDatabase();
  aside = postgres(process.env.DATABASE_URL!, { max: 1, onnotice: () => {} });
  wire = await openWire();
  process.env.DATABASE_URL = wire.url;
  const first = await firstInstructor();
  w = await makeProject(first, "Pump");
  boss = await actorOf(first.id);
  jest.spyOn(console, "error").mockImplementation(() => {});
});
afterAll(async () => {
  jest.restoreAllMocks();
  await aside.end();
  await done();
  await wire.close();
});

/** Every row of every table of the school, as one figure a table. */
const school = async () =>
  aside.unsafe(
    tables
      .map(
        (t) => `SELECT '${t.name}' AS t, count(*)::int AS n, sum(hashtextextended(x::text, 0)) AS h FROM ${t.name} x`,
      )
      .join(" UNION ALL ")
      // Large unions are read in parallel, in no order.
      .concat(" ORDER BY t"),
    [],
    { prepare: true },
  );

/** Runs a command and cuts the wire at its given query: what it answered, and what was asked. */
async function withCut(name: string, at: number, request: string) {
  let query = "";
  const ear = atQuery(at, (q) => {
    query = q;
    wire.cut();
  });
  const r = await execute(commands[name]!, boss, table[name]!.input(w), request);
  ear.stop();
  return { r, query };
}

// Each statement of each command with IRONSTONE_FAULTS=all, in some minutes; otherwise every 96th, beginning at
// another one with each command.
const stride = process.env.IRONSTONE_FAULTS === "all" ? 1 : 96;

test.each(Object.keys(table).map((name, i) => [name, 2 + (i % stride)] as const))(
  "%s",
  async (name, from) => {
    const before = await school();
    for (let at = from; ; at += stride) {
      const { r, query } = await withCut(name, at, newId());
      if (query === "") break;
      if (!r.ok) {
        expect([at, query, await school()]).toEqual([at, query, before]);
        continue;
      }
      // What is read before the transaction is read again, and a transaction that has not begun is begun anew.
      expect([at, query]).toEqual([at, expect.stringMatching(/^\s*(SELECT|begin)/)]);
      break;
    }
    const request = newId();
    const { r } = await withCut(name, 1, request);
    if (!r.ok) return;
    const after = await school();
    const again = await execute(commands[name]!, boss, table[name]!.input(w), request);
    expect([again.ok || !!commands[name]!.shownOnce, await school()]).toEqual([true, after]);
  },
  60_000,
);

test("an answer to COMMIT that is lost is asked for: what stands is called saved", async () => {
  const request = newId();
  const input = { projectId: w.projectId, name: "Late", sectionId: w.section };
  for (let at = 1; ; at++) {
    const before = await school();
    let found = false;
    const ear = atQuery(at, (q) => {
      found = q === "commit";
      if (found) wire.loseAnswer();
    });
    const r = await execute(commands.createTeam!, boss, { ...input, name: `Late ${at}` }, newId());
    ear.stop();
    expect(r).toMatchObject({ ok: true });
    expect(await school()).not.toEqual(before);
    if (found) break;
    expect(ear.count()).toBeGreaterThanOrEqual(at);
  }
  // Where no request was named nobody can tell, and that is what is said.
  const ear = atQuery(0, () => {});
  (globalThis as unknown as { ironstoneHeard: (q: string) => void }).ironstoneHeard = (q) => {
    if (q === "commit") wire.loseAnswer();
  };
  expect(await execute(commands.createTeam!, boss, { ...input, name: "Later" })).toMatchObject({ kind: "unknown" });
  ear.stop();
  expect(await execute(commands.createTeam!, boss, { ...input, name: "Last" }, request)).toMatchObject({ ok: true });
});

test("a request that was given up is refused when it arrives late", async () => {
  const { outcomeOf } = await import("@/platform/command/outcome");
  const request = newId();
  const input = { projectId: w.projectId, name: "Given up", sectionId: w.section };
  expect(await outcomeOf(request, (boss as { id: string }).id)).toBe("not saved");
  expect(await execute(commands.createTeam!, boss, input, request)).toMatchObject({ ok: false, kind: "refused" });
  const other = newId();
  expect(await execute(commands.createTeam!, boss, input, other)).toMatchObject({ ok: true });
  expect(await outcomeOf(other, (boss as { id: string }).id)).toBe("saved");
  expect(await outcomeOf(other, newId())).toBe("unknown");
});

test("a read whose connection is lost is read again", async () => {
  const { db } = await import("@/platform/db/db");
  for (let i = 0; i < 3; i++) {
    const ear = atQuery(1, () => wire.cut());
    expect(await db()`SELECT 7 AS n`).toEqual([{ n: 7 }]);
    ear.stop();
  }
  const ear = atQuery(1, () => wire.cut());
  await expect(db()`INSERT INTO guess (key, n) VALUES ('x', 1)`).rejects.toThrow();
  ear.stop();
  expect(await aside`SELECT FROM guess`).toHaveLength(0);
});
