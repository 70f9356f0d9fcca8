/** Standard errors that hold 95 % of a normal distribution. */
const z95 = 1.959963984540054;

/**
 * The share of tries that succeeded with Wilson's 95 % interval (Wilson, 1927); null without a try. Throws when more
 * succeeded than were tried.
 * @example wilson(9, 12)?.interval.map((x) => x.toFixed(3)) // => ["0.468", "0.911"]
 */
export function wilson(
  passed: number,
  tries: number,
): { readonly share: number; readonly interval: readonly [number, number] } | null {
  if (passed < 0 || passed > tries) throw new RangeError(`${passed} of ${tries} cannot have succeeded`);
  if (tries === 0) return null;
  const share = passed / tries;
  const zz = z95 ** 2 / tries;
  const middle = (share + zz / 2) / (1 + zz);
  const half = (z95 / (1 + zz)) * Math.sqrt((share * (1 - share)) / tries + zz / (4 * tries));
  return { share, interval: [passed === 0 ? 0 : middle - half, passed === tries ? 1 : middle + half] };
}
