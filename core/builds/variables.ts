/** Design variables of a build by name, as they were written. */
export type Variables = Readonly<Record<string, string>>;

/**
 * The design variables that differ between two builds, by name; one that only one of them has differs.
 * @example changedVariables({ stroke: "0.25 m", valve: "flap" }, { stroke: "0.30 m", valve: "flap" }) // => ["stroke"]
 */
export const changedVariables = (a: Variables, b: Variables): string[] =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].filter((k) => a[k] !== b[k]);

export interface Separation {
  /** What differs between the two. */
  readonly changed: readonly string[];
  readonly kind: "repeat" | "clean" | "confounded";
  /** Builds to make, each a change of the first in one variable only; the fewest that tell the changes apart. */
  readonly further: readonly { readonly variable: string; readonly value: string }[];
  /** Of the builds on record those that help, by their place in `others`. */
  readonly helped: readonly number[];
}

/**
 * Which change made the difference between two builds: with one variable changed the comparison is clean, with none it
 * is a repeat, with several they are confounded, and what is named are the fewest further builds that would separate
 * their effects, if effects add up. Builds on record (`others`) that differ from the two in nothing else count.
 * @example
 * separate(
 *   { stroke: "0.25 m", valve: "flap" },
 *   { stroke: "0.30 m", valve: "ball" },
 *   [],
 * ).further
 * // => [{ variable: "stroke", value: "0.30 m" }]
 */
export function separate(a: Variables, b: Variables, others: readonly Variables[]): Separation {
  const changed = changedVariables(a, b);
  if (changed.length < 2) return { changed, kind: changed.length ? "clean" : "repeat", further: [], helped: [] };
  // One row a build: which of the changes it has. `a` has none and is what all are held against.
  const rows: number[][] = [];
  const adds = (row: readonly number[]) => {
    let rest = [...row];
    for (const r of rows) {
      const lead = r.findIndex((x) => x !== 0);
      const by = rest[lead]! / r[lead]!;
      rest = rest.map((x, i) => x - by * r[i]!);
    }
    if (rest.every((x) => Math.abs(x) < 1e-9)) return false;
    rows.push(rest.map((x) => (Math.abs(x) < 1e-9 ? 0 : x)));
    return true;
  };
  adds(changed.map(() => 1));
  const helped = others.flatMap((o, i) => {
    const same = changedVariables(a, o).every((k) => changed.includes(k) && o[k] === b[k]);
    return same && adds(changed.map((k) => (a[k] === o[k] ? 0 : 1))) ? [i] : [];
  });
  const further = changed.flatMap((variable, i) =>
    adds(changed.map((_, k) => (k === i ? 1 : 0))) ? [{ variable, value: b[variable] ?? "" }] : [],
  );
  return { changed, kind: further.length ? "confounded" : "clean", further, helped };
}
