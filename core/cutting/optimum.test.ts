// Cut plans against the proven optimum of small problems.
import { cutProblem, cutProgram, leastByEdges } from "@/core/testing/cut-problems";
import { planCutsAtOnce } from "./plan";
import type { CutProblem } from "./problem";

type Highs = { solve(lp: string, options?: object): { Status: string; ObjectiveValue: number } };

// All of them with IRONSTONE_PROOFS=all; fewer otherwise.
const all = process.env.IRONSTONE_PROOFS === "all";
const seeds = (few: number, many: number) => Array.from({ length: all ? many : few }, (_, i) => i);

/** What a plan uses above the optimum, as a share. */
function above(p: CutProblem, optimum: number): number {
  const plan = planCutsAtOnce(p);
  if (!plan.ok) throw new Error(`not placed: ${plan.pieces.join(" ")}`);
  expect(plan.least).toBeLessThanOrEqual(optimum * (1 + 1e-6));
  expect(plan.used).toBeGreaterThanOrEqual(optimum * (1 - 1e-6));
  if (plan.proven) expect(plan.used).toBeCloseTo(optimum, 6);
  return plan.used / optimum - 1;
}

describe("against the optimum of a mixed-integer program", () => {
  let highs: Highs;
  beforeAll(async () => {
    highs = await require("highs")();
  });
  const optimum = (p: CutProblem, most: number) => {
    const proof = highs.solve(cutProgram(p, most));
    expect(proof.Status).toBe("Optimal");
    return proof.ObjectiveValue;
  };

  test.each(seeds(4, 60))("bars, problem %i", (i) => {
    const p = cutProblem({ seed: `bars ${i}`, kind: "bars", pieces: 8 + (i % 6), blanks: 1 + (i % 3), big: 0.55 });
    expect(above(p, optimum(p, 6))).toBeLessThan(0.01);
  });

  test.each(seeds(3, 40))("pieces lying freely on sheets, problem %i", (i) => {
    const p = cutProblem({ seed: `free ${i}`, kind: "sheets", pieces: 4 + (i % 3), blanks: 1 + (i % 2), big: 0.75 });
    expect(above(p, optimum(p, 3))).toBeLessThan(0.01);
  });
});

test.each(seeds(7, 120))("sheets cut from edge to edge, against all divisions, problem %i", (i) => {
  const p = cutProblem({
    seed: `edge ${i}`,
    kind: "sheets",
    way: "edge",
    pieces: 5 + (i % 5),
    blanks: 1 + (i % 3),
    big: 0.5 + 0.1 * (i % 4),
  });
  expect(above(p, leastByEdges(p))).toBeLessThan(0.01);
});
