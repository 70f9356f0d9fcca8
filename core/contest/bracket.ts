/** Where somebody in a match comes from. */
export type Source =
  | { readonly kind: "entry"; readonly seed: number }
  | { readonly kind: "winner" | "loser"; readonly of: string }
  | { readonly kind: "nobody" };

/**
 * The parts of an elimination: the main side, the second chance, the final, the match for the third place; a table's
 * rounds.
 */
export type Side = "main" | "second" | "final" | "third" | "table";

/** A place in a bracket where two may meet. */
export interface Slot {
  /** Unique in its bracket: `M1-3`, `S2-1`, `F1`. */
  readonly key: string;
  readonly side: Side;
  readonly round: number;
  /** Its place in its round, from 1. */
  readonly number: number;
  readonly a: Source;
  readonly b: Source;
  /** It is played only when this match was won by its second, who came from the second chance. */
  readonly onlyIf?: string;
}

/** The least and the most entries that a bracket has. */
export const bracketSize = { min: 2, max: 64 } as const;

const winner = (of: string): Source => ({ kind: "winner", of });
const loser = (of: string): Source => ({ kind: "loser", of });

/**
 * The seeds of a first round from top to bottom, such that the first and the second can meet in the final only, the
 * first four in the semi-finals only, and so on.
 * @param rounds the number of rounds; 2 to their power places come out
 * @example seedOrder(2) // => [1, 4, 2, 3]
 */
export function seedOrder(rounds: number): number[] {
  let order = [1];
  for (let r = 0; r < rounds; r++) order = order.flatMap((s) => [s, 2 * order.length + 1 - s]);
  return order;
}

function checkSize(n: number): void {
  if (!Number.isInteger(n) || n < bracketSize.min || n > bracketSize.max)
    throw new RangeError(`A bracket has ${bracketSize.min} to ${bracketSize.max} entries, not ${n}`);
}

/** The main side for n entries: byes go to the top seeds. */
function mainSide(n: number): Slot[][] {
  const rounds = Math.ceil(Math.log2(n));
  const seeds = seedOrder(rounds);
  const entry = (at: number): Source => (seeds[at]! <= n ? { kind: "entry", seed: seeds[at]! } : { kind: "nobody" });
  const out: Slot[][] = [];
  for (let round = 1; round <= rounds; round++) {
    const before = out.at(-1);
    const source = (at: number) => (before ? winner(before[at]!.key) : entry(at));
    out.push(
      Array.from({ length: 2 ** (rounds - round) }, (_, i) => ({
        key: `M${round}-${i + 1}`,
        side: "main",
        round,
        number: i + 1,
        a: source(2 * i),
        b: source(2 * i + 1),
      })),
    );
  }
  return out;
}

/**
 * A single elimination: every slot in an order in which it can be played. n entries take n − 1 matches, or n with one
 * for the third place; a slot with nobody on one side is a bye.
 * @param n entries, 2 to 64; throws a RangeError outside
 * @param third whether the losers of the semi-finals play for the third place
 * @example singleBracket(4, true).map((s) => s.key) // => ["M1-1", "M1-2", "T1", "M2-1"]
 */
export function singleBracket(n: number, third = false): Slot[] {
  checkSize(n);
  const rounds = mainSide(n);
  const [final] = rounds.pop()!;
  const half = rounds.at(-1);
  const place: Slot[] =
    third && half
      ? [{ key: "T1", side: "third", round: 1, number: 1, a: loser(half[0]!.key), b: loser(half[1]!.key) }]
      : [];
  return [...rounds.flat(), ...place, { ...final!, side: "final" }];
}

/**
 * Where the loser of a main round's match drops to among as many places of the second chance. The places lie in
 * quarters; each main round sends the losers of one quarter to another quarter than every round before it did, so that
 * they meet nobody whom they have beaten while more than four are left there.
 */
function dropTo(at: number, round: number, rounds: number): number {
  const quarter = 2 ** (rounds - round - 2);
  if (quarter < 1) return at ^ 1;
  return ((Math.floor(at / quarter) ^ (round - 1)) % 4) * quarter + (at % quarter);
}

/**
 * A double elimination: every slot in an order in which it can be played. n entries take 2n − 2 matches, or 2n − 1
 * where the second final is needed; with it everybody but the winner leaves at the second loss. Nobody meets anybody
 * twice while more than four are left in the second chance.
 * @param n entries, 2 to 64; throws a RangeError outside
 * @param secondFinal whether a first loss in the final is forgiven too
 * @example doubleBracket(4).map((s) => s.key) // => ["M1-1", "M1-2", "S1-1", "M2-1", "S2-1", "F1", "F2"]
 */
export function doubleBracket(n: number, secondFinal = true): Slot[] {
  checkSize(n);
  const main = mainSide(n);
  const rounds = main.length;
  const out: Slot[] = [...main[0]!];
  // After the first main round its losers meet each other; after each further one, those who are left meet its losers
  // and then each other.
  let left: readonly Source[] = main[0]!.map((m) => loser(m.key));
  let step = 0;
  const add = (pairs: readonly (readonly [Source, Source])[]) => {
    step++;
    const slots = pairs.map(
      ([a, b], i): Slot => ({ key: `S${step}-${i + 1}`, side: "second", round: step, number: i + 1, a, b }),
    );
    out.push(...slots);
    left = slots.map((s) => winner(s.key));
  };
  for (let round = 2; round <= rounds; round++) {
    add(Array.from({ length: left.length / 2 }, (_, i) => [left[2 * i]!, left[2 * i + 1]!] as const));
    const here = main[round - 1]!;
    out.push(...here);
    const dropped: Source[] = [];
    for (const [i, m] of here.entries()) dropped[here.length > 1 ? dropTo(i, round, rounds) : 0] = loser(m.key);
    add(left.map((l, i) => [l, dropped[i]!] as const));
  }
  const top = winner(main.at(-1)![0]!.key);
  const final: Slot = { key: "F1", side: "final", round: 1, number: 1, a: top, b: left[0]! };
  const again: Slot = { ...final, key: "F2", round: 2, a: loser("F1"), b: winner("F1"), onlyIf: "F1" };
  return [...out, final, ...(secondFinal ? [again] : [])];
}
