import Decimal from "decimal.js";
import type { PeerMethod } from "../vocabulary/grades";
import { equation } from "../working/equation";
import { makeWorking, type Working } from "../working/working";

/** What one student of a team gave another. */
export interface PeerRating {
  readonly rater: string;
  readonly ratee: string;
  /** 1 to 5, or of 100 to share. */
  readonly value: string;
}

export interface PeerMember {
  readonly id: string;
  readonly name: string;
}

/** A member's factor before caps, or why there is none. */
export interface PeerFactor {
  readonly id: string;
  readonly factor: string | null;
  /** Mean of what the others gave; null where nobody did. */
  readonly mean: string | null;
  readonly raters: number;
  /** The arithmetic; the student reads it, so that it says nothing of what another received or gave. */
  readonly working: Working;
}

/** So few ratings received are too few for a factor. */
const FEWEST = 2;

const show = (d: Decimal, digits = 3) => d.toDecimalPlaces(digits, Decimal.ROUND_HALF_UP).toFixed();
const mean = (values: readonly Decimal[]) => values.reduce((a, b) => a.plus(b), new Decimal(0)).div(values.length);

/**
 * What is wrong with one student's ratings of the team, in words; empty when they can be handed in.
 * @param others the members of the team without the rater
 * @example checkRatings("shares", ["b", "c"], [{ ratee: "b", value: "60" }, { ratee: "c", value: "30" }])
 * // => ["The shares make 90, not 100."]
 */
export function checkRatings(
  method: PeerMethod,
  others: readonly string[],
  given: readonly { ratee: string; value: string }[],
): string[] {
  const of = new Map(given.map((g) => [g.ratee, g.value]));
  if (of.size !== others.length || !others.every((o) => of.has(o)))
    return ["Rate everybody else in your team, and nobody else."];
  if (method === "ratings")
    return given.every((g) => /^[1-5]$/.test(g.value)) ? [] : ["A rating is a whole number from 1 to 5."];
  if (!given.every((g) => /^\d{1,3}$/.test(g.value))) return ["A share is a whole number from 0 to 100."];
  const sum = given.reduce((t, g) => t + Number(g.value), 0);
  return sum === 100 ? [] : [`The shares make ${sum}, not 100.`];
}

/** Ratings that count: between two members who are still in the team, nobody rates oneself. */
const countedOf = (members: readonly PeerMember[], ratings: readonly PeerRating[]) => {
  const ids = new Set(members.map((m) => m.id));
  return ratings.filter((r) => r.rater !== r.ratee && ids.has(r.rater) && ids.has(r.ratee));
};

/**
 * The peer factors of a team before caps. Ratings: the mean received over the team's mean of those means. Shares: the
 * mean share received over an equal share, 100 ÷ (members − 1). Who was rated by fewer than two has no factor, as the
 * working says. Self ratings never count.
 * @example
 * peerFactors("ratings", ["a", "b", "c"].map((id) => ({ id, name: id })), [
 *   { rater: "a", ratee: "b", value: "4" }, { rater: "a", ratee: "c", value: "5" },
 *   { rater: "b", ratee: "a", value: "4" }, { rater: "b", ratee: "c", value: "5" },
 *   { rater: "c", ratee: "a", value: "4" }, { rater: "c", ratee: "b", value: "2" },
 * ]).map((f) => Number(f.factor).toFixed(2))
 * // => ["1.00", "0.75", "1.25"]
 */
export function peerFactors(
  method: PeerMethod,
  members: readonly PeerMember[],
  ratings: readonly PeerRating[],
): PeerFactor[] {
  const counted = countedOf(members, ratings);
  const received = new Map(
    members.map((m) => [m.id, counted.filter((r) => r.ratee === m.id).map((r) => new Decimal(r.value))]),
  );
  const means = new Map([...received].flatMap(([id, values]) => (values.length ? [[id, mean(values)] as const] : [])));
  const known = members.flatMap((m) => means.get(m.id) ?? []);
  const base =
    method === "ratings" ? known.length && mean(known) : new Decimal(100).div(Math.max(1, members.length - 1));
  const rule =
    method === "ratings"
      ? "The mean of the ratings received, over the mean of the team's means."
      : "The mean of the shares received, over an equal share.";
  const baseName = method === "ratings" ? "the team's mean" : "an equal share";
  return members.map(({ id }) => {
    const own = means.get(id) ?? null;
    const raters = received.get(id)!.length;
    const shown = { id, mean: own && own.toString(), raters };
    if (raters < FEWEST || !own || !base || base.isZero())
      return {
        ...shown,
        factor: null,
        working: makeWorking({
          title: "Peer factor",
          result: "–",
          rule,
          warnings: [
            raters < FEWEST
              ? `Rated by ${raters} of ${members.length - 1}: too few for a factor.`
              : "Nobody in the team has received anything.",
          ],
        }),
      };
    const factor = own.div(base);
    return {
      ...shown,
      factor: factor.toString(),
      working: makeWorking({
        title: "Peer factor",
        result: show(factor),
        rule,
        steps: [
          `mean received over ${baseName}: ` +
            equation([{ of: own, digits: 3 }, " ÷ ", { of: base, digits: 3 }], show(factor)),
        ],
        inputs: [
          { label: `mean received from ${raters}`, value: show(own) },
          { label: baseName, value: show(base) },
        ],
      }),
    };
  });
}

/**
 * A factor between its caps.
 * @example capped("1.176", { low: "0.85", high: "1.10" }) // => "1.1"
 */
export const capped = (factor: string, caps: { low: string; high: string }): string =>
  Decimal.min(Decimal.max(factor, caps.low), caps.high).toString();

/** Something odd in a team's ratings, pointed at and not judged. */
export interface PeerOddity {
  readonly kind: "everybody the same" | "one against all" | "all against one" | "mutual top marks";
  readonly who: readonly string[];
  readonly words: string;
}

/**
 * What is odd in a team's ratings: somebody who gave three or more the same; somebody who gives each teammate less
 * than all others do; somebody to whom each teammate gives less than to anybody else; two who alone give each other
 * the most. It is a reason to ask, not a judgement.
 * @example
 * oddRatings(["Ada", "Bo", "Cy", "Di"].map((name) => ({ id: name, name })), [
 *   { rater: "Ada", ratee: "Bo", value: "3" },
 *   { rater: "Ada", ratee: "Cy", value: "3" },
 *   { rater: "Ada", ratee: "Di", value: "3" },
 * ]).map((o) => o.words)
 * // => ["Ada gave everybody 3."]
 */
export function oddRatings(members: readonly PeerMember[], ratings: readonly PeerRating[]): PeerOddity[] {
  const counted = countedOf(members, ratings);
  const value = new Map(counted.map((r) => [`${r.rater} ${r.ratee}`, Number(r.value)]));
  const given = (m: PeerMember) => counted.filter((r) => r.rater === m.id);
  const to = (m: PeerMember) => counted.filter((r) => r.ratee === m.id);
  const out: PeerOddity[] = [];
  for (const m of members) {
    const mine = given(m);
    if (mine.length > 2 && new Set(mine.map((r) => r.value)).size === 1)
      out.push({ kind: "everybody the same", who: [m.id], words: `${m.name} gave everybody ${mine[0]!.value}.` });
    const below = mine.filter((r) => {
      const others = counted.filter((x) => x.ratee === r.ratee && x.rater !== m.id);
      return others.length > 0 && others.every((x) => Number(x.value) > Number(r.value));
    });
    if (mine.length > 1 && below.length === mine.length)
      out.push({
        kind: "one against all",
        who: [m.id],
        words: `${m.name} gave each teammate less than everybody else did.`,
      });
    const mostOut = to(m).filter((r) => {
      const same = counted.filter((x) => x.rater === r.rater && x.ratee !== m.id);
      return same.length > 0 && same.every((x) => Number(x.value) > Number(r.value));
    });
    if (to(m).length > 1 && mostOut.length === to(m).length)
      out.push({ kind: "all against one", who: [m.id], words: `Each teammate gave ${m.name} less than anybody else.` });
  }
  const top = Math.max(...counted.map((r) => Number(r.value)));
  members.forEach((a, i) => {
    for (const b of members.slice(i + 1)) {
      const alone = [a, b].every((m) => {
        const best = given(m).filter((r) => Number(r.value) === top);
        return best.length === 1 && [a.id, b.id].includes(best[0]!.ratee);
      });
      const others = counted.filter((r) => [a.id, b.id].includes(r.ratee) && ![a.id, b.id].includes(r.rater));
      const nobodyElse = others.length > 0 && others.every((r) => Number(r.value) < top);
      if (alone && nobodyElse && value.get(`${a.id} ${b.id}`) === top)
        out.push({
          kind: "mutual top marks",
          who: [a.id, b.id],
          words: `${a.name} and ${b.name} gave each other the most, and nobody else gave it to them.`,
        });
    }
  });
  return out;
}
