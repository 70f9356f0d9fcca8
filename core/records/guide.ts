/** A line of a parts list. */
export interface ListedPart {
  readonly id: string;
  readonly name: string;
  readonly count: number;
}

/** What a step of a build guide fits, and where: x, y and z from the datum in metres. */
export interface FittingStep {
  readonly partId: string | null;
  readonly count: number;
  readonly at: readonly [number, number, number] | null;
}

/**
 * How many of each part the steps of a guide fit, against the parts list: `left` are not fitted by any step; a negative
 * one is fitted more often than the list has it.
 * @example
 * fittedParts([{ id: "a", name: "Leg", count: 4 }, { id: "b", name: "Screw", count: 8 }], [
 *   { partId: "a", count: 4, at: null },
 *   { partId: "b", count: 6, at: null },
 * ]).map((p) => `${p.name} ${p.left}`)
 * // => ["Leg 0", "Screw 2"]
 */
export function fittedParts(parts: readonly ListedPart[], steps: readonly FittingStep[]) {
  return parts.map((p) => {
    const fitted = steps.filter((s) => s.partId === p.id).reduce((n, s) => n + s.count, 0);
    return { ...p, fitted, left: p.count - fitted };
  });
}

/** The box around places, in metres: its least corner and its three sides. */
export interface Around {
  readonly least: readonly [number, number, number];
  readonly sides: readonly [number, number, number];
}

/**
 * The smallest box along the axes that holds all places; null where there is none.
 * @example around([[0, 0, 0], [0.4, 0.2, 0.1]]).sides // => [0.4, 0.2, 0.1]
 */
export function around(places: readonly (readonly [number, number, number])[]): Around | null {
  if (places.length === 0) return null;
  const least = [0, 1, 2].map((k) => Math.min(...places.map((p) => p[k]!)));
  const most = [0, 1, 2].map((k) => Math.max(...places.map((p) => p[k]!)));
  const [a, b, c] = [0, 1, 2].map((k) => most[k]! - least[k]!);
  return { least: [least[0]!, least[1]!, least[2]!], sides: [a!, b!, c!] };
}

/**
 * Whether places can lie inside a box of these sides, in metres, however the box is turned along the axes.
 * @example withinSides([[0, 0, 0], [0.4, 0.6, 0]], [0.6, 0.4, 0.4]) // => true
 * @example withinSides([[0, 0, 0], [0.5, 0.6, 0]], [0.6, 0.4, 0.4]) // => false
 */
export function withinSides(
  places: readonly (readonly [number, number, number])[],
  sides: readonly [number, number, number],
): boolean {
  const box = around(places);
  if (!box) return true;
  const down = (of: readonly number[]) => [...of].sort((a, b) => b - a);
  const room = down(sides);
  return down(box.sides).every((s, i) => s <= room[i]! * (1 + 1e-9));
}

/**
 * Pairs of steps, by position, that fit two things at the same place, to within a distance in metres.
 * @example
 * atOnePlace([[0, 0, 0], null, [0, 0, 0.0005], [1, 0, 0]], 0.001) // => [[0, 2]]
 */
export function atOnePlace(
  places: readonly (readonly [number, number, number] | null)[],
  within: number,
): [number, number][] {
  return places.flatMap((p, i) =>
    places.slice(i + 1).flatMap((q, k): [number, number][] => {
      const apart = p && q ? Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]) : Number.POSITIVE_INFINITY;
      return apart <= within ? [[i, i + 1 + k]] : [];
    }),
  );
}
