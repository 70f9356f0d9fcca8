import type postgres from "postgres";
import { NoAnswer } from "./lost";

/** A query of Postgres.js as far as the guard knows it: its handler sends it when somebody waits for it. */
export interface Running extends PromiseLike<unknown> {
  handler: (q: Running) => unknown;
  resolve: (value: unknown) => void;
  reject: (error: unknown) => void;
  readonly strings: readonly string[];
  readonly args: readonly unknown[];
  readonly options: object;
}

/** Lets `watch` see every query that is made by a tagged template or by `unsafe`, before it is sent. */
export function guarded<T extends postgres.Sql>(sql: T, watch: (query: Running) => void): T {
  const seen = (made: unknown) => {
    if (made && typeof made === "object" && "handler" in made) watch(made as Running);
    return made;
  };
  return new Proxy(sql, {
    apply: (target, self, args) => seen(Reflect.apply(target, self, args)),
    get: (target, key) =>
      key === "unsafe" ? (...args: [string]) => seen(target.unsafe(...args)) : Reflect.get(target, key),
  });
}

interface Ear {
  /** How long an answer may take, in milliseconds. */
  readonly wait: number;
  /** Why it must not be sent any more. */
  refused?(): unknown;
  /** Hears of a failure; what it gives is waited for instead. */
  failed(error: unknown): PromiseLike<unknown> | null;
}

/** Hears how a query ends once it is sent, and gives up on it when no answer comes. */
export function hear(q: Running, ear: Ear): void {
  const send = q.handler;
  q.handler = (x) => {
    const refused = ear.refused?.();
    const { resolve, reject } = x;
    if (refused) return reject(refused);
    const clock = setTimeout(() => x.reject(new NoAnswer()), ear.wait);
    x.resolve = (value) => {
      clearTimeout(clock);
      resolve(value);
    };
    let over = false;
    x.reject = (error) => {
      if (over) return;
      over = true;
      clearTimeout(clock);
      const instead = ear.failed(error);
      if (instead) instead.then(resolve, reject);
      else reject(error);
    };
    return send(x);
  };
}

/** The same query once more, to be sent by another pool: the old one may still be answered by the connection it had. */
export function copyOf(q: Running, sql: postgres.Sql): Running {
  const Query = q.constructor as new (...given: unknown[]) => Running;
  const fresh = sql`` as unknown as Running;
  return new Query(q.strings, q.args, fresh.handler, null, q.options);
}
