import type { Slot, Source } from "@/core/contest/bracket";
import type { Match } from "@/core/contest/play";
import { matchWords } from "./words";

/** One of the two lines of a match in the drawing. */
export interface Line {
  readonly text: string;
  /** Its seed; null while it is not known who it is. */
  readonly seed: number | null;
  readonly score: string;
  readonly won: boolean;
}

/** A match in the drawing: where it stands and what it says. */
export interface Box {
  readonly key: string;
  /** Its number in the order of play. */
  readonly number: number;
  readonly x: number;
  readonly y: number;
  readonly lines: readonly [Line, Line];
  readonly state: Match["state"];
  readonly title: string;
}

/** A bracket as it is drawn, in points. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly boxes: readonly Box[];
  /** From a match to the one that its winner plays next, as the path of a line. */
  readonly paths: readonly string[];
  readonly heads: readonly { readonly text: string; readonly x: number; readonly y: number }[];
}

export const boxSize = { width: 156, height: 50 } as const;
const column = boxSize.width + 36;
const unit = boxSize.height + 14;
const head = 26;

/** Where a slot stands: its column, and how far down its middle is. */
function placeOf(slot: Slot, rounds: number, double: boolean): { column: number; middle: number } {
  const mainHeight = 2 ** (rounds - 1) * unit;
  const second = 2 ** Math.max(0, rounds - 2) * unit;
  const steps = double ? Math.max(1, 2 * rounds - 2) : rounds;
  const secondTop = mainHeight + head;
  switch (slot.side) {
    case "main": {
      const stretch = double && rounds > 1 ? (steps - 1) / (rounds - 1) : 1;
      return { column: (slot.round - 1) * stretch, middle: (slot.number - 0.5) * 2 ** (slot.round - 1) * unit };
    }
    case "second": {
      const count = 2 ** (rounds - 2 - Math.floor((slot.round - 1) / 2));
      return { column: slot.round - 1, middle: secondTop + ((slot.number - 0.5) * second) / count };
    }
    case "third":
      return { column: rounds - 1, middle: mainHeight / 2 + 1.4 * unit };
    case "final":
      return double
        ? { column: steps + slot.round - 1, middle: (mainHeight / 2 + secondTop + second / 2) / 2 }
        : { column: rounds - 1, middle: mainHeight / 2 };
    case "table":
      return { column: slot.round - 1, middle: (slot.number - 0.5) * unit };
  }
}

/** The matches in their order of play, numbered from 1; byes are none. */
export const numbered = (matches: readonly Match[]): Map<string, number> =>
  new Map(matches.filter(isDrawn).map((m, i) => [m.slot.key, i + 1]));

const isDrawn = (m: Match) => m.state !== "bye" && m.state !== "empty";

/**
 * A bracket laid out: every match that is played, was played or waits, with who is in it; a bye is not drawn, and who
 * has it stands in the next round.
 */
export function bracketView(matches: readonly Match[], names: ReadonlyMap<string, string>): Drawing {
  const double = matches.some((m) => m.slot.side === "second" || m.slot.key === "F1");
  const main = matches.filter((m) => m.slot.side === "main");
  const rounds = Math.max(1, ...main.map((m) => m.slot.round)) + (double || main.length === 0 ? 0 : 1);
  const shown = matches.filter(isDrawn);
  const number = numbered(matches);
  const seeds = new Map([...names.keys()].map((id, i) => [id, i + 1]));
  const at = new Map(matches.map((m) => [m.slot.key, placeOf(m.slot, rounds, double)]));
  const line = (m: Match, side: "a" | "b"): Line => {
    const who = m[side];
    const score = m.result?.score?.[m.result.a === who ? 0 : 1] ?? "";
    return {
      text: who ? names.get(who)! : who === null ? "nobody" : waitsFor(m.slot[side], number),
      seed: who ? seeds.get(who)! : null,
      score: m.result?.outcome === "won" || m.result?.outcome === "drawn" ? score : "",
      won: who !== undefined && who !== null && m.winner === who,
    };
  };
  const boxes = shown.map((m): Box => {
    const { column: c, middle } = at.get(m.slot.key)!;
    return {
      key: m.slot.key,
      number: number.get(m.slot.key)!,
      x: 14 + c * column,
      y: head + middle - boxSize.height / 2,
      lines: [line(m, "a"), line(m, "b")],
      state: m.state,
      title: matchWords(m, (id) => names.get(id)!),
    };
  });
  const box = new Map(boxes.map((b) => [b.key, b]));
  const paths = shown.flatMap((m) =>
    (["a", "b"] as const).flatMap((side, i) => {
      const source = m.slot[side];
      const from = source.kind === "winner" ? box.get(source.of) : undefined;
      const to = box.get(m.slot.key)!;
      if (!from) return [];
      const [x, y] = [from.x + boxSize.width, from.y + boxSize.height / 2];
      const end = to.y + boxSize.height * (i === 0 ? 0.25 : 0.75);
      return [`M${x},${y}H${(x + to.x) / 2}V${end}H${to.x}`];
    }),
  );
  const secondTop = Math.min(...matches.filter((m) => m.slot.side === "second").map((m) => at.get(m.slot.key)!.middle));
  return {
    width: Math.max(0, ...boxes.map((b) => b.x)) + boxSize.width,
    height: Math.max(0, ...boxes.map((b) => b.y)) + boxSize.height + 4,
    boxes,
    paths,
    heads: [
      ...(double ? [{ text: "Main side", x: 0, y: 14 }] : []),
      ...(Number.isFinite(secondTop) ? [{ text: "Second chance", x: 0, y: 2 ** (rounds - 1) * unit + head + 14 }] : []),
    ],
  };
}

/** What a line says while it is not known who will stand there. */
function waitsFor(source: Source, number: ReadonlyMap<string, number>): string {
  if (source.kind !== "winner" && source.kind !== "loser") return "";
  const of = number.get(source.of);
  return of === undefined ? "" : `${source.kind} of ${of}`;
}
