import { type Assignment, costOf } from "./cost";
import { type HardConstraint, hardConstraints, type SolverWeights, type TeamProblem } from "./problem";

export interface SolverReport {
  readonly students: readonly {
    id: string;
    name: string;
    team: string /** 1 for the first choice; null where no idea was named, 0 for one that was not on the list. */;
    choice: number | null;
    wishes: number;
    met: number;
    notes: string[];
  }[];
  readonly constraints: readonly { text: string; held: boolean }[];
  readonly soft: readonly { kind: keyof SolverWeights; text: string; cost: number }[];
  readonly teams: readonly { id: string; name: string; size: number; skills: number[]; lone: string[] }[];
}

const ordinal = (n: number) => (n === 1 ? "first" : n === 2 ? "second" : n === 3 ? "third" : `${n}th`);

/**
 * An arrangement explained: for every student the choice got, wishes met and why not more; for every constraint whether
 * it holds; for every kind of wish what is left of it.
 * @example
 * reportTeams(
 *   {
 *     people: [
 *       { id: "a", name: "Ada", section: null, skills: [], groups: [], ideas: ["x"], wishes: [], last: [] },
 *     ],
 *     teams: [{ id: "t", name: "T", min: 1, max: 2, section: null, idea: "x" }],
 *     skills: [],
 *     apart: [],
 *     together: [],
 *     locks: [],
 *     forbidden: [],
 *     weights: usualWeights,
 *   },
 *   { a: "t" },
 * ).students[0].choice
 * // => 1
 */
export function reportTeams(p: TeamProblem, assignment: Assignment): SolverReport {
  const byId = new Map(p.people.map((x) => [x.id, x]));
  const teamById = new Map(p.teams.map((t) => [t.id, t]));
  const members = (t: string) => p.people.filter((x) => assignment[x.id] === t);
  const cost = costOf(p, assignment);
  const holds = (c: HardConstraint, a: Assignment): boolean => {
    const known = (g: readonly string[]) => g.filter((x) => byId.has(x));
    const teamsOf = (g: readonly string[]) => new Set(known(g).map((x) => a[x])).size;
    const size = (t: string) => p.people.reduce((n, x) => n + (a[x.id] === t ? 1 : 0), 0);
    switch (c.kind) {
      case "min":
        return p.teams.every((t) => size(t.id) >= t.min);
      case "max":
        return p.teams.every((t) => size(t.id) <= t.max);
      case "section":
        return p.people.every((x) => {
          const t = teamById.get(a[x.id]!);
          return !t || t.section === null || x.section === t.section;
        });
      case "apart":
        return teamsOf(p.apart[c.index]!) === known(p.apart[c.index]!).length;
      case "together":
        return teamsOf(p.together[c.index]!) <= 1;
      case "lock":
        return a[p.locks[c.index]!.person] === p.locks[c.index]!.team;
      case "forbidden":
        return a[p.forbidden[c.index]!.person] !== p.forbidden[c.index]!.team;
    }
  };
  const all = hardConstraints(p);
  const legal = (a: Assignment) => all.every((c) => holds(c, a));
  /** Why somebody does not sit in a team: what stands against it, or what the best exchange would cost the rest. */
  const why = (x: string, t: string): string => {
    const lock = p.locks.find((l) => l.person === x);
    if (lock) return "has a locked seat";
    const team = teamById.get(t)!;
    if (team.section !== null && byId.get(x)!.section !== team.section) return `${team.name} is of another section`;
    if (p.forbidden.some((l) => l.person === x && l.team === t)) return `is not to be in ${team.name}`;
    const foe = p.apart.find((g) => g.includes(x) && g.some((o) => o !== x && assignment[o] === t));
    if (foe)
      return `is kept apart from ${foe
        .filter((o) => o !== x && assignment[o] === t)
        .map((o) => byId.get(o)?.name)
        .join(" and ")} of ${team.name}`;
    let [least, partner]: [number, string | null] = [Number.POSITIVE_INFINITY, null];
    // Whoever is kept together with x comes along, in exchange for nobody or for as many of the other team.
    const along = [...new Set([x, ...p.together.filter((g) => g.includes(x)).flat()])].filter(
      (o) => assignment[o] === assignment[x],
    );
    const there = members(t).map((m) => m.id);
    const sets = (n: number, from: number): string[][] =>
      n === 0 ? [[]] : there.slice(from).flatMap((o, i) => sets(n - 1, from + i + 1).map((rest) => [o, ...rest]));
    for (const back of [[], ...sets(Math.min(along.length, 3), 0)]) {
      const tried = {
        ...assignment,
        ...Object.fromEntries(along.map((o) => [o, t])),
        ...Object.fromEntries(back.map((o) => [o, assignment[x]!])),
      };
      if (!legal(tried)) continue;
      const change = costOf(p, tried).all - cost.all;
      if (change < least) [least, partner] = [change, back.map((o) => byId.get(o)!.name).join(" and ") || null];
    }
    return least === Number.POSITIVE_INFINITY
      ? `no move or exchange with ${team.name} keeps every limit`
      : `the best way into ${team.name}${partner ? `, for ${partner},` : ""} would cost the others ` +
          `${least.toFixed(1)} more`;
  };
  const explain = p.people.length <= 60;
  const students = p.people.map((x) => {
    const team = teamById.get(assignment[x.id]!);
    const choice = x.ideas.length === 0 || !team || team.idea === null ? null : x.ideas.indexOf(team.idea) + 1;
    const wishes = [...new Set(x.wishes)].filter((w) => byId.has(w) && w !== x.id);
    const met = wishes.filter((w) => assignment[w] === assignment[x.id]);
    const notes: string[] = [];
    if (choice !== null && choice !== 1) {
      const wanted = p.teams.filter((t) => t.idea === x.ideas[0]);
      notes.push(choice ? `${ordinal(choice)} choice` : "an idea that was not on the list");
      if (explain && wanted.length) notes.push(wanted.map((t) => why(x.id, t.id))[0]!);
      else if (!wanted.length) notes.push("no team works on the first choice");
    }
    if (explain)
      for (const w of wishes)
        if (!met.includes(w)) notes.push(`not with ${byId.get(w)!.name}: ${why(x.id, assignment[w]!)}`);
    return { id: x.id, name: x.name, team: assignment[x.id]!, choice, wishes: wishes.length, met: met.length, notes };
  });
  const count = (k: "wishes" | "met") => students.reduce((s, x) => s + x[k], 0);
  const chosen = students.filter((s) => s.choice !== null);
  const lone = (t: string) =>
    [...new Set(p.people.flatMap((x) => x.groups))].filter(
      (g) => members(t).filter((x) => x.groups.includes(g)).length === 1,
    );
  const teams = p.teams.map((t) => ({
    id: t.id,
    name: t.name,
    size: members(t.id).length,
    skills: p.skills.map((_, k) => members(t.id).reduce((s, x) => s + (x.skills[k] ?? 0), 0)),
    lone: lone(t.id),
  }));
  const alone = teams.filter((t) => t.lone.length);
  const again = p.teams.reduce(
    (s, t) =>
      s +
      members(t.id).reduce(
        (n, x, i, list) => n + list.slice(i + 1).filter((y) => x.last.includes(y.id) || y.last.includes(x.id)).length,
        0,
      ),
    0,
  );
  return {
    students,
    teams,
    constraints: all.map((c) => ({ text: c.text, held: holds(c, assignment) })),
    soft: [
      {
        kind: "idea",
        text: chosen.length
          ? `${chosen.filter((s) => s.choice === 1).length} of ${chosen.length} got their first idea, ` +
            `${chosen.filter((s) => s.choice === 2).length} their second`
          : p.people.some((x) => x.ideas.length)
            ? "no team works on a named idea yet"
            : "nobody named an idea",
        cost: cost.idea,
      },
      { kind: "wish", text: `${count("met")} of ${count("wishes")} wishes are met`, cost: cost.wish },
      {
        kind: "skill",
        text: p.skills.length
          ? "sums of a skill lie between " +
            p.skills
              .map(
                (s, k) =>
                  `${Math.min(...teams.map((t) => t.skills[k]!))} and ` +
                  `${Math.max(...teams.map((t) => t.skills[k]!))} (${s})`,
              )
              .join(", ")
          : "no skill is given",
        cost: cost.skill,
      },
      {
        kind: "lone",
        text: alone.length
          ? `exactly one of a marked group in ${alone.map((t) => `${t.name} (${t.lone.join(", ")})`).join(", ")}`
          : "no team holds exactly one of a marked group",
        cost: cost.lone,
      },
      { kind: "repeat", text: `${again} pairs of last project's teammates are together again`, cost: cost.repeat },
    ],
  };
}
