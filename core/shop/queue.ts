import { median } from "@/core/stats/describe";

/** A class session in which a machine can be used; sessions in the order of time. */
export interface MachineTime {
  /** Which: bookings name it. */
  readonly key: string;
  /** Whose session it is. */
  readonly section: string;
  readonly date: string;
  readonly minutes: number;
}

/** Minutes of a session that are taken. */
export interface TakenTime {
  readonly key: string;
  readonly starts: number;
  readonly minutes: number;
}

/** Somebody who waits for a machine. */
export interface MachineWish {
  readonly id: string;
  readonly section: string;
  readonly minutes: number;
  readonly needBy: string;
  /** When it was asked for: who asked first comes first. */
  readonly askedAt: string;
}

export interface QueuePlace {
  readonly id: string;
  readonly key: string;
  readonly starts: number;
  readonly date: string;
  /** It comes after the day on which it is needed. */
  readonly late: boolean;
}

export interface QueuePlan {
  readonly places: readonly QueuePlace[];
  /** Those that find no place: longer than any session of theirs, or no session has room. */
  readonly without: readonly { readonly id: string; readonly why: "too long" | "no room" }[];
}

/**
 * The first minute of a session from which so many minutes are free; null where there are none.
 * @example freeFrom(50, [{ starts: 0, minutes: 20 }, { starts: 30, minutes: 10 }], 10) // => 20
 */
export function freeFrom(
  session: number,
  taken: readonly { readonly starts: number; readonly minutes: number }[],
  minutes: number,
): number | null {
  let at = 0;
  for (const t of [...taken].sort((a, b) => a.starts - b.starts)) {
    if (t.starts - at >= minutes) return at;
    at = Math.max(at, t.starts + t.minutes);
  }
  return session - at >= minutes ? at : null;
}

/**
 * Gives those who wait for a machine their time: by the day on which it is needed, then by who asked first, each in the
 * first session of the own section with room for it. What is taken stays where it is; nothing overlaps.
 * @example
 * planQueue(
 *   [{ key: "1", section: "A", date: "2027-03-02", minutes: 50 }],
 *   [{ key: "1", starts: 0, minutes: 20 }],
 *   [{ id: "x", section: "A", minutes: 30, needBy: "2027-03-01", askedAt: "1" }],
 * ).places
 * // => [{ id: "x", key: "1", starts: 20, date: "2027-03-02", late: true }]
 */
export function planQueue(
  times: readonly MachineTime[],
  taken: readonly TakenTime[],
  waiting: readonly MachineWish[],
): QueuePlan {
  const byTime = new Map(times.map((t) => [t.key, taken.filter((x) => x.key === t.key)]));
  const places: QueuePlace[] = [];
  const without: { id: string; why: "too long" | "no room" }[] = [];
  const order = [...waiting].sort(
    (a, b) => a.needBy.localeCompare(b.needBy) || a.askedAt.localeCompare(b.askedAt) || a.id.localeCompare(b.id),
  );
  for (const w of order) {
    const own = times.filter((t) => t.section === w.section);
    const found = own.flatMap((t) => {
      const starts = freeFrom(t.minutes, byTime.get(t.key)!, w.minutes);
      return starts === null ? [] : [{ t, starts }];
    })[0];
    if (!found) {
      without.push({ id: w.id, why: own.some((t) => t.minutes >= w.minutes) ? "no room" : "too long" });
      continue;
    }
    const { t, starts } = found;
    byTime.get(t.key)!.push({ key: t.key, starts, minutes: w.minutes });
    places.push({ id: w.id, key: t.key, starts, date: t.date, late: t.date > w.needBy });
  }
  return { places, without };
}

/**
 * How long times at a machine were against what was estimated: the median of used over estimated; null where fewer than
 * three are known.
 * @example overrun([{ minutes: 20, used: 30 }, { minutes: 10, used: 10 }, { minutes: 30, used: 36 }]) // => 1.2
 */
export function overrun(done: readonly { readonly minutes: number; readonly used: number }[]): number | null {
  if (done.length < 3) return null;
  return median(done.map((d) => d.used / d.minutes));
}
