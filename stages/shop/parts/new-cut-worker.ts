/** The cut planner in a thread of its own. */
export const newCutWorker = (): Worker => new Worker(new URL("../../../workers/cuts.ts", import.meta.url));
