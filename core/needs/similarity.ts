import { stemmer } from "stemmer";
import { limitsInText, opposite, type StatedLimit } from "../quantity/limits-in-text";

// Words that carry no need; “at most”, “no more than” and their kin are left to the limits.
const stop = new Set(
  (
    "a an the and or of to in on at by for from with without into onto over under be is are was were " +
    "been it its this that these those there they them their he she his her we us our you your i my me " +
    "as if so not no nor than then too very just also about can could should would will shall may might " +
    "must have has had do does did done get gets got make makes made need needs want wants like likes " +
    "able ability has any some all each every when while where which who whom what how why because but " +
    "more most less least least much many lot up down out off only own same such please one thing things " +
    "use used using user users someone somebody people person people's team design product device want " +
    "wanted would"
  ).split(" "),
);

// The few ideas that clients say in many words. The first word of each line names it.
const ideas = `
mass: weight weigh weighs weighed heavy heavier light lighter lightweight lift lifting carry carries carried carrying
mass: portable sack burden kg kilos kilo kilograms
cost: price cheap cheaper expensive budget money afford affordable dear spend spending pay paid
noise: quiet quieter loud louder sound noisy clank rattle silent disturb
size: small smaller big bigger compact space room dimension dimensions width height length
size: shelf fit fits fitting store storage stored
leak: drip drips dripping spill spills spilling seep watertight tight leaks leakage leaking puddle
strength: strong stronger sturdy robust break breaks broken breakage durable tough knock knocks drop dropped drops fall
speed: fast faster quick quickly quicker slow time minutes
safe: safety danger dangerous hurt injury injure pinch sharp trap traps trapped
clean: cleaning wash washed washing wipe hygiene hygienic rinse rinsed
easy: simple simply easily effort comfortable comfort awkward strain tiring tire tired
power: electricity electric mains battery batteries plug socket current charge charging
cold: cool cooler cooling temperature warm heat hot chill chilled °c degrees
repair: mend mending fix fixing maintain maintenance spare spares replace replaced replacing
alone: single solo one-handed operator herself himself yourself singlehanded
water: rainwater
read: reading reads visible see seen show shows display glance
open: opened opening opens unlatch unlock lid
`
  .trim()
  .split("\n")
  .map((l) => l.split(/[:\s]+/).filter(Boolean));
const ideaOf = new Map<string, string>();
for (const [name, ...words] of ideas) for (const w of [name!, ...words]) ideaOf.set(stemmer(w), `#${name}`);

const unitWords: Record<string, string> = {
  litre: "l",
  litres: "l",
  liter: "l",
  liters: "l",
  kilograms: "kg",
  kilos: "kg",
  kilo: "kg",
  minutes: "min",
  minute: "min",
  seconds: "s",
  hours: "h",
  hour: "h",
  metres: "m",
  metre: "m",
  millimetres: "mm",
  grams: "g",
  degrees: "°c",
};

/**
 * The words of a statement that count when statements are compared, with their weights: lower case, stop words dropped,
 * stems,
 * words for one idea (weight, heavy, carry) made one, numbers kept with their unit. Ideas and numbers weigh 1.6, other
 * words 1.
 * @example [...wordsOf("It must not weigh more than 5 kilos").keys()] // => ["#mass", "5kg"]
 */
export function wordsOf(statement: string): Map<string, number> {
  const out = new Map<string, number>();
  const text = statement
    .toLowerCase()
    .replace(/[’']s\b/g, "")
    .replace(/(\d)[.,]0+(?=\D|$)/g, "$1")
    .replace(/(\d+(?:[.,]\d+)?)\s*(°c|[a-zµ]+)?/g, (_, n: string, u?: string) => {
      const unit = u ? (unitWords[u] ?? u) : "";
      return unit.length <= 3 ? ` ${n}${unit} ` : ` ${n} ${u} `;
    });
  for (const raw of text.match(/\d[\d.,]*(?:°c|[a-zµ]{1,3})?|[a-z°][a-z-]*/g) ?? []) {
    if (/^\d/.test(raw)) out.set(raw, 1.6);
    else if (!stop.has(raw)) {
      const stem = stemmer(raw);
      const idea = ideaOf.get(stem);
      out.set(idea ?? stem, idea ? 1.6 : 1);
    }
  }
  return out;
}

export interface Likeness {
  /** 0 nothing in common to 1 the same words. */
  readonly score: number;
  readonly shared: readonly string[];
}

const total = (words: ReadonlyMap<string, number>) => {
  let sum = 0;
  for (const weight of words.values()) sum += weight;
  return sum;
};
// Dice's coefficient of weighted words, drawn a little towards the share of the shorter statement that the longer one
// holds.
const scoreOf = (both: number, a: number, b: number) =>
  both === 0 ? 0 : (0.7 * 2 * both) / (a + b) + (0.3 * both) / Math.min(a, b);
const sharedBy = (a: ReadonlyMap<string, number>, b: ReadonlyMap<string, number>) =>
  [...a.keys()].filter((w) => b.has(w));

/**
 * How alike two statements are: 0.7 × Dice's coefficient of their weighted words + 0.3 × the share of the shorter that
 * the longer holds; 0 to 1.
 * @example
 * likeness("It must be light to carry", "She carries it, so keep the weight down").score > likenessThreshold
 * // => true
 * @example likeness("It must be light to carry", "Nothing may drip on the path").score // => 0
 */
export function likeness(a: string, b: string): Likeness {
  const [x, y] = [wordsOf(a), wordsOf(b)];
  const shared = sharedBy(x, y);
  return {
    score: scoreOf(
      shared.reduce((s, w) => s + x.get(w)!, 0),
      total(x),
      total(y),
    ),
    shared: shared.map((w) => w.replace("#", "")),
  };
}

/**
 * From this likeness on two statements are offered as likely duplicates; tuned on a labelled set, shown beside every
 * group.
 */
export const likenessThreshold = 0.46;

export interface LikelyPair extends Likeness {
  readonly a: number;
  readonly b: number;
}

/**
 * All pairs of statements at or above a threshold of likeness, by their positions, the most alike first. Words lead to
 * candidates, so that long lists stay quick.
 * @example
 * likelyPairs(["Quiet near readers", "Must not be noisy near the readers", "Red"]).map((p) => [p.a, p.b])
 * // => [[0, 1]]
 * @example likelyPairs(["Weighs at least 10 lb", "Weighs at most 9 lb"]) // => []
 */
export function likelyPairs(statements: readonly string[], threshold = likenessThreshold): LikelyPair[] {
  const words = statements.map(wordsOf);
  const totals = words.map(total);
  const holders = new Map<string, number[]>();
  const out: LikelyPair[] = [];
  const limits: (StatedLimit[] | undefined)[] = [];
  const limitsOf = (i: number) => (limits[i] ??= limitsInText(statements[i]!));
  const against = (a: number, b: number) => limitsOf(a).some((x) => limitsOf(b).some((y) => opposite(x, y)));
  words.forEach((ws, b) => {
    const both = new Map<number, number>();
    for (const [w, weight] of ws) {
      const before = holders.get(w);
      if (!before) {
        holders.set(w, [b]);
        continue;
      }
      for (const a of before) both.set(a, (both.get(a) ?? 0) + weight);
      before.push(b);
    }
    for (const [a, sum] of both) {
      const score = scoreOf(sum, totals[a]!, totals[b]!);
      // What bounds the same quantity from the other side is never the same wish.
      if (score >= threshold && !against(a, b))
        out.push({ a, b, score, shared: sharedBy(words[a]!, ws).map((w) => w.replace("#", "")) });
    }
  });
  return out.sort((x, y) => y.score - x.score || x.a - y.a || x.b - y.b);
}

/**
 * Statements grouped by likeness: each group holds statements of which each is alike to at least one other and, on
 * average, to all of them. Statements that stand alone are left out.
 * Pairs that a person has told apart are never joined.
 * @example groupAlike(["Quiet near readers", "Not noisy near the readers", "Red"]).map((g) => g.members) // => [[0, 1]]
 */
export function groupAlike(
  statements: readonly string[],
  {
    threshold = likenessThreshold,
    apart = new Set<string>(),
  }: { threshold?: number /** Pairs told apart, as "a/b" with a < b. */; apart?: ReadonlySet<string> } = {},
): { members: number[]; pairs: LikelyPair[] }[] {
  const pairs = likelyPairs(statements, threshold).filter((p) => !apart.has(`${p.a}/${p.b}`));
  const alike = new Set(pairs.map((p) => `${p.a}/${p.b}`));
  const group = new Map<number, number[]>();
  for (const p of pairs) {
    const [x, y] = [group.get(p.a) ?? [p.a], group.get(p.b) ?? [p.b]];
    if (x === y) continue;
    // Chains of weak links do not make a group: at least half of all pairs across must be alike, and none told apart.
    const across = x.flatMap((i) => y.map((j) => `${Math.min(i, j)}/${Math.max(i, j)}`));
    if (across.some((k) => apart.has(k)) || across.filter((k) => alike.has(k)).length * 2 < across.length) continue;
    const joined = [...x, ...y].sort((i, j) => i - j);
    for (const i of joined) group.set(i, joined);
  }
  return [...new Set(group.values())]
    .sort((x, y) => x[0]! - y[0]!)
    .map((members) => ({ members, pairs: pairs.filter((p) => members.includes(p.a) && members.includes(p.b)) }));
}
