import { seededRandom } from "../draw/draw";
import { type TeamProblem, usualWeights } from "../teams/problem";

/**
 * A made-up class for tests and benchmarks: people with skills, marked groups, ideas, wishes and last teammates, and
 * some hard constraints that can be kept.
 * @example teamProblem({ seed: "1", people: 12, teams: 4, wishes: 12 }).people.length // => 12
 */
export function teamProblem({
  seed,
  people: n,
  teams: T,
  wishes,
  sections = 1,
  hard = 4,
  ideas = true,
}: {
  seed: string;
  people: number;
  teams: number;
  wishes: number;
  sections?: number;
  hard?: number;
  ideas?: boolean;
}): TeamProblem {
  const random = seededRandom(seed);
  const pick = (k: number) => Math.floor(random() * k);
  const section = (i: number) => (sections === 1 ? null : String(i % sections));
  // Who sits where in an arrangement that keeps every constraint: constraints are drawn so that this one holds.
  const home = (i: number) =>
    sections === 1 ? i % T : (i % sections) + sections * (Math.floor(i / sections) % Math.floor(T / sections));
  const size = Array.from(
    { length: T },
    (_, t) => Array.from({ length: n }, (__, i) => home(i)).filter((h) => h === t).length,
  );
  const people = Array.from({ length: n }, (_, i) => ({
    id: `p${i}`,
    name: `P${i}`,
    section: section(i),
    skills: [1 + pick(5)],
    groups: random() < 0.35 ? ["marked"] : [],
    ideas: ideas ? [...new Set([pick(T), pick(T), pick(T)])].map((t) => `i${t}`) : [],
    wishes: [] as string[],
    last: random() < 0.3 ? [`p${pick(n)}`] : [],
  }));
  for (let w = 0; w < wishes; w++) {
    const [a, b] = [pick(n), pick(n)];
    if (a !== b && !people[a]!.wishes.includes(`p${b}`)) people[a]!.wishes.push(`p${b}`);
  }
  const [apart, together, locks, forbidden]: [
    string[][],
    string[][],
    { person: string; team: string }[],
    { person: string; team: string }[],
  ] = [[], [], [], []];
  for (let k = 0; k < hard; k++) {
    const [a, b] = [pick(n), pick(n)];
    if (a === b) continue;
    if (home(a) !== home(b)) apart.push([`p${a}`, `p${b}`]);
    else together.push([`p${a}`, `p${b}`]);
    if (k % 3 === 0) locks.push({ person: `p${a}`, team: `t${home(a)}` });
    if (k % 2 === 0 && home(b) !== 0) forbidden.push({ person: `p${b}`, team: "t0" });
  }
  return {
    people,
    teams: Array.from({ length: T }, (_, t) => ({
      id: `t${t}`,
      name: `T${t}`,
      min: Math.max(1, size[t]! - 1),
      max: size[t]! + 1,
      section: sections === 1 ? null : String(t % sections),
      idea: ideas ? `i${t}` : null,
    })),
    skills: ["making"],
    apart,
    together,
    locks,
    forbidden,
    weights: usualWeights,
  };
}
