import { decimalsFor } from "../quantity/quantity";
import { type Kind, levelsOf } from "../run/reading";

/** A measure as a rehearsal reads it: of its kind, with the range of what is read. */
export type Rehearsed = Kind & {
  readonly resolution: string;
  readonly min: string;
  readonly max: string;
};

/** The share by which a simulated reading may differ from what is usual, three quarters of the time. */
const scatter = 0.04;

/**
 * A made-up reading for a rehearsal, as somebody would type it: around what is usual for the build, inside the
 * measure's range, to its resolution. Levels and counts are drawn from what they can be.
 * @param usual in the measure's unit; null where nothing was measured yet
 * @param random numbers in [0, 1)
 * @example simulatedReading({ resolution: "0.1", min: "0", max: "10" }, 8, () => 0.5) // => "8.0"
 * @example
 * simulatedReading({ kind: "yes-no", resolution: "1", min: "", max: "" }, null, () => 0.9)
 * // => "yes"
 */
export function simulatedReading(measure: Rehearsed, usual: number | null, random: () => number): string {
  const levels = levelsOf(measure);
  if (levels) return levels[Math.min(levels.length - 1, Math.floor(random() * levels.length))] ?? "";
  const least = measure.min === "" ? 0 : Number(measure.min);
  const most = measure.max === "" ? Math.max(1, 2 * least, 2 * (usual ?? 0)) : Number(measure.max);
  const around = usual ?? (least + most) / 2;
  // The sum of three is near enough to how readings scatter.
  const away = (random() + random() + random() - 1.5) * 2 * scatter;
  const step = Number(measure.resolution);
  const inside = Math.min(most, Math.max(least, around * (1 + away)));
  const read = Math.min(Math.floor(most / step), Math.max(Math.ceil(least / step), Math.round(inside / step))) * step;
  return measure.kind === "count" ? String(Math.round(read)) : read.toFixed(decimalsFor(measure.resolution));
}

/**
 * A made-up mark for a rehearsal, from 0 to the best.
 * @example simulatedMark(5, () => 0.99) // => 5
 */
export const simulatedMark = (most: number, random: () => number): number =>
  Math.min(most, Math.floor(random() * (most + 1)));
