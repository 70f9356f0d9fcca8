import "server-only";
import postgres from "postgres";
import { v7 } from "uuid";

const connect = (url: string, max: number) =>
  postgres(url, {
    max,
    onnotice: () => {},
    transform: { column: { from: postgres.toCamel, to: postgres.fromCamel }, undefined: null },
    types: {
      // School dates stay texts (YYYY-MM-DD); instants are ISO texts, ready to cross to the browser.
      calendar: { to: 1082, from: [1082], serialize: (x: string) => x, parse: (x: string) => x },
      instant: { to: 1184, from: [1184], serialize: (x: Date | string) => (x instanceof Date ? x.toISOString() : x), parse: (x: string) => new Date(x).toISOString() },
    },
  });

export type Sql = ReturnType<typeof connect>;
/** A transaction answers the same tagged templates as the pool. */
export type Tx = Sql;

const held = globalThis as unknown as { ironstoneSql?: Sql };

/** The pool of this process, made at first use from DATABASE_URL. */
export function db(): Sql {
  if (!held.ironstoneSql) {
    const url = process.env.DATABASE_URL;
    if (!url) throw new Error("DATABASE_URL is not set");
    held.ironstoneSql = connect(url, Number(process.env.IRONSTONE_POOL ?? 12));
  }
  return held.ironstoneSql;
}

/** Ends this process's pool, for commands and tests. */
export async function closeDb(): Promise<void> {
  await held.ironstoneSql?.end();
  held.ironstoneSql = undefined;
}

/** A new opaque, time-ordered id. */
export const newId = (): string => v7();
