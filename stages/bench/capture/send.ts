// What this browser kept of a capture, on its way to the server: in its order, again and again until it is there.
import { blockSize } from "../schema";
import { packed } from "../view/samples";
import { type Capture, dropCapture, noteSent, type Store, unsentOf } from "./store";

interface Answer {
  readonly ok: boolean;
  readonly kind?: string;
  readonly message?: string;
}
type Act = (input: never, envelope: { requestId: string }) => Promise<Answer>;

/** What the server takes a series with. */
export interface CaptureActs {
  readonly open: Act;
  readonly add: Act;
}

/** What became of it: which series hold samples now, that some wait, or why the server takes none. */
export type SendState = "waits" | { readonly refused: string } | { readonly there: readonly string[] };

/**
 * Sends the full blocks of a capture, and of an ended one the rest, which is then forgotten here. Throws where the
 * network does not answer: what had arrived is not sent again.
 */
export async function sendCapture(
  store: Store,
  { capture, ended }: { capture: Capture; ended: boolean },
  { open, add }: CaptureActs,
): Promise<SendState> {
  /** A request whose outcome is not known is asked for again in a while: sent twice it has the effect of one. */
  const ask = async (act: Act, input: object): Promise<SendState | null> => {
    const r = await act(input as never, { requestId: crypto.randomUUID() });
    if (r.ok) return null;
    return r.kind === "unknown" ? "waits" : { refused: r.message ?? "" };
  };
  const there: string[] = [];
  for (const { key, seriesId } of capture.readings) {
    const blocks = await unsentOf(store, capture.id, key, ended);
    if (blocks.length || (await store.get("sent", [capture.id, key]))) there.push(seriesId);
    if (!blocks.length) continue;
    const { buildId, protocolVersionId, source, id } = capture;
    const simulated = capture.simulation !== null;
    if (blocks[0]!.number === 0) {
      const stop = await ask(open, {
        id: seriesId,
        buildId,
        protocolVersionId,
        key,
        source,
        capture: id,
        simulated,
      });
      if (stop) return stop;
    }
    for (let i = 0; i < blocks.length; i += blockSize.blocks) {
      const some = blocks.slice(i, i + blockSize.blocks);
      const sent = some.map((b) => ({ number: b.number, samples: packed(b.t, b.v) }));
      const stop = await ask(add, { seriesId, blocks: sent });
      if (stop) return stop;
      await noteSent(store, capture.id, key, some.at(-1)!.number + 1);
    }
  }
  if (ended) await dropCapture(store, capture);
  return { there };
}
