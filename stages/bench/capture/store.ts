// What an instrument gave and the server does not have yet, in this browser: every sample stands here before the screen
// shows it, so that neither a reload nor a crash loses one.
import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { Standing, Wanted } from "@/core/instrument/receive";
import type { Simulation } from "@/core/instrument/simulated";
import type { Block } from "../view/samples";

/** A reading of a capture: the series that its samples become. */
export interface CaptureReading extends Wanted {
  readonly name: string;
  readonly seriesId: string;
}

/** A capture as it was begun. */
export interface Capture {
  readonly id: string;
  readonly buildId: string;
  readonly protocolVersionId: string;
  /** Of this computer's clock, in milliseconds. */
  readonly startedAt: number;
  /** Where it is gone on with. */
  readonly page: string;
  /** Where its samples come from, in words. */
  readonly source: string;
  readonly readings: readonly CaptureReading[];
  /** The simulated instrument; null for a real one. */
  readonly simulation: Simulation | null;
}

/** Where a capture stands; an ended one only waits to be sent. */
interface State extends Standing {
  readonly id: string;
  readonly ended: boolean;
}

interface KeptBlock extends Block {
  readonly capture: string;
  readonly key: string;
  readonly number: number;
  /** Nothing is added to it any more. */
  readonly full: boolean;
}

interface Shape extends DBSchema {
  capture: { key: string; value: Capture };
  state: { key: string; value: State };
  block: { key: [string, string, number]; value: KeptBlock };
  sent: { key: [string, string]; value: { capture: string; key: string; next: number } };
}

export type Store = IDBPDatabase<Shape>;

/** This browser's store of captures. */
export const openStore = (): Promise<Store> =>
  openDB<Shape>("ironstone.captures", 1, {
    upgrade(db) {
      db.createObjectStore("capture", { keyPath: "id" });
      db.createObjectStore("state", { keyPath: "id" });
      db.createObjectStore("block", { keyPath: ["capture", "key", "number"] });
      db.createObjectStore("sent", { keyPath: ["capture", "key"] });
    },
  });

/** All blocks of a reading from a number on. */
const from = (capture: string, key: string, number = 0) =>
  IDBKeyRange.bound([capture, key, number], [capture, key, Number.POSITIVE_INFINITY]);

/** Keeps a capture that begins. */
export async function beginCapture(store: Store, capture: Capture): Promise<void> {
  const tx = store.transaction(["capture", "state"], "readwrite");
  await Promise.all([
    tx.objectStore("capture").put(capture),
    tx.objectStore("state").put({ id: capture.id, offset: null, last: {}, ended: false }),
    tx.done,
  ]);
}

/** Keeps blocks and where the capture stands, all or nothing; once it returns they are on the disk. */
export async function keepBlocks(store: Store, state: State, blocks: readonly KeptBlock[]): Promise<void> {
  const tx = store.transaction(["block", "state"], "readwrite", { durability: "strict" });
  await Promise.all([
    ...blocks.map((b) => tx.objectStore("block").put(b)),
    tx.objectStore("state").put(state),
    tx.done,
  ]);
}

/** The captures that this browser keeps, oldest first, with where they stand. */
export async function keptCaptures(store: Store): Promise<{ capture: Capture; state: State }[]> {
  const [captures, states] = await Promise.all([store.getAll("capture"), store.getAll("state")]);
  return captures
    .sort((a, b) => a.startedAt - b.startedAt)
    .map((capture) => ({ capture, state: states.find((s) => s.id === capture.id)! }));
}

/** The blocks of a reading, in their order. */
export const blocksOf = (store: Store, capture: string, key: string, number = 0): Promise<KeptBlock[]> =>
  store.getAll("block", from(capture, key, number));

/** The blocks that the server does not have yet: the full ones, or of an ended capture all. */
export async function unsentOf(store: Store, capture: string, key: string, ended: boolean): Promise<KeptBlock[]> {
  const sent = await store.get("sent", [capture, key]);
  return (await blocksOf(store, capture, key, sent?.next ?? 0)).filter((b) => b.full || ended);
}

/** Notes that the server has a reading's blocks below a number. */
export const noteSent = (store: Store, capture: string, key: string, next: number) =>
  store.put("sent", { capture, key, next });

/** Says that nothing is added to a capture any more. */
export async function endCapture(store: Store, id: string): Promise<void> {
  const tx = store.transaction("state", "readwrite");
  const state = await tx.store.get(id);
  if (state) await tx.store.put({ ...state, ended: true });
  await tx.done;
}

/** Forgets a capture with all of its samples. */
export async function dropCapture(store: Store, capture: Capture): Promise<void> {
  const tx = store.transaction(["capture", "state", "block", "sent"], "readwrite");
  await Promise.all([
    tx.objectStore("capture").delete(capture.id),
    tx.objectStore("state").delete(capture.id),
    ...capture.readings.flatMap(({ key }) => [
      tx.objectStore("block").delete(from(capture.id, key)),
      tx.objectStore("sent").delete([capture.id, key]),
    ]),
    tx.done,
  ]);
}

/** The name of the lock that a capture's worker holds as long as it listens: another page leaves it alone. */
export const lockOf = (id: string): string => `ironstone.capture.${id}`;
