import { clockOf } from "../contest/programme";

/** A review of one room and day, as planned and as it went; times in minutes since midnight, not always whole. */
export interface ClockSlot {
  readonly id: string;
  readonly planned: number;
  readonly minutes: number;
  readonly began: number | null;
  readonly ended: number | null;
}

export interface SlotOnDay {
  readonly id: string;
  readonly state: "over" | "on" | "to come";
  /** When it began, or when it can begin as things stand. */
  readonly begins: number;
  readonly ends: number;
  /** By how many minutes it begins later than planned; below zero never: nobody has to come sooner. */
  readonly late: number;
}

export interface SlotClock {
  readonly slots: readonly SlotOnDay[];
  /** The one that is on. */
  readonly on: string | null;
  /** Seconds left of it; below zero beyond its end. */
  readonly left: number | null;
  /** The next one to come. */
  readonly next: string | null;
  /** How many minutes the room is behind: what is still to come begins so much later. */
  readonly behind: number;
}

/**
 * How a room's reviews of one day go: what is on and how long it has left, and when the rest can begin as delays add
 * up. A review that is on takes its whole time, or as long as it has taken; the next begins after the change, and not
 * before its planned time; what is to come and was to have begun begins now.
 * @param now Minutes since midnight.
 * @param change Minutes between two reviews.
 * @example
 * slotClock(
 *   [
 *     { id: "a", planned: 540, minutes: 20, began: 546, ended: null },
 *     { id: "b", planned: 565, minutes: 20, began: null, ended: null },
 *   ],
 *   550,
 *   5,
 * ).behind
 * // => 6
 */
export function slotClock(slots: readonly ClockSlot[], now: number, change: number): SlotClock {
  let free = Number.NEGATIVE_INFINITY;
  const lines = slots
    .toSorted((a, b) => a.planned - b.planned)
    .map((s): SlotOnDay => {
      const state = s.ended !== null ? "over" : s.began !== null ? "on" : "to come";
      const begins = s.began ?? Math.max(s.planned, free, now);
      const ends = s.ended ?? (state === "on" ? Math.max(begins + s.minutes, now) : begins + s.minutes);
      free = Math.max(free, ends + change);
      return { id: s.id, state, begins, ends, late: Math.max(0, begins - s.planned) };
    });
  const on = lines.find((l) => l.state === "on");
  const begun = on && slots.find((s) => s.id === on.id)!;
  const next = lines.find((l) => l.state === "to come");
  return {
    slots: lines,
    on: on?.id ?? null,
    left: begun ? Math.round((begun.began! + begun.minutes - now) * 60) : null,
    next: next?.id ?? null,
    behind: next ? next.late : (lines.at(-1)?.late ?? 0),
  };
}

/** How a speaker is warned. */
export type ClockWarning = "none" | "soon" | "last minute" | "over";

/**
 * How a speaker is warned with so many seconds left: in the last quarter, at most five minutes, that the end is near.
 * @example clockWarning(59, 20) // => "last minute"
 * @example clockWarning(300, 20) // => "soon"
 * @example clockWarning(-1, 20) // => "over"
 */
export function clockWarning(left: number, minutes: number): ClockWarning {
  if (left < 0) return "over";
  if (left < 60) return "last minute";
  return left <= Math.min(300, minutes * 15) ? "soon" : "none";
}

/**
 * Seconds left as a clock shows them, beyond the end with a plus.
 * @example leftText(125) // => "2:05"
 * @example leftText(-70) // => "+1:10"
 */
export function leftText(seconds: number): string {
  const s = Math.abs(seconds);
  return `${seconds < 0 ? "+" : ""}${Math.floor(s / 60)}:${String(s % 60).padStart(2, "0")}`;
}

/**
 * When a review is, and when it can begin as things stand.
 * @example
 * slotTimeText({ id: "a", state: "to come", begins: 571, ends: 591, late: 6 }) // => "9:31, 6 min late"
 */
export function slotTimeText(slot: SlotOnDay): string {
  const late = Math.round(slot.late);
  return `${clockOf(slot.begins)}${late > 0 ? `, ${late} min late` : ""}`;
}
