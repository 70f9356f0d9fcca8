import type { Boxed } from "@/core/vocabulary/boxed";
import type { Send } from "./form/result";
import { line } from "./in-turn";

/** Milliseconds that a box waits for an answer before it lets the next one try, or this one again. */
const patience = 10_000;

/** One after the other: a project takes its writes so anyway, and those of one page would wait for each other. */
const inTurn = line();

/**
 * Sends what a box holds by an address of its own: given up when nothing answers, so that a network which is half gone
 * holds nothing up, and known to a page that was opened before the server had a newer version.
 */
export const sendBoxed =
  <T>(what: Boxed): Send<T> =>
  (input, { requestId, via }) =>
    inTurn(async () => {
      const answer = await fetch("/api/box", {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify({ what, input, requestId, via }),
        signal: AbortSignal.timeout(patience),
      });
      // Too much for one request is refused and not sent again; whatever else fails is.
      if (answer.status === 413) return { ok: false, kind: "refused", message: await answer.text() };
      if (!answer.ok) throw new Error(`The server answered ${answer.status}.`);
      return answer.json();
    });
