import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { saveSettings } from "@/platform/project/save-settings";
import { saveBuild } from "@/stages/builds/commands/builds";
import { signTool } from "@/stages/shop/commands/tools";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { gatesOf } from "../queries/gates";
import { addGateItem, signGate, signGates, tickGate } from "./gates";

let done: () => Promise<void>;
let boss: Actor;
let mate: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, mate, w } = await openClass());
});
afterAll(() => done());

describe("gates", () => {
  const build = (stage: string) => ({ teamId: w.a, stage, builtOn: "2027-03-01", whatChanged: "x" });
  test(
    "strictness decides: a warning, a refusal with what is missing, or nothing; a signature opens it and " +
      "says what was missing",
    async () => {
      await ok(saveBuild, boss, build("final"));
      await ok(saveSettings, boss, { projectId: w.projectId, gateStrictness: "block" });
      expect((await refused(saveBuild, mate, build("final"))).message).toContain(
        "own drawing (missing from Ada Quill of Front)",
      );
      const { id: early } = await ok(saveBuild, mate, build("mock-up"));
      expect((await refused(saveBuild, mate, { ...build("final"), id: early, version: 1 })).message).toContain(
        "own drawing",
      );
      await ok(tickGate, mate, { itemId: w.gateItem, personId: w.students[0], on: true });
      expect((await refused(tickGate, mate, { itemId: w.gateItem, personId: w.students[1], on: true })).kind).toBe(
        "forbidden",
      );
      expect((await refused(saveBuild, mate, build("final"))).message).toContain("not signed yet");
      await ok(addGateItem, boss, { milestoneId: w.gate, kind: "tool", toolId: w.tool, needs: 1 });
      await ok(signGate, boss, { milestoneId: w.gate, teamId: w.a, on: true });
      await ok(saveBuild, mate, build("final"));
      expect((await gatesOf(w.projectId))[0]!.teams.find((t) => t.id === w.a)!.signed!.missing).toBe(
        "Signed for the drill press: nobody is signed; 1 must be",
      );
      expect((await db()`SELECT FROM milestone_check WHERE milestone_id = ${w.gate} AND team_id = ${w.a}`).length).toBe(
        1,
      );
      await ok(signTool, boss, { toolId: w.tool, personId: w.students[0], on: true });
      expect((await gatesOf(w.projectId))[0]!.teams.find((t) => t.id === w.a)!.states.map((s) => s.met)).toEqual([
        true,
        true,
      ]);
    },
  );
  test("several teams are signed for at once; who is signed keeps the signature", async () => {
    await ok(signGate, boss, { milestoneId: w.gate, teamId: w.a, on: true });
    const signs = async () => (await gatesOf(w.projectId))[0]!.teams.map((t) => [t.name, t.signed?.at ?? null]);
    const [before] = await signs();
    expect(await ok(signGates, boss, { milestoneId: w.gate, teamIds: [w.a, w.b] })).toEqual({ signed: 1 });
    expect(await signs()).toEqual([before, ["Bramble", expect.any(String)]]);
    expect((await refused(signGates, boss, { milestoneId: w.gate, teamIds: [w.a, w.b] })).message).toContain("already");
  });
});
