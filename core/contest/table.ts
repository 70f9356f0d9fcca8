import Decimal from "decimal.js";
import type { Computed } from "../working/working";
import { makeWorking } from "../working/working";
import type { Result } from "./play";

/** What a match earns, as exact decimals. */
export interface TablePoints {
  readonly win: string;
  readonly draw: string;
  readonly loss: string;
}

/** How an entry stands in a table. */
export interface TableRow {
  readonly entry: string;
  /** The first of the places that it shares, and how many share them. */
  readonly place: number;
  readonly sharing: number;
  readonly played: number;
  readonly won: number;
  readonly drawn: number;
  readonly lost: number;
  readonly points: string;
  /** Games, or what was measured: own less the others'. */
  readonly difference: string;
  /** What told it from those with equal points; null where nothing had to. */
  readonly decidedBy: "head-to-head" | "difference" | null;
  readonly working: Computed<string>["working"];
}

const zero = new Decimal(0);

function earned(entry: string, results: readonly Result[], points: TablePoints, byes: number) {
  const own = results.filter((r) => r.a === entry || r.b === entry);
  const won = own.filter((r) => r.winner === entry).length;
  const drawn = own.filter((r) => r.outcome === "drawn").length;
  const lost = own.length - won - drawn;
  const difference = own.reduce((sum, r) => {
    if (!r.score) return sum;
    const [a, b] = r.score;
    return r.a === entry ? sum.plus(a).minus(b) : sum.plus(b).minus(a);
  }, zero);
  const total = new Decimal(points.win).times(won + byes).plus(new Decimal(points.draw).times(drawn));
  return { own, won, drawn, lost, byes, difference, points: total.plus(new Decimal(points.loss).times(lost)) };
}

/**
 * The table of matches in which everybody meets several others: by points, then by the points of the matches among
 * those who are tied, then by the difference of what was scored; who is still tied shares the place.
 * @param entries in any order; those without a match stand in it with none
 * @param results at most one a pair; a match in which neither came is lost by both
 * @param byes who had a bye, once for each: it earns what a win earns
 * @example
 * table(["A", "B", "C"], [
 *   { slot: "R1-1", a: "A", b: "B", outcome: "won", winner: "B" },
 *   { slot: "R2-1", a: "C", b: "A", outcome: "drawn", winner: null },
 * ], { win: "2", draw: "1", loss: "0" }).map((r) => [r.entry, r.place, r.points])
 * // => [["B", 1, "2"], ["A", 2, "1"], ["C", 2, "1"]]
 */
export function table(
  entries: readonly string[],
  results: readonly Result[],
  points: TablePoints,
  byes: readonly string[] = [],
): TableRow[] {
  const had = (e: string) => byes.filter((x) => x === e).length;
  const all = new Map(entries.map((e) => [e, earned(e, results, points, had(e))]));
  const among = (group: readonly string[]) => {
    const inside = results.filter((r) => group.includes(r.a) && group.includes(r.b));
    return new Map(group.map((e) => [e, earned(e, inside, points, 0).points]));
  };
  const groups = split(entries, (e) => all.get(e)!.points);
  let before = 0;
  return groups.flatMap((tied) => {
    const direct = among(tied);
    const byDirect = split(tied, (e) => direct.get(e)!);
    return byDirect.flatMap((close) =>
      split(close, (e) => all.get(e)!.difference).flatMap((same) => {
        const place = before + 1;
        before += same.length;
        const decidedBy =
          same.length === tied.length ? null : same.length < close.length ? "difference" : "head-to-head";
        return same.map((e) =>
          rowOf(e, all.get(e)!, { place, sharing: same.length, decidedBy, tied, direct: direct.get(e)! }, points),
        );
      }),
    );
  });
}

/** The entries in groups of equal value, the greatest first; in the order given within a group. */
function split(entries: readonly string[], value: (entry: string) => Decimal): string[][] {
  const groups: string[][] = [];
  for (const e of [...entries].sort((a, b) => value(b).cmp(value(a)))) {
    const last = groups.at(-1);
    if (last && value(last[0]!).eq(value(e))) last.push(e);
    else groups.push([e]);
  }
  return groups;
}

function rowOf(
  entry: string,
  of: ReturnType<typeof earned>,
  at: Pick<TableRow, "place" | "sharing" | "decidedBy"> & { tied: readonly string[]; direct: Decimal },
  points: TablePoints,
): TableRow {
  const { won, drawn, lost, byes } = of;
  const others = at.tied.filter((e) => e !== entry);
  return {
    entry,
    place: at.place,
    sharing: at.sharing,
    played: of.own.length,
    won,
    drawn,
    lost,
    points: of.points.toString(),
    difference: of.difference.toString(),
    decidedBy: at.decidedBy,
    working: makeWorking({
      title: `${entry}: place ${at.place}`,
      result: of.points.toString(),
      unit: "points",
      rule: "Points; then the points of the matches among those who are tied; then the difference of what was scored.",
      steps: [
        `${won} × ${points.win} + ${drawn} × ${points.draw} + ${lost} × ${points.loss}` +
          `${byes ? ` + ${byes} × ${points.win}` : ""} = ${of.points.toString()}`,
        ...(others.length
          ? [`against ${others.join(", ")}: ${at.direct.toString()} points`, `difference ${of.difference.toString()}`]
          : []),
      ],
      inputs: [
        ...(byes ? [{ label: "byes, each as a win", value: String(byes) }] : []),
        ...of.own.map((r) => {
          const mine = r.a === entry;
          const how = r.winner === entry ? "won" : r.outcome === "drawn" ? "drawn" : "lost";
          const [own, other] = r.score ? (mine ? r.score : [r.score[1], r.score[0]]) : ["", ""];
          return {
            label: `against ${mine ? r.b : r.a}`,
            value: `${how}${own && ` ${own} : ${other}`}`,
          };
        }),
      ],
      warnings: at.sharing > 1 ? ["Shares its place: nothing tells them apart."] : [],
    }),
  };
}
