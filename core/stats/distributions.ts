/**
 * ln Γ(x) for x > 0, by Stirling's series after moving x above 15 (DLMF 5.11.1), to about 15 significant digits.
 * @example logGamma(5).toFixed(9) // => "3.178053830"
 */
export function logGamma(x: number): number {
  let shift = 0;
  let at = x;
  for (; at < 15; at++) shift += Math.log(at);
  const terms = [1 / 12, -1 / 360, 1 / 1260, -1 / 1680, 1 / 1188, -691 / 360360];
  const series = terms.reduce((s, c, i) => s + c / at ** (2 * i + 1), 0);
  return (at - 0.5) * Math.log(at) - at + 0.5 * Math.log(2 * Math.PI) + series - shift;
}

/** The continued fraction of the incomplete beta function (Lentz's method). */
function betaFraction(x: number, a: number, b: number): number {
  const tiny = 1e-300;
  const safe = (v: number) => (Math.abs(v) < tiny ? tiny : v);
  let c = 1;
  let d = 1 / safe(1 - ((a + b) * x) / (a + 1));
  let h = d;
  for (let m = 1; m <= 500; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / safe(1 + even * d);
    c = safe(1 + even / c);
    h *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / safe(1 + odd * d);
    c = safe(1 + odd / c);
    h *= d * c;
    if (Math.abs(d * c - 1) < 1e-15) break;
  }
  return h;
}

/**
 * The regularised incomplete beta function I_x(a, b), for x in 0 to 1 and a, b > 0, by its continued fraction (DLMF
 * 8.17.22).
 * @example betaShare(0.25, 1, 3).toFixed(6) // => "0.578125"
 */
export function betaShare(x: number, a: number, b: number): number {
  if (!(x > 0)) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  return x < (a + 1) / (a + b + 2) ? (front * betaFraction(x, a, b)) / a : 1 - (front * betaFraction(1 - x, b, a)) / b;
}

/**
 * The two-sided p of Student's t: the share of the distribution with `df` degrees of freedom that lies farther out than
 * ±t. Exact also far out, where one minus the inner share would leave nothing.
 * @example twoSidedT(0, 5) // => 1
 */
export const twoSidedT = (t: number, df: number): number =>
  Number.isFinite(t) ? betaShare(df / (df + t * t), df / 2, 0.5) : 0;

/**
 * The p of an F ratio: the share of the F distribution above it.
 * @example upperF(0, 2, 10) // => 1
 */
export const upperF = (f: number, between: number, within: number): number =>
  Number.isFinite(f) ? betaShare(within / (within + between * f), within / 2, between / 2) : 0;

/**
 * How many standard errors hold the inner `share` (0 to 1) of Student's t with `df` degrees of freedom, by Newton's
 * steps inside an interval that is halved where a step leaves it.
 * @example insideT(0.95, 8).toFixed(4) // => "2.3060"
 */
export function insideT(share: number, df: number): number {
  const outside = 1 - share;
  let [low, high] = [0, 1];
  while (twoSidedT(high, df) > outside && high < 1e12) [low, high] = [high, high * 2];
  const height = 2 * Math.exp(logGamma((df + 1) / 2) - logGamma(df / 2) - 0.5 * Math.log(df * Math.PI));
  let at = (low + high) / 2;
  for (let i = 0; i < 200 && high - low > 1e-13 * high; i++) {
    const over = twoSidedT(at, df) - outside;
    if (over > 0) low = at;
    else high = at;
    const step = over / (height * Math.exp((-(df + 1) / 2) * Math.log1p((at * at) / df)));
    if (Math.abs(step) <= 1e-13 * at) break;
    at = at + step > low && at + step < high ? at + step : (low + high) / 2;
  }
  return at;
}

/**
 * The share of the standard normal distribution above z ≥ 0: its series near the middle, its continued fraction further
 * out (Abramowitz and Stegun 26.2.11 and 26.2.14), to about 14 significant digits.
 * @example normalTail(0) // => 0.5
 * @example normalTail(1.96).toFixed(6) // => "0.024998"
 */
export function normalTail(z: number): number {
  const height = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
  if (z < 2.5) {
    let term = z;
    let sum = z;
    for (let n = 1; Math.abs(term) > 1e-17 * Math.abs(sum); n++) {
      term *= (z * z) / (2 * n + 1);
      sum += term;
    }
    return 0.5 - height * sum;
  }
  let fraction = z;
  for (let n = 120; n > 0; n--) fraction = z + n / fraction;
  return height / fraction;
}
