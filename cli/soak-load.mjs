// The people of a soak: writers who send until they are answered, readers, and watchers of the live stream.
import { randomUUID } from "node:crypto";
import { setTimeout as pause } from "node:timers/promises";
import { act } from "./server-facts.mjs";

/** Collects how long things took; gives quantiles of what came in since the last time. */
export function clock() {
  let times = [];
  return {
    add: (ms) => times.push(ms),
    take() {
      const sorted = times.sort((a, b) => a - b);
      times = [];
      const at = (q) => (sorted.length ? sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] : 0);
      return { n: sorted.length, p50: at(0.5), p95: at(0.95), most: sorted.at(-1) ?? 0 };
    },
  };
}

const between = (a, b) => a + Math.random() * (b - a);

/**
 * A student who writes in the notebook: each entry has an id of its own and is sent again until the server has
 * answered for it. `acknowledged` takes the ids answered with a yes, `sent` all, `refusals` the last answer to others.
 */
export async function writer({ url, action, project, who, acknowledged, sent, times, refusals, over }) {
  for (let n = 1; !over(); n++) {
    await pause(between(800, 2200));
    const id = randomUUID();
    const input = { id, projectId: project.id, personId: who.id, text: `Entry ${n} of a long day.` };
    let envelope = { requestId: randomUUID() };
    sent.add(id);
    for (let tries = 0; !acknowledged.has(id) && tries < 200; tries++) {
      const from = performance.now();
      try {
        const page = `/p/${project.slug}/notebook`;
        const { status, text } = await act(url, page, action, who.cookie, [input, envelope]);
        if (/"ok":true/.test(text)) {
          acknowledged.add(id);
          times.add(performance.now() - from);
          refusals.delete(id);
        } else {
          refusals.set(id, `${status} ${text.slice(-300)}`);
          // A request that was answered is over; only one whose outcome nobody knows is asked for again.
          if (/"ok":false/.test(text) && !/"kind":"unknown"/.test(text)) envelope = { requestId: randomUUID() };
        }
      } catch (error) {
        refusals.set(id, String(error.cause?.code ?? error.message));
      }
      if (!acknowledged.has(id)) await pause(500);
    }
  }
}

/** Somebody who looks from page to page. */
export async function reader({ url, pages, cookie, times, failed, over }) {
  while (!over()) {
    await pause(between(6000, 22_000));
    const page = pages[Math.floor(Math.random() * pages.length)];
    const from = performance.now();
    try {
      const r = await fetch(url + page, { headers: { cookie }, signal: AbortSignal.timeout(20_000) });
      await r.arrayBuffer();
      if (r.status === 200) times.add(performance.now() - from);
      else failed.add(`${page} answered ${r.status}`);
    } catch (error) {
      failed.add(`${page}: ${error.cause?.code ?? error.name}`);
    }
  }
}

/** A page that watches: it takes its stream up again where it was cut, and keeps the number that it heard last. */
export async function watcher({ url, project, cookie, state, ended }) {
  while (!ended.aborted) {
    try {
      const r = await fetch(`${url}/api/live?project=${project.id}&about=notebook`, {
        headers: { cookie, ...(state.last === null ? {} : { "last-event-id": String(state.last) }) },
        signal: ended,
      });
      if (r.status !== 200) throw new Error(`${r.status}`);
      let rest = "";
      const words = new TextDecoder();
      for await (const chunk of r.body) {
        rest += words.decode(chunk, { stream: true });
        const whole = rest.lastIndexOf("\n\n") + 2;
        if (whole < 2) continue;
        for (const [, id] of rest.slice(0, whole).matchAll(/^id: (\d+)$/gm)) state.last = Number(id);
        rest = rest.slice(whole);
      }
    } catch {
      // cut off: taken up again
    }
    if (!ended.aborted) await pause(1000);
  }
}
