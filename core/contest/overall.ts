import Decimal from "decimal.js";
import { formatNumber } from "../quantity/quantity";
import { type Ranked, rank } from "../ranking/rank";
import type { CombineMethod } from "../vocabulary/contest";
import { combineMethod } from "../vocabulary/contest";
import type { Better } from "../vocabulary/runs";
import { makeWorking, type Working } from "../working/working";

/** What an entry reached in one event. */
export interface Reached {
  /** The first of the places that it shares, and how many share them; null without a place. */
  readonly place: number | null;
  readonly sharing: number;
  readonly points: string | null;
  /** Its counted value in the event's unit; null where the event measures nothing or nothing counted. */
  readonly value: string | null;
}

/** An event that counts in the overall ranking. */
export interface CountedEvent {
  readonly id: string;
  readonly name: string;
  /** As an exact decimal, above zero. */
  readonly weight: string;
  readonly better: Better;
  readonly by: ReadonlyMap<string, Reached>;
}

/** An entry in the overall ranking. */
export interface Overall {
  readonly entry: string;
  readonly total: string;
  readonly place: number;
  readonly sharing: number;
  /** What each event adds, by event, with its weight in it. */
  readonly parts: ReadonlyMap<string, string>;
  readonly working: Working;
}

const zero = new Decimal(0);

/** The mean of the places that an entry shares. */
const meanPlace = (r: Reached): Decimal | null =>
  r.place === null ? null : new Decimal(r.place).plus(new Decimal(r.sharing - 1).div(2));

/**
 * What each entry reached in an event, and whether less of it is better: the measured value, or where nothing is
 * measured how many it has left behind.
 */
function worths(
  event: CountedEvent,
  entries: readonly string[],
): { worth: ReadonlyMap<string, Decimal>; less: boolean } {
  const measured = [...event.by.values()].some((r) => r.value !== null);
  const out = new Map<string, Decimal>();
  for (const e of entries) {
    const r = event.by.get(e);
    const place = r && meanPlace(r);
    if (!r || !place) continue;
    if (!measured) out.set(e, new Decimal(entries.length).plus(1).minus(place));
    else if (r.value !== null) out.set(e, new Decimal(r.value));
  }
  return { worth: out, less: measured && event.better === "less" };
}

/** What an event adds before its weight, by entry; who reached nothing in it gets what the method says. */
function shares(method: CombineMethod, event: CountedEvent, entries: readonly string[]): Map<string, Decimal> {
  const reached = (e: string) => event.by.get(e) ?? { place: null, sharing: 1, points: null, value: null };
  if (method === "points") return new Map(entries.map((e) => [e, new Decimal(reached(e).points ?? 0)]));
  if (method === "places")
    return new Map(entries.map((e) => [e, meanPlace(reached(e)) ?? new Decimal(entries.length)]));
  const { worth, less } = worths(event, entries);
  const values = [...worth.values()];
  if (!values.length) return new Map(entries.map((e) => [e, zero]));
  const [low, high] = [Decimal.min(...values), Decimal.max(...values)];
  const [best, worst] = less ? [low, high] : [high, low];
  const of = (v: Decimal): Decimal => {
    if (method === "ratio")
      return less ? (v.isZero() ? new Decimal(1) : best.div(v)) : best.isZero() ? zero : v.div(best);
    if (method === "range") return best.eq(worst) ? new Decimal(1) : v.minus(worst).div(best.minus(worst));
    const mean = Decimal.sum(...values).div(values.length);
    const variance = Decimal.sum(...values.map((x) => x.minus(mean).pow(2))).div(Math.max(1, values.length - 1));
    const z = variance.isZero() ? zero : v.minus(mean).div(variance.sqrt());
    return less ? z.neg() : z;
  };
  const found = new Map([...worth].map(([e, v]) => [e, of(v)]));
  const none = method === "score" ? Decimal.min(zero, ...found.values()) : zero;
  return new Map(entries.map((e) => [e, found.get(e) ?? none]));
}

/** What somebody gets for an event in which nothing counted, in words. */
const without: Record<CombineMethod, string> = {
  points: "no points",
  places: "the last place",
  ratio: "nothing",
  range: "nothing",
  score: "the lowest score of it",
};

/**
 * The overall ranking of several events: what each adds by the method, times its weight, summed; the sum of places is
 * best when least, every other sum when greatest; equal sums share the place. Sums are compared at nine decimals.
 * @param events those that count
 * @param entries by name, in any order
 * @example
 * overall("places", [
 *   {
 *     id: "e",
 *     name: "Lift",
 *     weight: "1",
 *     better: "more",
 *     by: new Map([
 *       ["Alder", { place: 2, sharing: 1, points: "60", value: "7" }],
 *       ["Gully", { place: 1, sharing: 1, points: "90", value: "8" }],
 *     ]),
 *   },
 * ], ["Alder", "Gully"]).map((o) => [o.entry, o.place])
 * // => [["Gully", 1], ["Alder", 2]]
 */
export function overall(method: CombineMethod, events: readonly CountedEvent[], entries: readonly string[]): Overall[] {
  const added = events.map((event) => ({ event, by: shares(method, event, entries) }));
  const sums = new Map(
    entries.map((e) => [
      e,
      added.reduce((sum, { event, by }) => sum.plus(by.get(e)!.times(event.weight)), zero).toDecimalPlaces(9),
    ]),
  );
  const better: Better = method === "places" ? "less" : "more";
  const ranked = rank(
    entries.map((e) => ({ id: e, value: sums.get(e)!.toFixed(), breaks: [] })),
    { better, school: "competition", resolution: null, tieBreaks: [] },
  );
  const digits = method === "points" || method === "places" ? undefined : 4;
  const show = (x: Decimal) => formatNumber(x.toFixed(), digits);
  return ranked.map((r: Ranked): Overall => {
    const total = sums.get(r.id)!;
    const terms = added.map(({ event, by }) => ({ event, share: by.get(r.id)! }));
    return {
      entry: r.id,
      total: total.toFixed(),
      place: r.place!,
      sharing: r.sharing,
      parts: new Map(
        terms.map(({ event, share }) => [event.id, share.times(event.weight).toDecimalPlaces(9).toFixed()]),
      ),
      working: makeWorking({
        title: `${r.id}: overall`,
        result: show(total),
        rule:
          `${combineMethod.labels[method].split(":")[0]!}, each times its event's weight; ` +
          `${better === "less" ? "the least" : "the greatest"} sum is first. ` +
          `Who reached nothing in an event gets ${without[method]}.`,
        steps: terms.map(({ event, share }) => `${event.name}: ${show(share)} × ${event.weight}`),
        inputs: terms.map(({ event }) => {
          const at = event.by.get(r.id);
          return {
            label: event.name,
            value: at?.value ?? (at?.place ? `place ${at.place}` : "–"),
          };
        }),
        warnings: r.shared ? ["Shares its place: the sums are equal."] : [],
      }),
    };
  });
}

/**
 * Who would be first by each method, with the same events and weights: the method can change the winner.
 * @example whatIf([], ["Alder"]).map((w) => w.first) // => [["Alder"], ["Alder"], ["Alder"], ["Alder"], ["Alder"]]
 */
export const whatIf = (
  events: readonly CountedEvent[],
  entries: readonly string[],
): { method: CombineMethod; first: string[] }[] =>
  combineMethod.values.map((method) => ({
    method,
    first: overall(method, events, entries)
      .filter((o) => o.place === 1)
      .map((o) => o.entry),
  }));
