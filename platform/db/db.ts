import "server-only";
import { AsyncLocalStorage } from "node:async_hooks";
import postgres from "postgres";
import { v7 } from "uuid";

const connect = (url: string, max: number) =>
  postgres(url, {
    max,
    onnotice: () => {},
    // In tests alone: with it an error carries what was put into its query, which is nobody's to read in a log.
    debug: process.env.NODE_ENV === "test" && ((_: number, query: string) => held.ironstoneHeard?.(query)),
    // An undefined value in a query is a mistake and is refused: nothing is written as NULL by accident.
    transform: { column: { from: postgres.toCamel, to: postgres.fromCamel } },
    types: {
      // School dates stay texts (YYYY-MM-DD); instants are ISO texts, ready to cross to the browser.
      calendar: { to: 1082, from: [1082], serialize: (x: string) => x, parse: (x: string) => x },
      instant: {
        to: 1184,
        from: [1184],
        serialize: (x: Date | string) => (x instanceof Date ? x.toISOString() : x),
        parse: (x: string) => new Date(x).toISOString(),
      },
    },
  });

export type Sql = ReturnType<typeof connect>;

/** A transaction answers the same tagged templates as the pool. */
export type Tx = Sql;

/** The pool of this process, and who wants to hear every query of it: the tests that count them. */
const held = globalThis as unknown as { ironstoneSql?: Sql; ironstoneHeard?: (query: string) => void };

const transaction = new AsyncLocalStorage<Tx>();

/**
 * The pool of this process, made at first use from DATABASE_URL; inside a transaction, that transaction, so that what a
 * command reads is what it writes to.
 */
export function db(): Sql {
  const inside = transaction.getStore();
  if (inside) return inside;
  if (!held.ironstoneSql) {
    const url = process.env.DATABASE_URL;
    if (!url) throw new Error("DATABASE_URL is not set");
    held.ironstoneSql = connect(url, Number(process.env.IRONSTONE_POOL ?? 12));
  }
  return held.ironstoneSql;
}

/**
 * Runs work in one transaction, the running one if there is one; every query in it, through `db()` too, belongs to it.
 */
export async function inTransaction<T>(work: (sql: Tx) => Promise<T>, mode = ""): Promise<T> {
  const inside = transaction.getStore();
  if (inside) return work(inside);
  return (await db().begin(mode, (tx) => {
    const sql = tx as unknown as Tx;
    return transaction.run(sql, () => work(sql));
  })) as T;
}

/** Ends this process's pool, for commands and tests. */
export async function closeDb(): Promise<void> {
  await held.ironstoneSql?.end();
  held.ironstoneSql = undefined;
}

/** A new opaque, time-ordered id. */
export const newId = (): string => v7();
