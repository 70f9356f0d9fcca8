import type { Actor } from "@/core/access/can";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { changesOf, volatilityOf } from "../queries/register";
import { requirementsOf } from "../queries/requirements";
import { registerTable } from "../queries/table";
import { traceOf } from "../queries/trace";
import { clashesOf } from "../view/register";
import { changeRequirements } from "./many";
import { adoptStatement, askChange, decideChange, makeBaseline } from "./register";
import { saveRequirement } from "./requirements";
import { linkStatement } from "./statements";
import { importRequirements } from "./table";

let done: () => Promise<void>;
let boss: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, w } = await openClass());
});
afterAll(() => done());

describe("the register", () => {
  test("a statement becomes a requirement and is traced back to the words, and on to builds and verdicts", async () => {
    const { requirementId, code } = await ok(adoptStatement, boss, { id: w.statement });
    expect((await requirementsOf(w.projectId)).find((r) => r.id === requirementId)).toMatchObject({
      code,
      source: "Interview 1: “I carry it up the steps.”",
    });
    expect((await traceOf(requirementId)).statements[0]!.notes.map((n) => n.text)).toEqual([
      "I carry it up the steps.",
    ]);
    await ok(linkStatement, boss, { id: w.statement2, requirementId: w.flow });
    const t = await traceOf(w.flow);
    expect([t.statements.length, t.builds.map((b) => [b.label, b.runs])]).toEqual([1, [["Alder G1", 1]]]);
    expect((await refused(adoptStatement, boss, { id: w.statement })).message).toContain("already");
  });
  test("after the baseline a change of a limit is counted and leaves a change request; wording does not", async () => {
    await ok(makeBaseline, boss, { projectId: w.projectId, note: "Odile" });
    const r = (await requirementsOf(w.projectId)).find((x) => x.id === w.mass)!;
    const input = {
      projectId: w.projectId,
      id: r.id,
      kind: r.kind,
      priority: r.priority,
      measure: "mass",
      comparator: "≤",
      unit: "kg",
      method: "inspection",
    };
    await ok(saveRequirement, boss, {
      ...input,
      version: r.rowVersion,
      statement: "At most five kilograms",
      target: "5",
    });
    await ok(saveRequirement, boss, {
      ...input,
      version: r.rowVersion + 1,
      statement: "At most five kilograms",
      target: "4.5",
      reason: "The steps",
    });
    expect((await changesOf(w.projectId)).filter((c) => c.state === "accepted").map((c) => [c.what, c.reason])).toEqual(
      [["R-02: ≤ 5 kg becomes ≤ 4.5 kg", "The steps"]],
    );
    expect((await volatilityOf(w.projectId, "2099-01-01")).changes).toBe(2);
    // A request that was accepted is carried out by the edit that follows; no second one is made.
    const wish = { projectId: w.projectId, requirementId: w.mass, what: "4.6 kg", reason: "The handle" };
    const { id } = await ok(askChange, boss, wish);
    await ok(decideChange, boss, { id, version: 1, state: "accepted", decision: "Yes" });
    await ok(saveRequirement, boss, {
      ...input,
      version: r.rowVersion + 2,
      statement: "At most five kilograms",
      target: "4.6",
      reason: "The handle",
    });
    const accepted = (await changesOf(w.projectId)).filter((c) => c.state === "accepted");
    expect(accepted.map((c) => [c.what, c.requirementVersion])).toEqual(
      expect.arrayContaining([
        ["4.6 kg", 4],
        ["R-02: ≤ 5 kg becomes ≤ 4.5 kg", 3],
      ]),
    );
    expect(accepted).toHaveLength(2);
    await ok(decideChange, boss, { id: w.change, version: 1, state: "declined", decision: "The steps stay" });
    expect(
      (await refused(decideChange, boss, { id: w.change, version: 1, state: "accepted", decision: "x" })).kind,
    ).toBe("conflict");
  });
  test("limits that cannot both hold are found", async () => {
    await ok(saveRequirement, boss, {
      projectId: w.projectId,
      statement: "Heavy enough to stand",
      kind: "constraint",
      priority: "should",
      measure: "mass",
      comparator: "≥",
      unit: "kg",
      target: "6",
      method: "inspection",
    });
    expect(clashesOf(await requirementsOf(w.projectId)).map((c) => c.why)).toEqual([
      "≤ 4.6 kg and ≥ 6 kg cannot both hold",
    ]);
  });
  test(
    "the register goes out as a table and comes in again unchanged; wrong rows are named and nothing is " + "written",
    async () => {
      const rows = await registerTable(w.projectId);
      const text = rows.map((r) => r.map((c) => `"${String(c ?? "").replaceAll('"', '""')}"`).join(",")).join("\n");
      const same = await ok(importRequirements, boss, { projectId: w.projectId, text, commit: true });
      expect([same.written, same.lines.map((l) => [l.does, l.problem]).filter(([d]) => d !== "same")]).toEqual([0, []]);
      const before = (await requirementsOf(w.projectId)).length;
      const bad = await ok(importRequirements, boss, {
        projectId: w.projectId,
        commit: true,
        text:
          "Code,Statement,Priority,Comparator,Target,Unit,Verified by\nR-99,Ghost,must,,,,test\n,Stands on " +
          "grass,should,,,,\n,Holds,should,≥,five,kg,test",
      });
      expect(bad.lines.map((l) => [l.line, l.does])).toEqual([
        [2, "wrong"],
        [3, "adds"],
        [4, "wrong"],
      ]);
      expect([bad.written, (await requirementsOf(w.projectId)).length]).toEqual([0, before]);
      const good = await ok(importRequirements, boss, {
        projectId: w.projectId,
        commit: true,
        text: "Statement,Priority\nStands on grass,should",
      });
      expect([good.written, (await requirementsOf(w.projectId)).length]).toEqual([1, before + 1]);
    },
  );
  test("an envelope goes out with its sides and comes in again, changed where it was changed", async () => {
    const envelope = {
      projectId: w.projectId,
      statement: "Fits the cupboard",
      kind: "constraint",
      priority: "must",
      measure: "envelope",
      comparator: "fits",
      sides: "18 × 12.5 × 14 in",
      method: "inspection",
    };
    const { code } = await ok(saveRequirement, boss, envelope);
    const [head, ...rows] = await registerTable(w.projectId);
    const mine = rows.find((r) => r[0] === code)!;
    const at = head!.indexOf("Envelope");
    expect(mine[at]).toBe("457.2 × 317.5 × 355.6 mm");
    const send = (sides: string) => {
      const line = mine.map((x, i) => (i === at ? sides : x));
      const text = [head!, line].map((r) => r.map((x) => `"${x}"`).join(",")).join("\n");
      return ok(importRequirements, boss, { projectId: w.projectId, text, commit: true });
    };
    expect((await send("45.72 × 31.75 × 35.56 cm")).lines[0]!.does).toBe("same");
    expect((await send("18 × 12 × 14")).lines[0]!.does).toBe("changes");
    expect((await send("18 × 12 cm")).lines[0]).toMatchObject({ does: "wrong" });
    expect((await send("18 × 12 × 14 cm")).written).toBe(1);
    const now = (await requirementsOf(w.projectId)).find((r) => r.code === code)!;
    expect(now.sides!.map(Number)).toEqual([0.18, 0.12, 0.14]);
  });
  test("several are changed at once, or none: priority, who looks after them, retired with one reason", async () => {
    const state = async () =>
      (await requirementsOf(w.projectId))
        .filter((r) => ids.includes(r.id))
        .map((r) => [r.priority, r.ownerId, r.target && Number(r.target)]);
    const ids = [w.mass, w.flow];
    const ownerId = (boss as { id: string }).id;
    const before = await state();
    const input = { projectId: w.projectId, ids };
    await ok(changeRequirements, boss, { ...input, change: "priority", priority: "could" });
    await ok(changeRequirements, boss, { ...input, change: "owner", ownerId });
    expect(await state()).toEqual(before.map(([, , target]) => ["could", ownerId, target]));
    // One of them cannot become a must: then none does.
    const { id } = await ok(saveRequirement, boss, {
      projectId: w.projectId,
      statement: "Looks kept",
      kind: "criterion",
      priority: "should",
    });
    const must = { ...input, ids: [...ids, id], change: "priority", priority: "must" };
    expect((await refused(changeRequirements, boss, must)).message).toContain("A must needs a way to verify it");
    expect((await state()).map(([p]) => p)).toEqual(["could", "could"]);
    expect(await refused(changeRequirements, boss, { ...input, change: "retire" })).toMatchObject({
      fields: { reason: "Say why they no longer hold." },
    });
    await ok(changeRequirements, boss, { ...input, change: "retire", reason: "Another client" });
    expect(await state()).toEqual([]);
  });
});
