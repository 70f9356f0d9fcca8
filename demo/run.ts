import type { Actor } from "@/core/access/can";
import { clockOf } from "@/core/contest/programme";
import { type Command, execute } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";

const actors = new Map<string, Actor>();

export const as = async (id: string): Promise<Actor> => {
  const actor = actors.get(id) ?? (await actorOf(id));
  actors.set(id, actor);
  return actor;
};

export const fresh = () => actors.clear();

export async function run<I, O>(cmd: Command<I, O>, who: string | Actor, input: unknown): Promise<O> {
  const r = await execute(cmd, typeof who === "string" ? await as(who) : who, input);
  if (!r.ok) throw new Error(`${cmd.name}: ${r.message} ${JSON.stringify("fields" in r ? r.fields : "")}`);
  return r.value;
}

/** Sets the clock of everything that is written next. */
export async function at(date: string, hour = 10, minute = 0): Promise<void> {
  const last = clock.today < date ? clock.today : date;
  process.env.IRONSTONE_TODAY = last;
  await db()`
    SELECT set_config(
      'ironstone.now',
      ${`${last}T${clockOf(Math.min(hour * 60 + minute, 24 * 60 - 1)).padStart(5, "0")}:00${offset}`}, false
    )
  `;
}

/** The day that the demo is told on. */
export const clock = { today: "" };

const offset = (() => {
  const m = -new Date().getTimezoneOffset();
  return (
    `${m < 0 ? "-" : "+"}${String(Math.floor(Math.abs(m) / 60)).padStart(2, "0")}:` +
    `${String(Math.abs(m) % 60).padStart(2, "0")}`
  );
})();
