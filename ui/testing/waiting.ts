// A browser's database for tests of what waits.
import { deserialize, serialize } from "node:v8";
import "fake-indexeddb/auto";
import { openDB } from "idb";
import { readBox } from "../waiting-store";

globalThis.structuredClone ??= (v) => deserialize(serialize(v));

/** What is kept in a box, as another page would find it. */
export const kept = (box: string): Promise<{ id: string; input: unknown; problem?: string }[]> => readBox(box);

/** Empties every box, as in a browser that is used for the first time. */
export async function emptyBoxes(): Promise<void> {
  // It is there once a box was read.
  await readBox("");
  const db = await openDB("ironstone.waiting");
  await db.clear("waiting");
  db.close();
}
