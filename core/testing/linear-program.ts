import type { Assignment } from "../teams/cost";
import type { TeamProblem } from "../teams/problem";
import { reportTeams } from "../teams/report";

/** The hard constraints that an arrangement breaks, in words. */
export const broken = (p: TeamProblem, a: Assignment) =>
  reportTeams(p, a)
    .constraints.filter((c) => !c.held)
    .map((c) => c.text);

/**
 * A team problem as a linear program in whole numbers.
 * @example
 * program({ people: [], teams: [], weights: {}, apart: [], together: [], locks: [], forbidden: [] }).slice(0, 8)
 * // => "Minimize"
 */
export function program(p: TeamProblem): string {
  const [obj, rows, general]: [string[], string[], Set<string>] = [[], [], new Set()];
  const x = (i: number, t: number) => {
    const v = `x_${i}_${t}`;
    general.add(v);
    return v;
  };
  const term = (c: number, v: string) => {
    if (c) obj.push(`${c < 0 ? "-" : "+"} ${Math.abs(c)} ${v}`);
  };
  const at = new Map(p.people.map((q, i) => [q.id, i]));
  const w = p.weights;
  const T = p.teams.length;
  const sum = (l: string[]) => l.join(" + ");
  p.people.forEach((q, i) => {
    rows.push(`${sum(p.teams.map((_, t) => x(i, t)))} = 1`);
    p.teams.forEach((t, k) => {
      const place =
        q.ideas.length && t.idea !== null
          ? Math.min(4, q.ideas.includes(t.idea) ? q.ideas.indexOf(t.idea) : q.ideas.length)
          : 0;
      term(w.idea * place, x(i, k));
      if (t.section !== null && t.section !== q.section) rows.push(`${x(i, k)} = 0`);
    });
  });
  p.teams.forEach((t, k) => {
    const all = sum(p.people.map((_, i) => x(i, k)));
    rows.push(`${all} >= ${t.min}`, `${all} <= ${t.max}`);
  });
  for (const g of p.apart)
    for (let a = 0; a < g.length; a++)
      for (let b = a + 1; b < g.length; b++)
        p.teams.forEach((_, k) => rows.push(`${x(at.get(g[a]!)!, k)} + ${x(at.get(g[b]!)!, k)} <= 1`));
  for (const g of p.together)
    for (const o of g.slice(1))
      p.teams.forEach((_, k) => rows.push(`${x(at.get(g[0]!)!, k)} - ${x(at.get(o)!, k)} = 0`));
  for (const l of p.locks)
    rows.push(
      `${x(
        at.get(l.person)!,
        p.teams.findIndex((t) => t.id === l.team),
      )} = 1`,
    );
  for (const l of p.forbidden)
    rows.push(
      `${x(
        at.get(l.person)!,
        p.teams.findIndex((t) => t.id === l.team),
      )} = 0`,
    );
  let constant = 0;
  const bounded: string[] = [];
  // A wish met earns its weight back; a pair together is at most either one's seat.
  p.people.forEach((q, i) => {
    for (const o of new Set(q.wishes)) {
      const j = at.get(o)!;
      constant += w.wish;
      for (let k = 0; k < T; k++) {
        const y = `y_${i}_${j}_${k}`;
        bounded.push(`0 <= ${y} <= 1`);
        term(-w.wish, y);
        rows.push(`${y} - ${x(i, k)} <= 0`, `${y} - ${x(j, k)} <= 0`);
      }
    }
  });
  const pairs = new Set(
    p.people.flatMap((q, i) =>
      q.last.flatMap((o) => {
        const j = at.get(o)!;
        return i === j ? [] : [`${Math.min(i, j)}_${Math.max(i, j)}`];
      }),
    ),
  );
  for (const pair of pairs) {
    const [i, j] = pair.split("_").map(Number) as [number, number];
    for (let k = 0; k < T; k++) {
      const r = `r_${pair}_${k}`;
      bounded.push(`0 <= ${r} <= 1`);
      term(w.repeat, r);
      rows.push(`${x(i, k)} + ${x(j, k)} - ${r} <= 1`);
    }
  }
  const mean = (s: string | null) => {
    const m = p.people.filter((q) => q.section === s);
    return m.reduce((t, q) => t + q.skills[0]!, 0) / m.length;
  };
  p.teams.forEach((_, k) => {
    const off = p.people
      .map((q, i) => {
        const c = q.skills[0]! - mean(q.section);
        return `${c < 0 ? "-" : "+"} ${Math.abs(c).toFixed(9)} ${x(i, k)}`;
      })
      .join(" ");
    const minus = p.people
      .map((q, i) => {
        const c = mean(q.section) - q.skills[0]!;
        return `${c < 0 ? "-" : "+"} ${Math.abs(c).toFixed(9)} ${x(i, k)}`;
      })
      .join(" ");
    term(w.skill, `d_${k}`);
    rows.push(`${off} - d_${k} <= 0`, `${minus} - d_${k} <= 0`);
    // Exactly one of the marked group: count = 0·none + 1·lone + (at least 2)·more.
    const marked = p.people.flatMap((q, i) => (q.groups.includes("marked") ? [x(i, k)] : []));
    if (marked.length) {
      for (const v of [`none_${k}`, `lone_${k}`, `more_${k}`]) general.add(v);
      term(w.lone, `lone_${k}`);
      rows.push(
        `none_${k} + lone_${k} + more_${k} = 1`,
        `${sum(marked)} - lone_${k} - 2 more_${k} >= 0`,
        `${sum(marked)} - lone_${k} - ${marked.length} more_${k} <= 0`,
      );
    }
  });
  return (
    `Minimize\n obj: ${obj.join(" ")} + ${constant} one\nSubject To\n` +
    `${rows.map((r, i) => ` c${i}: ${r}`).join("\n")}\nBounds\n one = 1\n` +
    `${bounded.map((b) => ` ${b}`).join("\n")}\nBinary\n ${[...general].join(" ")}\nEnd\n`
  );
}
