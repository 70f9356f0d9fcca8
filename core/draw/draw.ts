/**
 * A seeded source of numbers in [0, 1): the seed's text is mixed by FNV-1a into the 128-bit state of sfc32. The same
 * seed gives the same numbers on every machine.
 * @example seededRandom("4417")() === seededRandom("4417")() // => true
 */
export function seededRandom(seed: string): () => number {
  let h = 0x811c9dc5;
  const mix = (salt: number) => {
    for (const ch of `${salt}:${seed}`) h = Math.imul(h ^ ch.codePointAt(0)!, 0x01000193) >>> 0;
    return h;
  };
  let [a, b, c, d] = [mix(1), mix(2), mix(3), mix(4)] as [number, number, number, number];
  const next = () => {
    const t = (((a + b) | 0) + d) | 0;
    d = (d + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = (c << 21) | (c >>> 11);
    c = (c + t) | 0;
    return (t >>> 0) / 4294967296;
  };
  for (let i = 0; i < 16; i++) next();
  return next;
}

/**
 * A list in a seeded random order (Fisher and Yates); the given list is left alone. The order depends on the seed and
 * on the given order only.
 * @example drawOrder(["Alder", "Bramble", "Cistern"], "12").length // => 3
 */
export function drawOrder<T>(items: readonly T[], seed: string): T[] {
  const random = seededRandom(seed);
  const out = [...items];
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [out[i], out[j]] = [out[j]!, out[i]!];
  }
  return out;
}

/**
 * Sizes of teams for a number of people, as equal as possible and none outside min to max; null when that cannot be.
 * @example teamSizes(14, 3, 4) // => [4, 4, 3, 3]
 * @example teamSizes(5, 3, 4) // => null
 */
export function teamSizes(people: number, min: number, max: number): number[] | null {
  if (people === 0) return [];
  const least = Math.ceil(people / max);
  const most = Math.floor(people / min);
  if (least > most || min < 1) return null;
  const base = Math.floor(people / least);
  return Array.from({ length: least }, (_, i) => base + (i < people % least ? 1 : 0));
}

/**
 * People drawn into teams: a seeded order cut into sizes between min and max; null when the sizes cannot be met.
 * @example drawTeams(["a", "b", "c", "d", "e", "f"], 3, 3, "7")?.map((t) => t.length) // => [3, 3]
 */
export function drawTeams<T>(people: readonly T[], min: number, max: number, seed: string): T[][] | null {
  const sizes = teamSizes(people.length, min, max);
  if (!sizes) return null;
  const order = drawOrder(people, seed);
  let at = 0;
  return sizes.map((size) => order.slice(at, (at += size)));
}
