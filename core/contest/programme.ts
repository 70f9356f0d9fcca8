/** How an event is run through on the day. */
export interface DayPlan {
  /** Minutes after midnight. */
  readonly starts: number;
  /** Benches or lanes side by side, 1 or more. */
  readonly lanes: number;
  /** What an attempt takes, with going on and off, in minutes. */
  readonly minutes: number;
  /** What a team has at least between two attempts, in minutes. */
  readonly repair: number;
}

/** When an entry makes an attempt, and in which lane. */
export interface Turn {
  readonly entry: string;
  /** From 1. */
  readonly attempt: number;
  /** From 1. */
  readonly lane: number;
  /** Minutes after midnight. */
  readonly from: number;
  readonly until: number;
}

/**
 * When everybody makes every attempt: in heats as wide as there are lanes, in run order, round after round. From round
 * to round everybody moves on by a lane, so that nobody meets a lane more than once oftener than another one. A heat
 * begins when the one before has ended and all of its entries have had their time for repair.
 * @param entries in run order
 * @param attempts that each makes
 * @returns the turns in the order in which they begin, then by lane
 * @example
 * programme(["Alder", "Bramble"], 2, { starts: 540, lanes: 1, minutes: 5, repair: 10 }).map((t) => t.from)
 * // => [540, 545, 555, 560]
 */
export function programme(entries: readonly string[], attempts: number, plan: DayPlan): Turn[] {
  const { starts, minutes, repair } = plan;
  const lanes = Math.max(1, Math.floor(plan.lanes));
  const ready = new Map<string, number>();
  const turns: Turn[] = [];
  let free = starts;
  for (let attempt = 1; attempt <= attempts; attempt++)
    for (let first = 0; first < entries.length; first += lanes) {
      const heat = entries.slice(first, first + lanes);
      const from = Math.max(free, ...heat.map((e) => ready.get(e) ?? starts));
      const until = from + minutes;
      const inLanes = heat.map((entry, i) => ({ entry, attempt, lane: ((i + attempt - 1) % lanes) + 1, from, until }));
      turns.push(...inLanes.sort((a, b) => a.lane - b.lane));
      for (const entry of heat) ready.set(entry, until + repair);
      free = until;
    }
  return turns;
}

/**
 * How often each entry is in each lane: by entry, the counts from lane 1 on.
 * @example
 * laneTable(programme(["Alder", "Bramble"], 3, { starts: 0, lanes: 2, minutes: 5, repair: 0 }), 2).get("Alder")
 * // => [2, 1]
 */
export function laneTable(turns: readonly Turn[], lanes: number): Map<string, number[]> {
  const out = new Map<string, number[]>();
  for (const t of turns) {
    const row = out.get(t.entry) ?? Array.from({ length: lanes }, () => 0);
    row[t.lane - 1]! += 1;
    out.set(t.entry, row);
  }
  return out;
}

/** An attempt that was made: by whom, which of theirs, and when it was recorded in minutes after midnight. */
export interface MadeAt {
  readonly entry: string;
  readonly attempt: number;
  readonly at: number;
}

/**
 * By how many minutes an event is behind its programme, below zero where it is ahead: the attempt that was recorded
 * last against its own turn; null before the first one.
 * @example
 * behind(programme(["Alder"], 2, { starts: 540, lanes: 1, minutes: 5, repair: 0 }), [
 *   { entry: "Alder", attempt: 1, at: 552 },
 * ])
 * // => 7
 */
export function behind(turns: readonly Turn[], made: readonly MadeAt[]): number | null {
  const last = made.reduce<MadeAt | null>((a, b) => (a === null || b.at >= a.at ? b : a), null);
  const turn = last && turns.find((t) => t.entry === last.entry && t.attempt === last.attempt);
  return turn ? last.at - turn.until : null;
}

/**
 * How long an event of matches takes: round after round, as many at a time as there are lanes; who plays on has its
 * time for repair between two rounds.
 * @param rounds how many matches each round has
 * @returns when it ends, in minutes after midnight
 * @example matchesEnd([4, 2, 1], { starts: 600, lanes: 2, minutes: 6, repair: 4 }) // => 632
 */
export function matchesEnd(rounds: readonly number[], plan: DayPlan): number {
  const played = rounds.filter((n) => n > 0);
  const heats = played.reduce((sum, n) => sum + Math.ceil(n / Math.max(1, plan.lanes)), 0);
  return plan.starts + heats * plan.minutes + Math.max(0, played.length - 1) * plan.repair;
}

/** An entry that is wanted in two places: in an event while another one has it, or before its repair is over. */
export interface Clash {
  readonly entry: string;
  readonly first: string;
  readonly until: number;
  readonly second: string;
  readonly from: number;
}

/**
 * Who is on in one event before another one has let them go, with the time for repair of the first.
 * @param events by name, each with its turns and its minutes of repair
 * @example
 * clashes([
 *   { name: "Lift", repair: 5, turns: [{ entry: "Alder", attempt: 1, lane: 1, from: 540, until: 545 }] },
 *   { name: "Fill", repair: 5, turns: [{ entry: "Alder", attempt: 1, lane: 1, from: 548, until: 552 }] },
 * ]).length
 * // => 1
 */
export function clashes(
  events: readonly { readonly name: string; readonly repair: number; readonly turns: readonly Turn[] }[],
): Clash[] {
  const all = events
    .flatMap((e) => e.turns.map((t) => ({ ...t, event: e.name, free: t.until + e.repair })))
    .sort((a, b) => a.from - b.from || a.until - b.until);
  const out: Clash[] = [];
  const before = new Map<string, (typeof all)[number]>();
  for (const t of all) {
    const last = before.get(t.entry);
    if (last && last.event !== t.event && t.from < last.free)
      out.push({ entry: t.entry, first: last.event, until: last.until, second: t.event, from: t.from });
    if (!last || t.free >= last.free) before.set(t.entry, t);
  }
  return out;
}

/**
 * A time of the day as people write it, in minutes after midnight; null where it is none.
 * @example clockIn("9:30") // => 570
 * @example clockIn("25:00") // => null
 */
export function clockIn(text: string): number | null {
  const [, h, m] = /^(\d{1,2})[:.](\d{2})$/.exec(text.trim()) ?? [];
  if (h === undefined || Number(h) > 23 || Number(m) > 59) return null;
  return Number(h) * 60 + Number(m);
}

/**
 * A time of the day for people; what lies behind midnight begins again at 0:00.
 * @example clockOf(570.5) // => "9:30"
 */
export function clockOf(minutes: number): string {
  const whole = Math.floor(minutes) % 1440;
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, "0")}`;
}
