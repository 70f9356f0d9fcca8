import { format, parseISO } from "date-fns";
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

const patterns: Record<DateStyle, Record<keyof DateWords, string>> = {
  day: { longDate: "EEE d MMMM", shortDate: "d MMM", fullDate: "d MMMM yyyy", instant: "d MMM HH:mm" },
  month: { longDate: "EEE, MMMM d", shortDate: "MMM d", fullDate: "MMMM d, yyyy", instant: "MMM d, h:mm a" },
  year: { longDate: "EEE yyyy-MM-dd", shortDate: "MM-dd", fullDate: "yyyy-MM-dd", instant: "MM-dd HH:mm" },
};

/**
 * Dates as a project writes them.
 * @param style which comes first: the day, the month or the year
 * @returns the ways to write one; each throws a RangeError for a text that is no ISO date
 * @example datesIn("month").longDate("2027-03-02") // => "Tue, March 2"
 */
export function datesIn(style: DateStyle): DateWords {
  const p = patterns[style];
  const day = (pattern: string) => (iso: string) => format(parseISO(iso.slice(0, 10)), pattern);
  return {
    longDate: day(p.longDate),
    shortDate: day(p.shortDate),
    fullDate: day(p.fullDate),
    instant: (iso) => format(parseISO(iso), p.instant),
  };
}
