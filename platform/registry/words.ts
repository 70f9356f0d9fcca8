/** “1 team”, “3 teams”. */
export const plural = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
/** a of b as a share from 0 to 1. */
export const share = (a: number, b: number): number => (b === 0 ? 0 : Math.min(1, a / b));
