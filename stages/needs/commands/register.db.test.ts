import type { Actor } from "@/core/access/can";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { changesOf, volatilityOf } from "../queries/register";
import { requirementsOf } from "../queries/requirements";
import { registerTable } from "../queries/table";
import { traceOf } from "../queries/trace";
import { clashesOf } from "../view/register";
import { adoptStatement, decideChange, makeBaseline } from "./register";
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
      "≤ 4.5 kg and ≥ 6 kg cannot both hold",
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
});
