import "server-only";
import { setTimeout as pause } from "node:timers/promises";
import postgres from "postgres";
import { copyOf, guarded, hear, type Running } from "./guard";
import { isLost, isRead, NoAnswer, UnknownOutcome } from "./lost";

/** How long things may take, in milliseconds; the server's own limits are a little shorter than the wait for it. */
export const limits = {
  connect: 5_000,
  lock: 5_000,
  statement: 20_000,
  answer: 22_000,
  /** For work that is long by its nature: backups, imports, checks of everything. */
  patient: 15 * 60_000,
};

/** The pauses before something is tried again that cannot have been done. */
const pauses = [50, 200, 500, 1000];

const open = (url: string, max: number, heard: (query: string) => void) =>
  postgres(url, {
    max,
    onnotice: () => {},
    idle_timeout: 120,
    connect_timeout: limits.connect / 1000,
    // In tests alone: with it an error carries what was put into its query, which is nobody's to read in a log.
    debug: process.env.NODE_ENV === "test" && ((_: number, query: string) => heard(query)),
    connection: {
      application_name: "ironstone",
      lock_timeout: limits.lock,
      statement_timeout: limits.statement,
      idle_in_transaction_session_timeout: 2 * limits.statement,
      // Compiling a question of many parts takes longer than answering it.
      jit: "off",
    },
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

export type Sql = ReturnType<typeof open>;

/** A connection of Postgres.js, as far as its end can be heard. */
interface Connection {
  onclose: ((error: unknown) => void) | null;
}

/**
 * The connections of this process. Where one is lost, everything that comes later goes through new ones: Postgres.js
 * takes a lost connection up again with what was left in it. A read is sent again; of a transaction, nothing is sent
 * once its connection is gone.
 */
export class Pool {
  private raw: Sql | null = null;
  private left = new Set<Sql>();
  readonly sql: Sql;

  constructor(
    private readonly url: string,
    private readonly max: number,
    private readonly heard: (query: string) => void,
  ) {
    const at = (made: Sql) => guarded(made, (q) => this.hearQuery(q, made, 0));
    // The template of the pool that is current when it is called.
    this.sql = new Proxy((() => {}) as unknown as Sql, {
      apply: (_, self, args) => Reflect.apply(at(this.current()), self, args),
      get: (_, key) => Reflect.get(at(this.current()), key),
    });
  }

  private current(): Sql {
    this.raw ??= open(this.url, this.max, this.heard);
    return this.raw;
  }

  /** Leaves a pool in which a connection was lost: what runs in it may end, nothing new begins. */
  private leave(lost: Sql): void {
    if (this.raw !== lost) return;
    this.raw = null;
    this.left.add(lost);
    setTimeout(() => {
      this.left.delete(lost);
      void lost.end({ timeout: 0 });
    }, limits.answer * 2).unref();
  }

  private hearQuery(q: Running, made: Sql, tries: number): void {
    hear(q, {
      wait: limits.answer,
      failed: (error) => {
        if (!isLost(error)) return null;
        this.leave(made);
        const rest = pauses[tries];
        if (rest === undefined || error instanceof NoAnswer || !isRead(q.strings.join("?"))) return null;
        return pause(rest).then(() => {
          const next = this.current();
          const again = copyOf(q, next);
          this.hearQuery(again, next, tries + 1);
          return again;
        });
      },
    });
  }

  /** Runs work in a transaction of its own. What it leaves unsettled when the connection goes stays unsettled. */
  async transaction<T>(work: (sql: Sql) => Promise<T>, mode: string, wait: number = limits.answer): Promise<T> {
    for (let tries = 0; ; tries++) {
      const made = this.current();
      const state = { at: "asked" as "asked" | "working" | "ending", gone: null as unknown };
      try {
        return await this.attempt(made, work, mode, wait, state);
      } catch (error) {
        if (!isLost(error)) throw error;
        this.leave(made);
        if (state.at === "ending") throw new UnknownOutcome(error);
        const rest = pauses[tries];
        if (state.at !== "asked" || rest === undefined || error instanceof NoAnswer) throw error;
        await pause(rest);
      }
    }
  }

  private async attempt<T>(
    made: Sql,
    work: (sql: Sql) => Promise<T>,
    mode: string,
    wait: number,
    state: { at: "asked" | "working" | "ending"; gone: unknown },
  ): Promise<T> {
    let clock: NodeJS.Timeout | undefined;
    let fail: (error: unknown) => void = () => {};
    const over = new Promise<never>((_, reject) => {
      fail = (error) => {
        state.gone ??= error;
        reject(error);
      };
    });
    const within = () => {
      clearTimeout(clock);
      clock = setTimeout(() => fail(new NoAnswer()), wait);
    };
    within();
    const begun = made.begin(mode, (tx) => {
      clearTimeout(clock);
      state.at = "working";
      const inner = tx as unknown as Sql;
      void inner.unsafe("SELECT 1", [], { onexecute: (c: Connection) => hearEnd(c, fail) } as never).execute();
      const sql = guarded(inner, (q) =>
        hear(q, {
          wait,
          refused: () => state.gone,
          failed: (error) => {
            if (isLost(error)) fail(error);
            return null;
          },
        }),
      );
      // Once the connection is gone this stays unsettled: Postgres.js would send its ROLLBACK or COMMIT to whoever has
      // the connection by then.
      return new Promise<T>((resolve, reject) => {
        work(sql).then(
          (value) => {
            if (state.gone) return;
            state.at = "ending";
            within();
            resolve(value);
          },
          (error) => {
            if (!state.gone) reject(error);
          },
        );
      });
    });
    try {
      return (await Promise.race([begun, over])) as T;
    } finally {
      clearTimeout(clock);
      begun.catch(() => {});
      over.catch(() => {});
    }
  }

  async end(): Promise<void> {
    const [now, before] = [this.raw, [...this.left]];
    this.raw = null;
    this.left.clear();
    await Promise.all([now?.end({ timeout: 5 }), ...before.map((x) => x.end({ timeout: 0 }))]);
  }
}

/** Has the end of a transaction's connection told at once, before anything else can be sent to it. */
function hearEnd(c: Connection, fail: (error: unknown) => void): true {
  const known = c.onclose;
  c.onclose = (error) => {
    fail(error);
    known?.(error);
  };
  return true;
}
