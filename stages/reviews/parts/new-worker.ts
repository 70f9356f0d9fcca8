/** The slot planner in a thread of its own. */
export const newSlotWorker = (): Worker => new Worker(new URL("../../../workers/slots.ts", import.meta.url));
