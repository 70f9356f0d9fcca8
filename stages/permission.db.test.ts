import { randomUUID } from "node:crypto";
import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { type Actor, can } from "@/core/access/can";
import { execute } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { projectActs, schoolActs } from "@/platform/project/acts";
import { actorOf } from "@/platform/sign-in/actors";
import { boxedCommands } from "@/stages/boxed";
import { commands } from "@/stages/commands";
import { addCoInstructor } from "@/stages/people/commands/guests";
import { freshDatabase, ok } from "@/stages/testing/database";
import { roles, table } from "@/stages/testing/matrix";
import type { Role } from "@/stages/testing/role";
import { firstInstructor } from "@/stages/testing/school";
import { makeProject, type World } from "@/stages/testing/world";

let done: () => Promise<void>;

let home: World;

let foreign: World;

const actors = new Map<Role, Actor>();

beforeAll(async () => {
  done = await freshDatabase();
  const owner = await firstInstructor();
  home = await makeProject(owner, "Home");
  await ok(addCoInstructor, await actorOf(owner.id), { projectId: home.projectId, name: "Co", email: "co@s.example" });
  const outsider = randomUUID();
  await db()`INSERT INTO person (id, name, email, instructor) VALUES (${outsider}, 'Out', 'out@s.example', true)`;
  foreign = await makeProject(await actorOf(outsider), "Foreign");
  const [co] = await db()<{ id: string }[]>`SELECT id FROM person WHERE email = 'co@s.example'`;
  actors
    .set("owner", await actorOf(owner.id))
    .set("co", await actorOf(co!.id))
    .set("teammate", await actorOf(home.students[0]!))
    .set("other team", await actorOf(home.students[1]!))
    .set("stranger", await actorOf(foreign.students[0]!))
    .set("outside instructor", await actorOf(outsider))
    .set("nobody", { kind: "nobody" });
  for (const role of ["client", "reviewer", "judge", "scorer", "board"] as const)
    actors.set(role, { kind: "guest", id: randomUUID(), name: role, role, project: home.projectId });
});

afterAll(() => done());

test("the table names every command, and no other", () =>
  expect(Object.keys(table).sort()).toEqual(Object.keys(commands).sort()));

/** Whether a command would be permitted: the transaction is rolled back by a trap after the permission check. */
async function permitted(name: string, role: Role, input: object): Promise<boolean | "missing"> {
  const trap = new Error("trap");
  const cmd = commands[name]!;
  const log = jest.spyOn(console, "error").mockImplementation(() => {});
  const r = await execute({ ...cmd, prepare: undefined, run: () => Promise.reject(trap) }, actors.get(role)!, input);
  log.mockRestore();
  if (r.ok) throw new Error("the trap did not hold");
  if (r.kind === "invalid") throw new Error(`${name}: the test's input is not valid: ${r.message}`);
  return r.kind === "missing" ? "missing" : r.kind !== "forbidden";
}

// Their subjects are tried by the journeys that make them.
const missing = new Set([
  "removePhoto",
  "removeRunPhoto",
  "voidAttempt",
  "settleAttempt",
  "revokeGuestLink",
  "removeChallengeResult",
  "removeSketch",
  "withdrawFinding",
  "withdrawSheet",
  "liftHalt",
  "endCall",
  "withdrawInspection",
  "takeBackPublication",
  "fileAppeal",
  "answerAppeal",
  "withdrawAllowedPart",
  "bringBack",
  "purgeWithdrawn",
]);

for (const [name, { input, may }] of Object.entries(table)) {
  test(`${name}: ${may.join(", ") || "nobody, of what does not exist"}`, async () => {
    for (const role of roles) {
      const answer = await permitted(name, role, input(home));
      if (missing.has(name)) expect(answer).toBe("missing");
      else expect([role, answer]).toEqual([role, may.includes(role)]);
    }
    // On the foreign project only its own instructor may, except where no project is touched.
    if (
      ["createProject", "createFromTemplate", "changePassword", "endSessions", "nameHead"].includes(name) ||
      missing.has(name)
    )
      return;
    for (const role of roles) {
      if (role === "stranger" || role === "outside instructor") continue;
      expect([role, await permitted(name, role, input(foreign))]).toEqual([role, false]);
    }
  });
}

test.each([
  [projectActs.import, ["owner", "co", "outside instructor"]],
  [schoolActs.keep, ["owner"]],
] as const)("$0.name, which stands behind the uploads of bundles and backups", (act, may) => {
  for (const role of roles)
    expect([role, can(actors.get(role)!, act, {})]).toEqual([role, (may as readonly Role[]).includes(role)]);
});

test("a student cannot mix an own team with somebody else's record", async () => {
  const mate = actors.get("teammate")!;
  expect(
    (
      await execute(commands.saveBuild!, mate, {
        teamId: home.a,
        id: home.otherBuild,
        version: 1,
        stage: "mock-up",
        builtOn: "2027-02-21",
        whatChanged: "x",
      })
    ).ok,
  ).toBe(false);
  expect(
    (
      await execute(commands.recordRun!, mate, {
        id: randomUUID(),
        buildId: home.build,
        protocolVersionId: foreign.versionId,
        readings: { m: "8" },
      })
    ).ok,
  ).toBe(false);
  expect(
    (
      await execute(commands.saveBuild!, mate, {
        teamId: home.a,
        stage: "mock-up",
        builtOn: "2027-02-21",
        whatChanged: "x",
        parentIds: [foreign.build],
      })
    ).ok,
  ).toBe(false);
});

test("every server action wraps one known command, or is one of the few that are their own", () => {
  const folders = ["stages", "frame"].flatMap((top) =>
    readdirSync(join(process.cwd(), top)).map((name) => join(process.cwd(), top, name)),
  );
  const alone = new Set([
    "signInAction",
    "welcomeAction",
    "personaAction",
    "guestPinAction",
    "signOutAction",
    "changePasswordAction",
    "endSessionsAction",
    "importBundleAction",
    "restoreSchoolAction",
    "problemAction",
    "tryProtocolAction",
  ]);
  // What a page keeps in its box is sent by an address of its own.
  const wrapped = new Set<string>(Object.values(boxedCommands).map((c) => c.name));
  for (const dir of folders) {
    const file = join(dir, "actions.ts");
    if (!existsSync(file)) continue;
    const source = readFileSync(file, "utf8");
    for (const [, name] of source.matchAll(/export async function (\w+)/g)) expect(alone).toContain(name);
    for (const [, name] of source.matchAll(/ perform\((\w+),/g)) wrapped.add(name!);
    for (const [, action, name] of source.matchAll(/export const (\w+) = action\((?:\w+\.)?(\w+)/g)) {
      expect([action, Object.keys(commands)]).toEqual([action, expect.arrayContaining([name])]);
      wrapped.add(name!);
    }
  }
  expect([...wrapped].sort()).toEqual(Object.keys(commands).sort());
});
