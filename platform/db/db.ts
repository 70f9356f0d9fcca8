import "server-only";
import { AsyncLocalStorage } from "node:async_hooks";
import { v7 } from "uuid";
import { limits, Pool, type Sql } from "./pool";

export type { Sql } from "./pool";

/** A transaction answers the same tagged templates as the pool. */
export type Tx = Sql;

/** The pool of this process, and who wants to hear every query of it: the tests that count them. */
const held = globalThis as unknown as { ironstonePool?: Pool; ironstoneHeard?: (query: string) => void };

/** The pool of another database, while something runs in that one. */
const elsewhere = new AsyncLocalStorage<Pool>();

const transaction = new AsyncLocalStorage<Tx>();

function pool(): Pool {
  const other = elsewhere.getStore();
  if (other) return other;
  if (!held.ironstonePool) {
    const url = process.env.DATABASE_URL;
    if (!url) throw new Error("DATABASE_URL is not set");
    held.ironstonePool = new Pool(url, Number(process.env.IRONSTONE_POOL ?? 12), (query) =>
      held.ironstoneHeard?.(query),
    );
  }
  return held.ironstonePool;
}

/**
 * The pool of this process, made at first use from DATABASE_URL; inside a transaction, that transaction, so that what a
 * command reads is what it writes to.
 */
export const db = (): Sql => transaction.getStore() ?? pool().sql;

/**
 * Runs work in one transaction, the running one if there is one; every query in it, through `db()` too, belongs to it.
 * Throws `UnknownOutcome` when everything was done and the answer to the COMMIT is missing.
 */
export async function inTransaction<T>(work: (sql: Tx) => Promise<T>, mode = ""): Promise<T> {
  const inside = transaction.getStore();
  if (inside) return work(inside);
  return pool().transaction((sql) => transaction.run(sql, () => work(sql)), mode);
}

/** The same for work that is long by its nature: backups, imports, checks of everything. */
export async function inLongTransaction<T>(work: (sql: Tx) => Promise<T>, mode = ""): Promise<T> {
  const long = async (sql: Tx) => {
    await sql.unsafe(`SET LOCAL statement_timeout = ${limits.patient}`);
    await sql.unsafe(`SET LOCAL idle_in_transaction_session_timeout = ${limits.patient}`);
    return work(sql);
  };
  return pool().transaction((sql) => transaction.run(sql, () => long(sql)), mode, limits.patient);
}

/** Runs work in another database. */
export async function inDatabase<T>(url: string, work: () => Promise<T>): Promise<T> {
  const other = new Pool(url, 2, () => {});
  try {
    return await elsewhere.run(other, work);
  } finally {
    await other.end();
  }
}

/** Ends this process's pool, for commands and tests. */
export async function closeDb(): Promise<void> {
  await held.ironstonePool?.end();
  held.ironstonePool = undefined;
}

/** A new opaque, time-ordered id. */
export const newId = (): string => v7();
