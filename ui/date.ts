import { format, parseISO } from "date-fns";

/** A date as records show it: Tue 2 March. */
export const longDate = (iso: string): string => format(parseISO(iso.slice(0, 10)), "EEE d MMMM");
/** A date in a table: 2 Mar 2027 without the year when it is this one's. */
export const shortDate = (iso: string): string => format(parseISO(iso.slice(0, 10)), "d MMM");
/** An instant: 2 Mar 10:42. */
export const instant = (iso: string): string => format(parseISO(iso), "d MMM HH:mm");
export const fullDate = (iso: string): string => format(parseISO(iso.slice(0, 10)), "d MMMM yyyy");
