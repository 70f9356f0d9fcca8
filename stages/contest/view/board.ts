interface Shown {
  readonly id: string;
  readonly state: string;
}

/**
 * Which event a board shows: the one that it was asked for; else the one that runs, else the last that was confirmed,
 * else the first; of several that run the first in the list.
 * @param all measured events first, then judged ones, then matches
 */
export const onBoard = (all: readonly Shown[], wanted?: string): string | undefined =>
  all.find((e) => e.id === wanted)?.id ??
  all.find((e) => e.state === "running")?.id ??
  all.findLast((e) => e.state === "confirmed")?.id ??
  all[0]?.id;
