// Prints what the heavier computations reach: duplicates on the labelled pairs, the team solver on a large class,
// slots for many teams, fragility on a large matrix.
import { firstPlaces } from "@/core/concepts/fragility";
import { seededRandom } from "@/core/draw/draw";
import { measureDuplicates } from "@/core/needs/duplicates-report";
import { groupAlike, likelyPairs } from "@/core/needs/similarity";
import { planAtOnce } from "@/core/slots/solver";
import { costOf } from "@/core/teams/cost";
import { findArrangement } from "@/core/teams/feasible";
import { compileTeams } from "@/core/teams/problem";
import { solveAtOnce } from "@/core/teams/solver";
import { labelledPairs } from "@/core/testing/labelled-pairs";
import { slotProblem } from "@/core/testing/slot-problems";
import { teamProblem } from "@/core/testing/team-problems";

const timed = <T>(work: () => T): [T, number] => {
  const from = performance.now();
  const r = work();
  return [r, performance.now() - from];
};

const d = measureDuplicates(labelledPairs);
console.log(
  `likely duplicates: ${d.pairs} labelled pairs, precision ${d.precision.toFixed(2)}, recall ${d.recall.toFixed(2)}`,
);
for (const x of d.missed) console.log(`  missed   ${x}`);
for (const x of d.wrong) console.log(`  wrongly  ${x}`);
const many = Array.from(
  { length: 500 },
  (_, i) =>
    `${labelledPairs[i % labelledPairs.length]![i % 2]} ` +
    `${["in the garden", "for the clinic", "every day", "in the van", "at home", "by hand", "with gloves"][i % 7]}`,
);
groupAlike(many);
const [pairs, perPairs] = timed(() => likelyPairs(many).length);
const [groups, perGroups] = timed(() => groupAlike(many).length);
console.log(
  `  500 statements: ${pairs} pairs in ${perPairs.toFixed(0)} ms, ${groups} groups in ${perGroups.toFixed(0)} ms`,
);

const p = teamProblem({ seed: "large", people: 150, teams: 40, wishes: 600, sections: 2, hard: 30 });
const c = compileTeams(p);
const by = findArrangement(c, "any").found!;
const before = costOf(p, Object.fromEntries(p.people.map((x, i) => [x.id, p.teams[by[c.blockOf[i]!]!]!.id]))).all;
const [last, perSolve] = timed(() => solveAtOnce(p, { seed: "1" }));
console.log(
  `team solver: 150 students, 40 teams, 600 wishes in ${(perSolve / 1000).toFixed(2)} s; cost ` +
    `${last.ok ? last.cost.all.toFixed(0) : "none"}, ${(last.ok ? last.cost.all / before : 1).toFixed(2)}` +
    " of an arrangement that only keeps the limits",
);

for (const [days, perDay, rooms] of [
  [5, 12, 1],
  [3, 20, 1],
  [5, 6, 2],
  [1, 60, 1],
] as const) {
  const runs = Array.from({ length: 20 }, (_, i) => {
    const size = { teams: 40, reviewers: 12, days, perDay, rooms, least: rooms === 1 ? 7 : 3 };
    const problem = slotProblem({ seed: `measure ${i}`, ...size, away: 0.05, busy: 1, tight: true });
    return timed(() => planAtOnce(problem));
  });
  const [found, slowest] = [runs.filter(([plan]) => plan.ok), Math.max(...runs.map(([, ms]) => ms))];
  const gaps = found.map(([plan]) => (plan.ok ? plan.gaps : 0));
  const most = Math.max(...gaps);
  console.log(
    `slots: 40 teams, 12 reviewers, ${days * perDay * rooms} slots in ${days} days and ${rooms} ` +
      `${rooms === 1 ? "room" : "rooms"}: ${found.length} of ${runs.length} have a plan, with ${Math.min(...gaps)} ` +
      `to ${most} gaps, the others their reason; slowest ${slowest.toFixed(0)} ms`,
  );
}

const random = seededRandom("matrix");
const list = (n: number) => Array.from({ length: n }, (_, i) => ({ key: `${i}`, name: `${i}`, weight: 1 + random() }));
const input = {
  criteria: list(10),
  options: list(30),
  scores: Array.from({ length: 30 }, () => Array.from({ length: 10 }, () => random() * 10)),
};
const [, perSets] = timed(() => [...firstPlaces(input, 10_000, "1")]);
console.log(`fragility: 10,000 weight sets over 30 concepts and 10 criteria in ${perSets.toFixed(0)} ms, in a worker`);
