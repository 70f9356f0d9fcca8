import { axisOf, spread } from "@/core/quantity/axis";

/** The curves of a chart of teams by generation, against their limit. */
interface Trends {
  readonly limit: number;
  readonly rows: readonly { readonly team: string; readonly trend: readonly { readonly value: number }[] }[];
}

/** The room that the curves have, in points: how high the whole is, and what of it lies above and below them. */
interface Room {
  readonly height: number;
  readonly above: number;
  readonly below: number;
}

/** The axis of the values, the points step by step, and how high each team's name stands at its curve's end. */
export function trendView({ limit, rows }: Trends, room: Room) {
  const axis = axisOf([...rows.flatMap((r) => r.trend.map((x) => x.value)), limit], false);
  const [low, high] = [axis.ticks[0]!, axis.ticks.at(-1)!];
  const end = room.height - room.below;
  const down = (value: number) => room.above + ((high - value) / (high - low)) * (end - room.above);
  const names = rows.map(() => 0);
  // Curves that end at the same generation share a column of names.
  for (const length of new Set(rows.map((r) => r.trend.length))) {
    const at = rows.flatMap((r, i) => (r.trend.length === length && length > 0 ? [i] : []));
    const places = spread(
      at.map((i) => down(rows[i]!.trend.at(-1)!.value)),
      13,
      end,
    );
    for (const [k, i] of at.entries()) names[i] = places[k]!;
  }
  const longest = Math.max(0, ...rows.map((r) => r.trend.length));
  return {
    axis,
    names,
    points: Array.from({ length: longest }, (_, i) => ({
      step: `generation ${i + 1}`,
      ...Object.fromEntries(rows.map((r) => [r.team, r.trend[i]?.value ?? null])),
    })),
  };
}
