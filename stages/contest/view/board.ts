interface Shown {
  readonly id: string;
  readonly state: string;
}

/**
 * What a board shows: the event that it was asked for; else the one that runs, else the last that was confirmed, else
 * the first; attempts before matches where both run.
 */
export function onBoard<E extends Shown, M extends Shown>(
  events: readonly E[],
  matches: readonly M[],
  wanted?: string,
): { event?: E; race?: M } {
  const among = (of: readonly Shown[], state: string) => of.findLast((e) => e.state === state)?.id;
  const all = [...matches, ...events];
  const id =
    all.find((e) => e.id === wanted)?.id ??
    events.find((e) => e.state === "running")?.id ??
    matches.find((e) => e.state === "running")?.id ??
    among(all, "confirmed") ??
    (events[0] ?? matches[0])?.id;
  return { event: events.find((e) => e.id === id), race: matches.find((e) => e.id === id) };
}
