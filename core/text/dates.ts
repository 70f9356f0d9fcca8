import { isDate } from "@/core/sessions/date";
import type { DateStyle } from "@/core/vocabulary/project";

/** How dates are written; each takes an ISO date or instant. */
export interface DateWords {
  /** With its weekday, where a class cares: “Tue 2 March”. */
  longDate(iso: string): string;
  /** Without its year, for tables: “2 Mar”. */
  shortDate(iso: string): string;
  /** With its year: “2 March 2027”. */
  fullDate(iso: string): string;
  /** With the time, in the server's zone: “2 Mar 10:42”. */
  instant(iso: string): string;
}

/** Each pattern names parts of a date; what stands between them is written as it is. */
const patterns: Record<DateStyle, Record<keyof DateWords, string>> = {
  day: { longDate: "WEEKDAY D MONTH", shortDate: "D MON", fullDate: "D MONTH YEAR", instant: "D MON 24:MIN" },
  month: {
    longDate: "WEEKDAY, MONTH D",
    shortDate: "MON D",
    fullDate: "MONTH D, YEAR",
    instant: "MON D, 12:MIN AM",
  },
  year: { longDate: "WEEKDAY YEAR-MM-DD", shortDate: "MM-DD", fullDate: "YEAR-MM-DD", instant: "MM-DD 24:MIN" },
};

const named = (field: "weekday" | "month", width: "short" | "long") => {
  const words = new Intl.DateTimeFormat("en-US", { [field]: width });
  return (at: Date) => words.format(at);
};
const two = (n: number) => String(n).padStart(2, "0");
const parts: Readonly<Record<string, (at: Date) => string>> = {
  WEEKDAY: named("weekday", "short"),
  MONTH: named("month", "long"),
  MON: named("month", "short"),
  YEAR: (at) => String(at.getFullYear()),
  MIN: (at) => two(at.getMinutes()),
  MM: (at) => two(at.getMonth() + 1),
  DD: (at) => two(at.getDate()),
  AM: (at) => (at.getHours() < 12 ? "AM" : "PM"),
  D: (at) => String(at.getDate()),
  "24": (at) => two(at.getHours()),
  "12": (at) => String(at.getHours() % 12 || 12),
};
const names = new RegExp(Object.keys(parts).join("|"), "g");

/** Date and time in the local zone, after a pattern; a date without a time is its day's beginning. */
function write(iso: string, pattern: string): string {
  const at = new Date(iso.length === 10 ? `${iso}T00:00` : iso);
  if (!isDate(iso.slice(0, 10)) || Number.isNaN(at.getTime())) throw new RangeError(`“${iso}” is no date`);
  return pattern.replace(names, (part) => parts[part]!(at));
}

/**
 * Dates as a project writes them.
 * @param style which comes first: the day, the month or the year
 * @returns the ways to write one; each throws a RangeError for a text that is no ISO date
 * @example datesIn("month").longDate("2027-03-02") // => "Tue, March 2"
 */
export function datesIn(style: DateStyle): DateWords {
  const p = patterns[style];
  const day = (pattern: string) => (iso: string) => write(iso.slice(0, 10), pattern);
  return {
    longDate: day(p.longDate),
    shortDate: day(p.shortDate),
    fullDate: day(p.fullDate),
    instant: (iso) => write(iso, p.instant),
  };
}
