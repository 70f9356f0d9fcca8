/** The entries with a seed, the first seed first. */
export const seeded = <E extends { readonly seed: number | null }>(entries: readonly E[]): E[] =>
  entries.filter((n) => n.seed !== null).sort((a, b) => a.seed! - b.seed!);
