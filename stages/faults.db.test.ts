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
      .join(" UNION ALL "),
  );

/** Runs a command with a fault at its given query: what it answered, what was asked, and how the school stands. */
async function withFault(name: string, at: number, fault: (query: string) => void, request: string) {
  let query = "";
  const ear = atQuery(at, (q) => {
    query = q;
    fault(q);
  });
  const r = await execute(commands[name]!, boss, table[name]!.input(w), request);
  ear.stop();
  return { r, query, after: query ? await school() : null };
}

test.each(Object.keys(table))(
  "%s",
  async (name) => {
    const before = await school();
    for (let at = 1; ; at++) {
      const request = newId();
      const { r, query, after } = await withFault(name, at, wire.cut, request);
      if (query === "") break;
      if (!r.ok) {
        expect([at, query, after]).toEqual([at, query, before]);
        continue;
      }
      // Not yet begun, so begun anew: it is done, and only once.
      await execute(commands[name]!, boss, table[name]!.input(w), request);
      expect([at, query, await school()]).toEqual([at, query, after]);
      break;
    }
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
