// What was written and is not on the server yet, in this browser's database: each thing by itself, in the order in
// which it was written, so that neither a reload, a closed browser nor a second tab loses one. No clock is asked.
import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import { line } from "./in-turn";

/** Something that waits, as it is kept. */
export interface Kept {
  readonly id: string;
}

interface Row {
  /** Given by the database: the order. */
  readonly nth?: number;
  readonly box: string;
  readonly id: string;
  readonly item: Kept;
}

interface Shape extends DBSchema {
  waiting: { key: number; value: Row; indexes: { box: string; id: [string, string] } };
}

let opened: Promise<IDBPDatabase<Shape> | null> | null = null;

/** The database; null where this browser has none or has closed it: what waits lives as long as the page. */
const open = () =>
  (opened ??= openDB<Shape>("ironstone.waiting", 1, {
    upgrade(db) {
      const store = db.createObjectStore("waiting", { keyPath: "nth", autoIncrement: true });
      store.createIndex("box", "box");
      store.createIndex("id", ["box", "id"], { unique: true });
    },
    terminated() {
      opened = null;
    },
  }).catch(() => null));

// One change after the other, in the order in which they were asked for.
const inTurn = line();

/** What waits in a box, in the order in which it was written. */
export const readBox = <T extends Kept>(box: string): Promise<T[]> =>
  inTurn(async () => {
    const rows = await (await open())?.getAllFromIndex("waiting", "box", box);
    return (rows ?? []).sort((a, b) => a.nth! - b.nth!).map((r) => r.item as T);
  });

/** Keeps something in a box, or what became of it meanwhile; once it is kept it is on the disk. */
export const keepIn = (box: string, item: Kept): Promise<void> =>
  inTurn(async () => {
    const tx = (await open())?.transaction("waiting", "readwrite", { durability: "strict" });
    if (!tx) return;
    const nth = await tx.store.index("id").getKey([box, item.id]);
    await tx.store.put({ ...(nth !== undefined && { nth }), box, id: item.id, item });
    await tx.done;
  });

/** Takes something out of a box: the server has it, or it was given up. */
export const takeFrom = (box: string, id: string): Promise<void> =>
  inTurn(async () => {
    const tx = (await open())?.transaction("waiting", "readwrite");
    if (!tx) return;
    const nth = await tx.store.index("id").getKey([box, id]);
    if (nth !== undefined) await tx.store.delete(nth);
    await tx.done;
  });
