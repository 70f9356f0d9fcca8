/** Something that is set to chosen levels in an experiment. */
export interface Factor {
  readonly name: string;
  readonly levels: readonly string[];
}

/** As much as a class can still carry out. */
export const mostInExperiment = { factors: 4, levels: 8, runs: 240 } as const;

/**
 * Factors as they are typed, one a line: a name, a colon, the levels with commas between. Says what is wrong with the
 * first line that is no such thing.
 * @example readFactors("valve: flap, ball\nstroke: 0.25 m, 0.30 m").factors[1]
 * // => { name: "stroke", levels: ["0.25 m", "0.30 m"] }
 * @example readFactors("valve flap").ok // => false
 */
export function readFactors(text: string): { ok: true; factors: Factor[] } | { ok: false; message: string } {
  const fail = (message: string) => ({ ok: false as const, message });
  const factors: Factor[] = [];
  for (const line of text.split("\n").filter((l) => l.trim())) {
    const [, name, rest] = /^([^:]+):(.*)$/.exec(line.trim()) ?? [];
    if (!name || !rest) return fail(`“${line.trim()}”: write a name, a colon and the levels, like valve: flap, ball`);
    const levels = rest
      .split(/[,;]\s+|[;]/)
      .map((l) => l.trim())
      .filter(Boolean);
    if (levels.length < 2) return fail(`${name.trim()}: a factor has two levels or more, with commas between them`);
    if (levels.length > mostInExperiment.levels)
      return fail(`${name.trim()}: at most ${mostInExperiment.levels} levels`);
    if (new Set(levels).size < levels.length) return fail(`${name.trim()}: each level stands once`);
    if (factors.some((f) => f.name === name.trim())) return fail(`${name.trim()} stands twice`);
    factors.push({ name: name.trim(), levels });
  }
  if (factors.length > mostInExperiment.factors) return fail(`At most ${mostInExperiment.factors} factors`);
  return { ok: true, factors };
}
