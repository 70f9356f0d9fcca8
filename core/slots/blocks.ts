/** A reviewer's stay in a block: from the first of its times at which he is there to the last, without a break. */
export interface Stay {
  readonly reviewer: number;
  readonly from: number;
  readonly to: number;
}

/** What a block comes to with one way of using it. */
export interface BlockPlan {
  /** Times at which somebody waits between two reviews, summed over reviewers. */
  readonly gaps: number;
  /** The times of its reviews summed: of two plans with the same gaps the one that is over sooner is better. */
  readonly lateness: number;
  /** By time from the block's first on: how many reviews go on, and which stays work. */
  readonly steps: readonly { readonly reviews: number; readonly working: readonly number[] }[];
}

interface Node {
  readonly gaps: number;
  readonly lateness: number;
  readonly before: Node | null;
  readonly reviews: number;
  readonly working: readonly number[];
}

/**
 * Whether the first of two ways to the same state is better: fewer gaps, or the same and over sooner.
 * @example fewerGaps({ gaps: 0, lateness: 9 }, { gaps: 1, lateness: 2 }) // => true
 */
export const fewerGaps = (
  a: { readonly gaps: number; readonly lateness: number },
  b: { readonly gaps: number; readonly lateness: number } | undefined,
): boolean => !b || a.gaps < b.gaps || (a.gaps === b.gaps && a.lateness < b.lateness);

/**
 * Every useful way to use one block of times, by how many reviews each counter counts in it: for each such count the
 * plan with the fewest gaps.
 *
 * It goes through the times one by one. A stay has not begun, is going on, or has ended. What makes it exact and
 * quick: a stay that has not begun can do all that one which goes on can, and that one all that an ended one can; of
 * two that go on, the one that may stay longer can do all that the other can; of two that have not begun, the one
 * that must leave sooner is begun first. So at each time only two things are open: how many reviews go on, and how
 * many of those not needed wait for later.
 * @example
 * [...blockPlans([{ reviewer: 0, from: 0, to: 0 }], 0, 0, [1], { least: 1, most: 1 }, [() => true], [2])].map(
 *   ([reviews, plan]) => [reviews, plan.gaps],
 * )
 * // => [[0, 0], [1, 0]]
 * @param counted For each counter and time of the block whether it counts a review there.
 * @param limits What each counter need not count beyond.
 * @param most Plans with more gaps than this are left out.
 */
export function blockPlans(
  stays: readonly Stay[],
  first: number,
  last: number,
  capacity: readonly number[],
  panel: { readonly least: number; readonly most: number },
  counted: readonly ((time: number) => boolean)[],
  limits: readonly number[],
  most = Number.POSITIVE_INFINITY,
): Map<number, BlockPlan> {
  // A state: which stays go on, which have not begun, and the counters.
  let states = new Map<string, { on: number[]; fresh: number[]; counters: number[]; node: Node | null }>([
    ["", { on: [], fresh: stays.map((_, i) => i), counters: limits.map(() => 0), node: null }],
  ]);
  const bySooner = (a: number, b: number) => stays[a]!.to - stays[b]!.to || a - b;
  for (let t = first; t <= last; t++) {
    const next: typeof states = new Map();
    for (const { on, fresh, counters, node } of states.values()) {
      const ready = fresh.filter((i) => stays[i]!.from <= t && stays[i]!.to >= t).sort(bySooner);
      const going = on.toSorted(bySooner).reverse();
      for (let reviews = 0; reviews <= capacity[t]!; reviews++) {
        const least = reviews * panel.least;
        const missing = least - going.length;
        if (missing > ready.length) break;
        const begun = missing > 0 ? ready.slice(0, missing) : [];
        const working = [...going.slice(0, reviews * panel.most), ...begun];
        const idle = going.slice(reviews * panel.most);
        const stillFresh = fresh.filter((i) => !begun.includes(i) && stays[i]!.to > t);
        const after = counters.map((c, i) => Math.min(limits[i]!, c + (counted[i]!(t) ? reviews : 0)));
        for (let wait = 0; wait <= idle.length; wait++) {
          const stillOn = [...working, ...idle.slice(0, wait)].filter((i) => stays[i]!.to > t);
          const found: Node = {
            gaps: (node?.gaps ?? 0) + wait,
            lateness: (node?.lateness ?? 0) + reviews * t,
            before: node,
            reviews,
            working,
          };
          if (found.gaps > most) break;
          const key = stateKey(stays, t, stillOn, stillFresh, after);
          if (fewerGaps(found, next.get(key)?.node ?? undefined))
            next.set(key, { on: stillOn, fresh: stillFresh, counters: after, node: found });
        }
      }
    }
    states = next;
  }
  const plans = new Map<number, BlockPlan>();
  for (const { counters, node } of states.values()) {
    const key = counterKey(counters, limits);
    if (!node || !fewerGaps(node, plans.get(key))) continue;
    const steps = [];
    for (let at: Node | null = node; at; at = at.before) steps.unshift({ reviews: at.reviews, working: at.working });
    plans.set(key, { gaps: node.gaps, lateness: node.lateness, steps });
  }
  return plans;
}

/**
 * A state by what can still be done in it: of stays that go on, or could begin, only their ends matter, so that
 * reviewers with the same hours are not told apart.
 */
function stateKey(
  stays: readonly Stay[],
  time: number,
  on: readonly number[],
  fresh: readonly number[],
  counters: readonly number[],
): string {
  const ends = on.map((i) => stays[i]!.to).sort((a, b) => a - b);
  const ready = fresh.flatMap((i) => (stays[i]!.from <= time + 1 ? [stays[i]!.to] : [])).sort((a, b) => a - b);
  return `${ends.join()};${ready.join()};${counters.join()}`;
}

/**
 * Counters as one number, each from 0 to its limit.
 * @example counterKey([1, 2], [3, 4]) // => 7
 */
export const counterKey = (counters: readonly number[], limits: readonly number[]): number =>
  counters.reduce((key, c, i) => key * (limits[i]! + 1) + c, 0);

/**
 * Counters from their number.
 * @example countersOf(7, [3, 4]) // => [1, 2]
 */
export function countersOf(key: number, limits: readonly number[]): number[] {
  const counters: number[] = [];
  let left = key;
  for (const limit of limits.toReversed()) {
    counters.unshift(left % (limit + 1));
    left = Math.floor(left / (limit + 1));
  }
  return counters;
}
