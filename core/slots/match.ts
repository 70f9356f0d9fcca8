/** What came of placing teams: the time of each, or teams that have too few places between them. */
export type Matching =
  | { readonly ok: true; readonly at: readonly number[] }
  | { readonly ok: false; readonly stuck: readonly number[] };

/**
 * Gives each team one of its times, at each time as many as there are places (a matching by augmenting paths, the
 * earliest times first). Where that cannot be, `stuck` are teams whose times together have fewer places than they
 * are (Hall's condition broken), each of them needed for it to be so few.
 * @param open For each team its times, by index.
 * @param places For each time how many teams it takes.
 * @example
 * matchTeams([[0, 1], [0]], [1, 1])
 * // => { ok: true, at: [1, 0] }
 */
export function matchTeams(open: readonly (readonly number[])[], places: readonly number[]): Matching {
  const at: number[] = open.map(() => -1);
  const held: number[][] = places.map(() => []);
  const seat = (team: number, seen: Set<number>): boolean => {
    const free = open[team]!.find((t) => held[t]!.length < places[t]!);
    if (free !== undefined) {
      held[free]!.push(team);
      at[team] = free;
      return true;
    }
    for (const t of open[team]!) {
      if (seen.has(t)) continue;
      seen.add(t);
      for (const [i, other] of held[t]!.entries())
        if (seat(other, seen)) {
          held[t]![i] = team;
          at[team] = t;
          return true;
        }
    }
    return false;
  };
  for (const team of open.keys()) {
    const seen = new Set<number>();
    if (seat(team, seen)) continue;
    return { ok: false, stuck: [team, ...[...seen].flatMap((t) => held[t]!)].sort((a, b) => a - b) };
  }
  return { ok: true, at };
}
