/**
 * A standard normal deviate from two even numbers in [0, 1) (Box and Muller, 1958).
 * @example normalDeviate(0, 0.3) + 0 // => 0
 * @example normalDeviate(0.5, 0).toFixed(4) // => "1.1774"
 */
export const normalDeviate = (a: number, b: number): number =>
  Math.sqrt(-2 * Math.log(1 - a)) * Math.cos(2 * Math.PI * b);
