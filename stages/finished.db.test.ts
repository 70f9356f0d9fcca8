// A finished project is a record: every command but a few is refused in it, and a reason opens it again.
import type { Actor } from "@/core/access/can";
import { execute } from "@/platform/command/command";
import { commands } from "@/stages/commands";
import { finishProject, reopenProject } from "@/stages/records/commands/editions";
import { ok, refused } from "@/stages/testing/database";
import { table } from "@/stages/testing/matrix";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";

let done: () => Promise<void>;
let boss: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, w } = await openClass());
  await ok(finishProject, boss, { projectId: w.projectId });
});
afterAll(() => done());

const open = [
  "archiveProject",
  "changePassword",
  "createEdition",
  "createFromTemplate",
  "createGuestLink",
  "createProject",
  "deleteProject",
  "endEnrolment",
  "endSessions",
  "eraseStudent",
  "giveHonours",
  "giveLogin",
  "giveLogins",
  "lendArtefact",
  "moveGuideStep",
  "nameHead",
  "removeStaff",
  "resetInstructor",
  "returnArtefact",
  "saveArtefact",
  "saveGuide",
  "saveGuideStep",
  "saveHonour",
  "scrapArtefact",
];

test("what may be done in it is listed, and all else is refused", async () => {
  const refusedWords = /was finished on .* takes no changes/;
  const through: string[] = [];
  for (const name of Object.keys(table).filter((n) => n !== "reopenProject")) {
    const trap = { ...commands[name]!, prepare: undefined, run: () => Promise.reject(new Error("trap")) };
    const log = jest.spyOn(console, "error").mockImplementation(() => {});
    const r = await execute(trap, boss, table[name]!.input(w));
    log.mockRestore();
    if (r.ok || r.kind === "missing" || r.kind === "forbidden") continue;
    if (!refusedWords.test(r.message)) through.push(name);
  }
  expect(through.sort()).toEqual(open);
});

test("it is opened again for a reason, which the record keeps", async () => {
  expect(await refused(reopenProject, boss, { projectId: w.projectId, reason: " " })).toMatchObject({
    kind: "invalid",
  });
  await ok(reopenProject, boss, { projectId: w.projectId, reason: "A run is missing" });
  expect(await refused(reopenProject, boss, { projectId: w.projectId, reason: "again" })).toMatchObject({
    message: "The project is not finished.",
  });
});
