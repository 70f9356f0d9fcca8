import { addDays, mondayOf } from "@/core/sessions/date";
import type { ClassSession } from "@/core/sessions/sessions";
import type { MachineTime } from "@/core/shop/queue";

/** A class session in which machines run, with which of its section's it is. */
export interface ShopTime extends MachineTime {
  readonly period: number;
  /** Counted from the project's first. */
  readonly number: number;
}

/** The sessions of all sections between two days, in the order of time; two of one day are told apart. */
export function shopTimes(
  calendars: ReadonlyMap<string, readonly ClassSession[]>,
  minutes: number,
  from: string,
  to: string,
): ShopTime[] {
  return [...calendars]
    .flatMap(([section, sessions]) =>
      sessions.flatMap((s, i): ShopTime[] => {
        if (s.date < from || s.date > to) return [];
        const period = sessions.slice(0, i).filter((x) => x.date === s.date).length + 1;
        const key = timeKey({ section, date: s.date, period });
        return [{ key, section, date: s.date, minutes, period, number: s.number }];
      }),
    )
    .sort((a, b) => a.date.localeCompare(b.date) || a.period - b.period);
}

/** How a session is named: its section, day and period. */
export const timeKey = (t: { section: string; date: string; period: number }): string =>
  [t.section, t.date, t.period].join(" ");

/** The session that a booking stands in; empty while it waits. */
export const placeOf = (b: {
  readonly sectionId: string | null;
  readonly onDate: string | null;
  readonly period: number | null;
}): string =>
  b.sectionId && b.onDate && b.period ? timeKey({ section: b.sectionId, date: b.onDate, period: b.period }) : "";

/** Monday and Sunday of a day's week. */
export const weekOf = (day: string): { from: string; to: string } => {
  const from = mondayOf(day);
  return { from, to: addDays(from, 6) };
};
