import { format, parseISO } from "date-fns";

/** “1 team”, “3 teams”. */
export const plural = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
/** “2 Mar”, for the few words of a line. */
export const dayMonth = (iso: string): string => format(parseISO(iso), "d MMM");
/** a of b as a share from 0 to 1. */
export const share = (a: number, b: number): number => (b === 0 ? 0 : Math.min(1, a / b));
