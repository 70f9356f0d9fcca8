import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { linkBriefRule, recordChallenge, saveBrief } from "./commands";
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
