// The slot planner against a mixed-integer program that proves its optimum, or that there is no plan.
import { slotProblem, slotProgram } from "@/core/testing/slot-problems";
import { checkSlots } from "./check";
import { planAtOnce } from "./solver";

type Highs = { solve(lp: string, options?: object): { Status: string; ObjectiveValue: number } };

// All of them with IRONSTONE_PROOFS=all; two of each size otherwise.
const many = process.env.IRONSTONE_PROOFS === "all" ? 175 : 14;

// Where nearly all reviewers are needed at once, somebody has to wait: a tenth of these have gaps.
const sizes = [
  { teams: 12, reviewers: 3, days: 2, perDay: 9, rooms: 1, least: 2 },
  { teams: 14, reviewers: 5, days: 2, perDay: 9, rooms: 1, least: 3 },
  { teams: 16, reviewers: 6, days: 2, perDay: 10, rooms: 1, least: 4 },
  { teams: 8, reviewers: 6, days: 1, perDay: 7, rooms: 2, least: 2 },
  { teams: 12, reviewers: 8, days: 2, perDay: 6, rooms: 2 },
  { teams: 16, reviewers: 8, days: 3, perDay: 7, rooms: 2 },
  { teams: 40, reviewers: 12, days: 5, perDay: 12, rooms: 1, least: 7 },
] as const;
const cases = Array.from({ length: many }, (_, i) => ({ i, ...sizes[i % sizes.length]! }));

describe("against the proven optimum of a mixed-integer program", () => {
  let highs: Highs;
  beforeAll(async () => {
    highs = await require("highs")();
  });
  test.each(cases)(
    "problem $i: $teams teams, $reviewers reviewers, $days days of $perDay times, $rooms rooms",
    ({ i, ...size }) => {
      const p = slotProblem({
        seed: `slots ${i}`,
        ...size,
        busy: 0.3 + (i % 5) / 10,
        away: (i % 4) / 20,
        tight: i % 3 > 0,
      });
      const proof = highs.solve(slotProgram(p));
      const plan = planAtOnce(p);
      if (!plan.ok) return expect(proof.Status).toBe("Infeasible");
      expect(proof.Status).toBe("Optimal");
      expect(checkSlots(p, plan.places)).toMatchObject({ breaches: [], gaps: plan.gaps });
      expect(plan.places.length).toBe(p.teams.length);
      expect(plan.gaps).toBeCloseTo(proof.ObjectiveValue, 6);
    },
  );
});
