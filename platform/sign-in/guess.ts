import "server-only";
import { db } from "@/platform/db/db";

/** How many guesses are free at a door, and how long the ones after them wait at most, in seconds. */
export interface Door {
  readonly key: string;
  readonly free: number;
  readonly most: number;
}

/** One account: after five guesses the wait doubles with each, up to five minutes. Nobody is locked out for good. */
export const account = (name: string): Door => ({ key: `account:${name}`, free: 5, most: 300 });
/** One address: a whole class may stand behind it. */
export const address = (from: string): Door => ({ key: `address:${from}`, free: 200, most: 10 });
/** One address from which a crowd votes: a hall may stand behind it. */
export const crowd = (from: string): Door => ({ key: `crowd:${from}`, free: 2000, most: 5 });
/** One guest link. */
export const pin = (link: string): Door => ({ key: `pin:${link}`, free: 5, most: 300 });

/**
 * Counts a guess before it is looked at, and says how many seconds there are to wait; 0 lets it through. Guesses sent
 * at once are counted one after the other, and those that have to wait are not heard and not counted.
 */
export async function knockAt(door: Door): Promise<number> {
  const sql = db();
  const heard = await sql`
    INSERT INTO guess (key, n)
    VALUES (${door.key}, 1)
    ON CONFLICT (key) DO UPDATE SET
      n = CASE WHEN guess.at < clock_timestamp() - interval '1 hour' THEN 1 ELSE guess.n + 1 END,
      at = clock_timestamp(),
      free_at = clock_timestamp() + make_interval(secs => CASE
        WHEN guess.at < clock_timestamp() - interval '1 hour' OR guess.n + 1 < ${door.free} THEN 0
        ELSE least(power(2, least(guess.n + 1 - ${door.free}, 20)), ${door.most})
      END)
    WHERE guess.free_at <= clock_timestamp()
    RETURNING n
  `;
  if (heard.length) return 0;
  const [wait] = await sql<{ seconds: number }[]>`
    SELECT ceil(extract(epoch FROM free_at - clock_timestamp()))::int AS seconds FROM guess WHERE key = ${door.key}
  `;
  return Math.max(1, wait?.seconds ?? 1);
}

/** The guess was right: what was counted at the door is forgotten; of a shared one, only this one. */
export async function wasRight(own: Door, shared?: Door): Promise<void> {
  const sql = db();
  await sql`DELETE FROM guess WHERE key = ${own.key} OR at < now() - interval '1 day'`;
  if (shared) await sql`UPDATE guess SET n = greatest(0, n - 1) WHERE key = ${shared.key}`;
}

export const waitWords = (seconds: number): string =>
  `Too many guesses. Try again in ${seconds} ${seconds === 1 ? "second" : "seconds"}` +
  ", or ask the instructor for a new password or link.";
