const loads = new Set<() => Promise<unknown>>();

/** Names what is loaded when it is first opened, so that a page that is kept for without a network keeps it too. */
export function keptToo<T>(load: () => Promise<T>): () => Promise<T> {
  loads.add(load);
  return load;
}

/** Fetches all that was named. */
export const loadKeptToo = () => Promise.all([...loads].map((load) => load()));
