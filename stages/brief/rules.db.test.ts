import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { adoptStatement } from "@/stages/needs/commands/register";
import { saveRequirement } from "@/stages/needs/commands/requirements";
import { saveStatement } from "@/stages/needs/commands/statements";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { limitWords } from "@/stages/needs/view/requirements";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { adoptRule, linkBriefRule, recordChallenge, saveBrief } from "./commands";
import { briefVersions, challengesOf, rulesOf } from "./queries";

let done: () => Promise<void>;
let boss: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, w } = await openClass());
});
afterAll(() => done());

describe("brief", () => {
  test(
    "a rule with a number finds its requirement; a changed number shows both places; a person's link " +
      "stays with the words",
    async () => {
      await ok(saveBrief, boss, {
        projectId: w.projectId,
        baseNumber: 1,
        body: "## Rules\n\n- Weighs at most **5.0 kg**\n- Costs at most 45",
        whatChanged: "Rules",
      });
      const lines = async () => rulesOf(w.projectId, (await briefVersions(w.projectId))[0]!.body);
      expect((await lines()).map((l) => [l.rule.text, l.requirement?.code ?? null, l.differs])).toEqual([
        ["Weighs at most 5.0 kg", "R-02", null],
        ["Costs at most 45", null, null],
      ]);
      await ok(linkBriefRule, boss, {
        projectId: w.projectId,
        key: (await lines())[0]!.rule.key,
        requirementId: w.mass,
      });
      await ok(saveBrief, boss, {
        projectId: w.projectId,
        baseNumber: 2,
        body: "## Rules\n\n- Weighs at most **4.5 kg**",
        whatChanged: "Lighter",
      });
      expect((await lines()).map((l) => [l.linked, l.differs])).toEqual([
        [true, "the rule says 4.5 kg, the requirement ≤ 5 kg"],
      ]);
    },
  );
  test("rules become requirements at one press each, or none; words decide, not numbers alone", async () => {
    const rules = [
      "At most 70 dB heard at 3 ft",
      "Weighs at most 9 lb",
      "Fits into 18 × 12 × 14 in",
      "Parts cost at most $45",
      "Runs for 20 to 30 min",
      "Made by 4 hands",
    ];
    await ok(saveRequirement, boss, {
      projectId: w.projectId,
      statement: "The hinge stands a yard up",
      kind: "constraint",
      priority: "should",
      comparator: "±",
      target: "36",
      second: "0.5",
      unit: "in",
    });
    const body = `## Rules\n\n${rules.map((r) => `- ${r}`).join("\n")}`;
    await ok(saveBrief, boss, { projectId: w.projectId, baseNumber: 3, body, whatChanged: "US" });
    const lines = () => rulesOf(w.projectId, body);
    // 3 ft are 36 in, and yet nothing else is the same. A limit on mass is known by its words.
    expect((await lines()).map((l) => l.requirement?.code ?? null)).toEqual([null, "R-02", null, null, null, null]);
    for (const l of await lines()) {
      const rule = { projectId: w.projectId, key: l.rule.key };
      if (l.rule.text.startsWith("Made")) await ok(linkBriefRule, boss, { ...rule, none: true });
      else if (!l.rule.text.startsWith("At most 70")) await ok(adoptRule, boss, { ...rule, text: l.rule.text });
    }
    const after = await lines();
    expect(after.map((l) => [l.requirement && limitWords(l.requirement, "$"), l.linked, l.differs])).toEqual([
      [null, false, null],
      ["≤ 9 lb", true, null],
      ["18 × 12 × 14 in", true, null],
      ["≤ 45 $", true, null],
      ["20 to 30 min", true, null],
      [null, true, null],
    ]);
    expect(after.map((l) => l.requirement?.measure ?? null)).toEqual([null, "mass", "envelope", "cost", null, null]);
    const twice = await refused(adoptRule, boss, {
      projectId: w.projectId,
      key: after[1]!.rule.key,
      text: after[1]!.rule.text,
    });
    expect(twice.message).toContain("has its requirement already");
    // The likely one is taken again where the word is taken back.
    await ok(linkBriefRule, boss, { projectId: w.projectId, key: after[5]!.rule.key });
    expect((await lines())[5]!.linked).toBe(false);
  });
  test("a statement becomes a requirement with the limit that it states", async () => {
    const { id } = await ok(saveStatement, boss, { projectId: w.projectId, text: "It weighs at most 9 lb" });
    const { requirementId } = await ok(adoptStatement, boss, { id });
    const r = (await requirementsOf(w.projectId)).find((x) => x.id === requirementId)!;
    expect([limitWords(r, ""), r.measure, r.priority]).toEqual(["≤ 9 lb", "mass", "should"]);
  });
  test("the best try of each group counts in the entry challenge, and equal readings share a place", async () => {
    for (const [who, value] of [
      ["A", "120"],
      ["B", "150"],
      ["A", "150.4"],
      ["C", "90"],
    ])
      await ok(recordChallenge, boss, { id: randomUUID(), challengeId: w.challenge, who, value });
    const [c] = await challengesOf(w.projectId);
    expect(c!.results.filter((r) => r.best).map((r) => [r.who, r.place, r.shared])).toEqual([
      ["B", 1, true],
      ["A", 1, true],
      ["C", 3, false],
    ]);
    expect(
      (
        await refused(recordChallenge, boss, {
          id: randomUUID(),
          challengeId: w.challenge,
          who: "D",
          value: "3 s",
        })
      ).message,
    ).toContain("is a time");
  });
});
