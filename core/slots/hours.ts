import { clockOf } from "../contest/programme";

/** A stretch of a day, in minutes since midnight; the end is not part of it. */
export interface Hours {
  readonly from: number;
  readonly to: number;
}

/**
 * Hours as they are written.
 * @example hoursText([{ from: 510, to: 600 }, { from: 780, to: 870 }]) // => "8:30–10:00, 13:00–14:30"
 */
export const hoursText = (hours: readonly Hours[]): string =>
  hours.map((h) => `${clockOf(h.from)}–${clockOf(h.to)}`).join(", ");

const time = (text: string): number | null => {
  const m = /^(\d{1,2})(?:[:.](\d{2}))?$/.exec(text.trim());
  if (!m) return null;
  const minutes = Number(m[1]) * 60 + Number(m[2] ?? 0);
  return Number(m[2] ?? 0) < 60 && minutes < 24 * 60 ? minutes : null;
};

/**
 * Reads hours of a day as people write them, strictly: stretches separated by commas, in order. Nothing typed is the
 * whole of `day`, a dash or "no" is none of it.
 * @throws RangeError in words where something is not hours, or ends before it begins, or overlaps.
 * @example readHours("8:30-10, 13-14:30", []) // => [{ from: 510, to: 600 }, { from: 780, to: 870 }]
 */
export function readHours(text: string, day: readonly Hours[]): readonly Hours[] {
  const typed = text.trim();
  if (!typed || typed === "all") return day;
  if (/^([-–—]|no|none)$/i.test(typed)) return [];
  let last = 0;
  return typed.split(",").map((part) => {
    const ends = part.split(/[-–—]/).map(time);
    const [from, to] = ends;
    if (ends.length !== 2 || from === null || to === null || from === undefined || to === undefined)
      throw new RangeError(
        `“${part.trim()}” is not a stretch of hours: write 8:30-10:00, several with commas, - for none.`,
      );
    if (to <= from) throw new RangeError(`“${part.trim()}” ends before it begins.`);
    if (from < last) throw new RangeError(`“${part.trim()}” begins before the stretch in front of it ends.`);
    last = to;
    return { from, to };
  });
}

/**
 * Whether a stretch lies whole within hours that may touch one another.
 * @example within({ from: 570, to: 590 }, [{ from: 510, to: 580 }, { from: 580, to: 600 }]) // => true
 */
export function within(stretch: Hours, hours: readonly Hours[]): boolean {
  let at = stretch.from;
  for (const h of hours.toSorted((a, b) => a.from - b.from)) if (h.from <= at && h.to > at) at = h.to;
  return at >= stretch.to;
}
