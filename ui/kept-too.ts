const loads = new Set<() => Promise<unknown>>();

/** Names what is loaded when it is first opened, so that a page that is kept for without a network keeps it too. */
export function keptToo<T>(load: () => Promise<T>): () => Promise<T> {
  loads.add(load);
  return load;
}

/** Fetches all that was named, and what that names in its turn. */
export async function loadKeptToo(): Promise<void> {
  const asked = new Set<() => Promise<unknown>>();
  for (let more = [...loads]; more.length; more = [...loads].filter((load) => !asked.has(load))) {
    for (const load of more) asked.add(load);
    await Promise.all(more.map((load) => load()));
  }
}
