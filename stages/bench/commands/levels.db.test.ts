// A test whose result is a level: recorded by name, asked for by a requirement, compared without a mean.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { shelf } from "@/core/run/shelf";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { saveRequirement } from "@/stages/needs/commands/requirements";
import { requirementHistory, requirementsOf } from "@/stages/needs/queries/requirements";
import { projectState } from "@/stages/needs/queries/state";
import { limitWords } from "@/stages/needs/view/requirements";
import { freshDatabase, ok, refused } from "@/stages/testing/database";
import { firstInstructor } from "@/stages/testing/school";
import { statusIn } from "@/stages/testing/status";
import { makeProject, type World } from "@/stages/testing/world";
import { protocolsOf, runsOf } from "../queries/runs";
import { runsTable } from "../runs-table";
import { saveProtocol } from "./protocols";
import { correctRun, recordRun } from "./runs";
import { checkSafety } from "./safety";

let done: () => Promise<void>;
let boss: Actor;
let w: World;
let versionId: string;
let protocolId: string;
beforeAll(async () => {
  done = await freshDatabase();
  const owner = await firstInstructor();
  w = await makeProject(owner, "Drop");
  boss = await actorOf(owner.id);
  const { definition } = shelf.find((t) => t.key === "damage")!;
  ({ id: protocolId } = await ok(saveProtocol, boss, { projectId: w.projectId, name: "Drop", definition }));
  await ok(checkSafety, boss, { projectId: w.projectId, protocolId, cautions: definition.safety });
  versionId = (await protocolsOf(w.projectId)).find((p) => p.id === protocolId)!.versionId;
});
afterAll(() => done());

const attempt = (damage: string, more: object = {}) => ({
  id: randomUUID(),
  buildId: w.build,
  protocolVersionId: versionId,
  readings: { damage, whole: "y", loose: "0" },
  ...more,
});
const drops = async () => (await runsOf(w.projectId, { protocolId })).map((r) => r.readings.damage);

test("a level is taken by its name or its beginning; what is none of them uses nothing up", async () => {
  await ok(recordRun, boss, attempt("Intact"));
  await ok(recordRun, boss, attempt("hair"));
  expect(await refused(recordRun, boss, attempt("bent"))).toMatchObject({
    fields: { "readings.damage": expect.stringContaining("“bent” is none of “intact”, “hairline”") },
  });
  expect(
    await refused(recordRun, boss, attempt("intact", { readings: { damage: "intact", whole: "y", loose: "1.5" } })),
  ).toMatchObject({ fields: { "readings.loose": expect.stringContaining("not a count") } });
  expect(await drops()).toEqual(["0", "1"]);
  const [typed] = await db()`SELECT entered FROM reading WHERE key = 'damage' AND value = 1`;
  expect(typed!.entered).toBe("hair");
});

test("a requirement asks for a level, says so in words, and is met or not without a doubt", async () => {
  const { id } = await ok(saveRequirement, boss, {
    projectId: w.projectId,
    statement: "A drop leaves a hairline at most",
    kind: "constraint",
    priority: "must",
    method: "test",
    measure: `run:${protocolId}:damage`,
    comparator: "≤",
    unit: "1",
    target: "1",
  });
  const row = (await requirementsOf(w.projectId)).find((r) => r.id === id)!;
  expect(limitWords(row, "")).toBe("hairline or before");
  expect((await requirementHistory(id)).map((h) => h.reading?.levels?.[1])).toEqual(["hairline"]);
  await ok(recordRun, boss, attempt("intact"));
  expect(await statusIn(w, id)).toBe("met");
  for (const damage of ["broken", "broken", "broken", "broken"]) await ok(recordRun, boss, attempt(damage));
  expect(await statusIn(w, id)).toBe("not met");
  const state = await projectState(w.projectId);
  const kept = state.summary(w.build as never, protocolId as never, "damage")!;
  expect([kept.n, kept.counted, kept.mean, kept.shown]).toEqual([7, 3, null, "broken"]);
});

test("a correction is typed by name too, and the table for a spreadsheet has names", async () => {
  const [run] = await runsOf(w.projectId, { protocolId });
  await ok(correctRun, boss, {
    id: run!.id,
    version: run!.version,
    readings: { damage: "cracked", whole: "no", loose: "2" },
    conditions: {},
    reason: "looked again",
  });
  expect((await drops())[0]).toBe("2");
  const csv = await runsTable({ id: w.projectId });
  expect(csv).toContain("Damage,Load unharmed,Parts come loose");
  expect(csv).toContain("cracked,no,2");
});

test("saved as it stands, the protocol keeps its version; with another level it gets a new one", async () => {
  const p = (await protocolsOf(w.projectId)).find((x) => x.id === protocolId)!;
  const save = (version: number, definition: object, whatChanged = "") =>
    ok(saveProtocol, boss, { projectId: w.projectId, id: p.id, version, name: p.name, definition, whatChanged });
  expect((await save(p.version, { ...p.definition, steps: [] })).number).toBe(1);
  const measures = p.definition.measures.map((m) => (m.levels ? { ...m, levels: [...m.levels, "gone"] } : m));
  expect((await save(p.version + 1, { ...p.definition, measures }, "It can be gone")).number).toBe(2);
});
