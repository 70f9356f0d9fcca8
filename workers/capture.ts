// An instrument that is listened to, away from the page's own thread: its samples are kept before the page shows them.
import type { Taking } from "@/core/series/take";
import { captureEngine } from "@/stages/bench/capture/engine";
import { type Capture, lockOf, openStore } from "@/stages/bench/capture/store";
import { hearStream } from "@/ui/instrument/hear";

type Asked =
  | { readonly capture: Capture; readonly rules: Record<string, Taking>; readonly stream?: ReadableStream<Uint8Array> }
  | { readonly stop: true };

let stop = () => {};

async function listen({ capture, rules, stream }: Extract<Asked, { capture: Capture }>) {
  const engine = await captureEngine(await openStore(), capture, rules, Date.now);
  let [over, stopped] = ["", false];
  stop = () => {
    stopped = true;
  };
  const letGo =
    stream &&
    hearStream(stream, engine.hear, (why) => {
      over = `The instrument was lost: ${why ?? "it sends nothing any more"}. What it sent is kept.`;
    });
  const pause = (ms: number) => new Promise((r) => setTimeout(r, ms));
  for (let told = 0; !stopped && !over; await pause(100)) {
    engine.simulate();
    await engine.keep();
    if (Date.now() - told < 250) continue;
    told = Date.now();
    self.postMessage({ live: engine.live() });
  }
  engine.simulate();
  await engine.keep(stopped);
  self.postMessage({ live: engine.live() });
  await letGo?.();
  self.postMessage(stopped ? { ended: true } : { lost: over });
}

self.onmessage = (e: MessageEvent<Asked>) => {
  const asked = e.data;
  if ("stop" in asked) return stop();
  const lost = (why: string) => self.postMessage({ lost: why });
  void navigator.locks
    .request(lockOf(asked.capture.id), { ifAvailable: true }, async (lock) => {
      if (lock) await listen(asked);
      else lost("Another page of this browser listens to it.");
    })
    .catch((error: Error) =>
      lost(`This browser cannot keep the samples (${error.message}). What it shows up to now is kept.`),
    );
};
