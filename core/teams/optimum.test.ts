// The team solver against a mixed-integer program that proves its optimum.
import { broken, program } from "@/core/testing/linear-program";
import { teamProblem } from "@/core/testing/team-problems";
import { solveAtOnce } from "./solver";

const sizes = [
  [8, 3, 8],
  [9, 3, 12],
  [10, 3, 10],
  [12, 4, 12],
  [12, 3, 18],
  [14, 4, 14],
  [15, 5, 12],
  [16, 4, 16],
  [18, 5, 14],
  [18, 6, 18],
  [20, 5, 16],
  [20, 6, 20],
  [21, 7, 16],
  [22, 6, 16],
  [24, 8, 18],
  [24, 6, 14],
  [26, 8, 16],
  [28, 8, 14],
  [30, 8, 14],
  [30, 10, 16],
  [10, 4, 20],
  [16, 5, 24],
] as const;

type Highs = { solve(lp: string, options?: object): { Status: string; ObjectiveValue: number } };

// Every one with IRONSTONE_PROOFS=all, in a minute and a half; every twentieth one otherwise.
const stride = process.env.IRONSTONE_PROOFS === "all" ? 1 : 20;

describe("against the proven optimum of a mixed-integer program", () => {
  let highs: Highs;
  beforeAll(async () => {
    highs = await require("highs")();
  });
  test.each(sizes.map((s, i) => [i, ...s] as const).filter(([i]) => i % stride === 0))(
    "instance %i: %i people, %i teams, %i wishes",
    (i, people, teams, wishes) => {
      const p = teamProblem({
        seed: `proven ${i}`,
        people,
        teams,
        wishes,
        sections: i % 5 === 4 && teams % 2 === 0 ? 2 : 1,
        hard: 3 + (i % 4),
      });
      const proof = highs.solve(program(p), { mip_rel_gap: 0.0005 });
      expect(proof.Status).toBe("Optimal");
      const s = solveAtOnce(p, { seed: "1" });
      expect(s.ok).toBe(true);
      if (!s.ok) return;
      expect(broken(p, s.assignment)).toEqual([]);
      expect(s.cost.all).toBeGreaterThanOrEqual(proof.ObjectiveValue * 0.9994 - 1e-6);
      expect(s.cost.all).toBeLessThanOrEqual(proof.ObjectiveValue * 1.01 + 1e-6);
    },
    120_000,
  );
});
