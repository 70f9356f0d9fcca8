// The people of a full hall: scorers who write all the time, and the screens that show it.
import { randomUUID } from "node:crypto";
import { get } from "node:http";
import { setTimeout as pause } from "node:timers/promises";
import { post } from "./server-facts.mjs";

/**
 * One scorer: an attempt every few seconds until all are made, each sent again under its id until it is answered, and
 * the page loaded again after each as the application does. `score` is told of each acknowledged one.
 */
export async function scorer({
  url,
  cookie,
  entries,
  of,
  attempts,
  every,
  figureOf,
  score,
  times,
  refusals,
  over,
  nth,
}) {
  await pause((every * nth) / 30);
  let due = performance.now();
  for (const [e, event] of entries.entries())
    for (let n = 0; n < attempts; n++) {
      const [id, value] = [randomUUID(), figureOf(nth, e * attempts + n)];
      const input = { id, entryId: event, nth: n + 1, state: "valid", readings: { m: value } };
      let envelope = { requestId: id, via: "guest" };
      for (let done = false; !done && !over(); ) {
        const from = performance.now();
        try {
          const { status, text } = await post(url, "/api/box", cookie, { what: "attempt", input, ...envelope });
          done = /"ok":true/.test(text);
          if (done) {
            times.add(performance.now() - from);
            score({ id, value, event: e, at: performance.now() });
            refusals.delete(id);
          } else {
            refusals.set(id, `${status} ${text.slice(-300)}`);
            if (/"ok":false/.test(text) && !/"kind":"unknown"/.test(text))
              envelope = { requestId: randomUUID(), via: "guest" };
          }
        } catch (error) {
          refusals.set(id, String(error.cause?.code ?? error.message));
        }
        if (!done) await pause(500);
      }
      if (over()) return;
      // What the page does after a write: it loads again; and after every third for what the others wrote.
      const load = () =>
        fetch(`${url}/guest?event=${of[e]}`, {
          headers: { cookie, RSC: "1" },
          signal: AbortSignal.timeout(20_000),
        }).then(
          (r) => r.arrayBuffer(),
          () => {},
        );
      await load();
      due += every;
      if (n % 3 === 2) {
        await pause(Math.max(0, due - every / 2 - performance.now()));
        await load();
      }
      await pause(Math.max(0, due - performance.now()));
    }
}

/** A screen in the hall: its stream, taken up again where it was cut; `heard` is given each state that comes in. */
export async function screen({ address, heard, ended }) {
  let cut = () => {};
  ended.addEventListener("abort", () => cut(), { once: true });
  while (!ended.aborted) {
    await new Promise((resolve) => {
      const request = get(address, (answer) => {
        let rest = "";
        answer.setEncoding("utf8");
        answer.on("data", (chunk) => {
          rest += chunk;
          const whole = rest.lastIndexOf("\n\n") + 2;
          if (whole < 2) return;
          const states = rest.slice(0, whole);
          rest = rest.slice(whole);
          for (const said of states.split("\n\n")) {
            const [, event, text] = /(?:^|\n)event: (board|change)\ndata: (.*)$/.exec(said) ?? [];
            if (event) heard({ event, text });
          }
        });
        answer.on("close", resolve);
      });
      request.on("error", resolve);
      cut = () => request.destroy();
    });
    if (!ended.aborted) await pause(2000);
  }
}
