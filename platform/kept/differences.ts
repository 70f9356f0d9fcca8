/** A kept value that is not what the core computes from the facts. */
export interface Difference {
  readonly project: string;
  /** What it is of, in words. */
  readonly what: string;
  readonly kept: string;
  readonly computed: string;
}

/** Kept values as lines: what they are of, and what is kept, as text. */
export type Lines = ReadonlyMap<string, string>;

/** A value as text that does not depend on the order of keys, which the database chooses itself. */
export const stable = (value: unknown): string =>
  JSON.stringify(value, (_, v) =>
    v !== null && typeof v === "object" && !Array.isArray(v)
      ? Object.fromEntries(Object.entries(v).sort(([a], [b]) => (a < b ? -1 : 1)))
      : v,
  );

/** Where what is kept and what is computed differ, what is missing and what should not be there included. */
export function differences(project: string, kept: Lines, computed: Lines): Difference[] {
  return [...new Set([...computed.keys(), ...kept.keys()])].flatMap((what) => {
    const [a, b] = [kept.get(what) ?? "nothing", computed.get(what) ?? "nothing"];
    return a === b ? [] : [{ project, what, kept: a, computed: b }];
  });
}
