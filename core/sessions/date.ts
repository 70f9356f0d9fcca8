// School dates are calendar dates without a zone: ISO texts, counted in whole days.

const day = 86_400_000;
const utc = (iso: string) => Date.parse(`${iso}T00:00:00Z`);

/**
 * Whether a text is a calendar date, YYYY-MM-DD.
 * @example isDate("2027-02-30") // => false
 */
export function isDate(text: string): boolean {
  return (
    /^\d{4}-\d\d-\d\d$/.test(text) && !Number.isNaN(utc(text)) && new Date(utc(text)).toISOString().startsWith(text)
  );
}

/**
 * A date some days later or (negative) earlier.
 * @example addDays("2027-02-27", 3) // => "2027-03-02"
 */
export function addDays(iso: string, days: number): string {
  return new Date(utc(iso) + days * day).toISOString().slice(0, 10);
}

/**
 * Days from one date to another.
 * @example daysBetween("2027-01-18", "2027-03-02") // => 43
 */
export function daysBetween(from: string, to: string): number {
  return Math.round((utc(to) - utc(from)) / day);
}

/**
 * The weekday, 1 for Monday to 7 for Sunday.
 * @example weekday("2027-03-02") // => 2
 */
export function weekday(iso: string): number {
  return new Date(utc(iso)).getUTCDay() || 7;
}

/**
 * The Monday of a date's week.
 * @example mondayOf("2027-03-02") // => "2027-03-01"
 */
export function mondayOf(iso: string): string {
  return addDays(iso, 1 - weekday(iso));
}
