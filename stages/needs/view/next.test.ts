import type { Verdict } from "@/core/vocabulary/needs";
import { aBuild, aRequirement, aState, aTeam } from "@/stages/testing/rows";
import { nextToTest } from "./next";

const requirements = [
  aRequirement("R-01", { priority: "should" }),
  aRequirement("R-02", { priority: "must" }),
  aRequirement("R-03", { priority: "must", measure: "run:p1:Q" } as never),
  aRequirement("R-04", { priority: "must", measure: "mass" } as never),
  aRequirement("R-05", { priority: "must" }),
];
const state = (verdicts: Record<string, Verdict>) => {
  const facts = aState({ requirements, teams: [aTeam("Alder"), aTeam("Birch")], builds: [aBuild("Alder", 1)] });
  return { ...facts, verdict: (r: string) => verdicts[r] ?? ("met" as const) };
};

test("musts before the rest, what is stale first, tests before looks; and where each is done", () => {
  const all = { "R-01": "stale", "R-02": "untested", "R-03": "untested", "R-04": "stale", "R-05": "marginal" } as const;
  expect(nextToTest(state(all))).toEqual([
    {
      team: "Alder",
      next: [
        { code: "R-04", words: "stale", path: "/builds/Alder G1/edit" },
        { code: "R-03", words: "untested", path: "/bench?protocol=p1&build=Alder G1" },
        { code: "R-02", words: "untested", path: "/needs/inspection" },
      ],
      more: 2,
    },
  ]);
});

test("what is met, failed or does not apply asks for no test", () => {
  expect(nextToTest(state({ "R-02": "not met", "R-03": "not applicable" }))).toEqual([
    { team: "Alder", next: [], more: 0 },
  ]);
});
