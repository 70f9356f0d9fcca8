import { type BlockPlan, blockPlans, counterKey, countersOf, fewerGaps, type Stay } from "./blocks";
import { type SlotClash, slotClash } from "./clash";
import { matchTeams } from "./match";
import { type SlotGround, type SlotProblem, type SlotTime, slotGround } from "./problem";

/** Where and by whom a team is seen. */
export interface SlotPlace {
  readonly team: string;
  readonly day: string;
  /** Minutes since midnight. */
  readonly from: number;
  /** From 0. */
  readonly room: number;
  readonly reviewers: readonly string[];
}

export type SlotPlan =
  | { readonly ok: true; readonly places: readonly SlotPlace[]; readonly gaps: number }
  | { readonly ok: false; readonly clash: SlotClash };

export interface SlotProgress {
  /** 0 to 1 of the present round. */
  readonly share: number;
  /** How often the plan was refined for teams that can come to few times. */
  readonly round: number;
}

/** Times of which the plan has to use at least so many places, because teams can come to no others. */
interface Cut {
  readonly times: ReadonlySet<number>;
  readonly least: number;
}

interface Sum {
  readonly gaps: number;
  readonly lateness: number;
  readonly before: Sum | null;
  readonly plan: BlockPlan;
}

/** The stays of all reviewers, block by block. */
function staysOf({ times, there }: SlotGround): Stay[][] {
  const blocks: Stay[][] = [];
  for (const [reviewer, present] of there.entries()) {
    let from = -1;
    for (let t = 0; t <= times.length; t++) {
      const goesOn = from >= 0 && times[t]?.block === times[from]!.block && present[t];
      if (from >= 0 && !goesOn) {
        (blocks[times[from]!.block] ??= []).push({ reviewer, from, to: t - 1 });
        from = -1;
      }
      if (from < 0 && present[t]) from = t;
    }
  }
  return blocks;
}

const blocksOf = (times: readonly SlotTime[]) => [...new Set(times.map((t) => t.block))];

/** The plan of every time with the fewest gaps that has n reviews and keeps to the cuts. */
function* plan(
  ground: SlotGround,
  panel: SlotProblem["panel"],
  n: number,
  cuts: readonly Cut[],
  most: number,
  round: number,
) {
  const { times, capacity } = ground;
  const stays = staysOf(ground);
  const counted = [() => true, ...cuts.map((c) => (t: number) => c.times.has(t))];
  const limits = [n + 1, ...cuts.map((c) => c.least)];
  let sums = new Map<number, Sum | null>([[0, null]]);
  const blocks = blocksOf(times);
  for (const [i, block] of blocks.entries()) {
    const first = times.findIndex((t) => t.block === block);
    const last = times.findLastIndex((t) => t.block === block);
    const ways = blockPlans(stays[block] ?? [], first, last, capacity, panel, counted, limits, most);
    const next = new Map<number, Sum | null>();
    for (const [key, sum] of sums) {
      const before = countersOf(key, limits);
      for (const [more, way] of ways) {
        const counters = countersOf(more, limits).map((c, k) => Math.min(limits[k]!, c + before[k]!));
        if (counters[0]! > n || (sum?.gaps ?? 0) + way.gaps > most) continue;
        const found: Sum = {
          gaps: (sum?.gaps ?? 0) + way.gaps,
          lateness: (sum?.lateness ?? 0) + way.lateness,
          before: sum,
          plan: way,
        };
        const to = counterKey(counters, limits);
        if (fewerGaps(found, next.get(to) ?? undefined)) next.set(to, found);
      }
    }
    sums = next;
    yield { share: (i + 1) / blocks.length, round };
  }
  const best = sums.get(counterKey([n, ...cuts.map((c) => c.least)], limits)) ?? null;
  const steps: BlockPlan["steps"][number][] = [];
  for (let at = best; at; at = at.before) steps.unshift(...at.plan.steps);
  return best
    ? {
        gaps: best.gaps,
        reviews: steps.map((s) => s.reviews),
        working: steps.map((s, t) => s.working.map((w) => stays[times[t]!.block]![w]!.reviewer)),
      }
    : null;
}

/** Puts the reviewers of one time into its rooms: where they were before if they can stay, the rooms even. */
function intoRooms(working: readonly number[], rooms: number, was: ReadonlyMap<number, number>): number[][] {
  const seats = Array.from(
    { length: rooms },
    (_, i) => Math.floor(working.length / rooms) + (i < working.length % rooms ? 1 : 0),
  );
  const into: number[][] = seats.map(() => []);
  const rest: number[] = [];
  for (const r of working) {
    const room = was.get(r);
    if (room !== undefined && room < rooms && into[room]!.length < seats[room]!) into[room]!.push(r);
    else rest.push(r);
  }
  for (const r of rest) into[into.findIndex((room, i) => room.length < seats[i]!)]!.push(r);
  return into;
}

/**
 * Plans slots: each team one time and room with its panel, so that reviewers wait least between two reviews of one
 * stay, and of such plans the one that is over soonest. The answer is the optimum: no plan has fewer gaps. Where there
 * is no plan, it gives the reason.
 *
 * A dynamic programme over the times of each block, then over the blocks. Teams that can come to few times are
 * brought in as they are needed: a plan that cannot seat them gives a new condition (so many places at those times),
 * and is made anew; a plan with fewer conditions is never worse, so that the first that seats everybody is the best.
 * Work grows with the times and with the product of teams and conditions.
 * @example
 * planSlots(slotProblem({ seed: "1", teams: 3, reviewers: 2, days: 1, perDay: 4, rooms: 1, busy: 0, away: 0 })).next()
 * // => { done: false, value: { share: 1, round: 0 } }
 */
export function* planSlots(problem: SlotProblem): Generator<SlotProgress, SlotPlan, void> {
  const ground = slotGround(problem);
  const { times, open } = ground;
  const clash = slotClash(problem, ground);
  if (clash) return { ok: false, clash };
  const cuts: Cut[] = [];
  const need = (teams: readonly number[]) => {
    const at = new Set(teams.flatMap((t) => open[t]!));
    cuts.push({ times: at, least: teams.length });
  };
  // Sections that come on days of their own: known beforehand.
  const alike = new Map<string, number[]>();
  for (const [team, at] of open.entries()) alike.set(at.join(), [...(alike.get(at.join()) ?? []), team]);
  if (alike.size <= 3) for (const teams of alike.values()) if (open[teams[0]!]!.length < times.length) need(teams);
  // Few gaps leave few ways: it is looked among those first. The clash was looked for before, so that with any number
  // of gaps there is a plan.
  const caps = [0, 2, 6, Number.POSITIVE_INFINITY];
  for (let round = 0; ; round++) {
    const found = yield* plan(ground, problem.panel, problem.teams.length, cuts, caps[0]!, round);
    if (!found) {
      if (caps.length === 1) throw new Error("A plan that exists was not found");
      caps.shift();
      continue;
    }
    const seated = matchTeams(open, found.reviews);
    if (!seated.ok) {
      need(seated.stuck);
      continue;
    }
    return { ok: true, gaps: found.gaps, places: placesOf(problem, times, seated.at, found.working) };
  }
}

function placesOf(
  problem: SlotProblem,
  times: readonly SlotTime[],
  at: readonly number[],
  working: readonly (readonly number[])[],
): SlotPlace[] {
  const places: SlotPlace[] = [];
  let was = new Map<number, number>();
  for (const [t, time] of times.entries()) {
    if (times[t - 1]?.block !== time.block) was = new Map();
    const teams = at.flatMap((x, team) => (x === t ? [team] : []));
    if (!teams.length) continue;
    const rooms = intoRooms(working[t]!, teams.length, was);
    was = new Map(rooms.flatMap((r, room) => r.map((x): [number, number] => [x, room])));
    for (const [room, team] of teams.entries())
      places.push({
        team: problem.teams[team]!.id,
        day: time.day,
        from: time.from,
        room,
        reviewers: rooms[room]!.toSorted((a, b) => a - b).map((r) => problem.reviewers[r]!.name),
      });
  }
  return places;
}

/**
 * The plan of `planSlots` at once.
 * @example
 * planAtOnce(slotProblem({ seed: "1", teams: 3, reviewers: 2, days: 1, perDay: 4, rooms: 1, busy: 0, away: 0 })).ok
 * // => true
 */
export function planAtOnce(problem: SlotProblem): SlotPlan {
  const run = planSlots(problem);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}
