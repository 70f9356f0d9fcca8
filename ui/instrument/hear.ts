/**
 * Hears what an instrument's stream sends, as text, until it is let go of.
 * @param lost told when the stream ends or fails by itself; the reason where there is one
 * @returns the way to let go of it
 */
export function hearStream(
  stream: ReadableStream<Uint8Array>,
  hear: (piece: string) => void,
  lost: (why: string | null) => void,
): () => Promise<void> {
  const reader = stream
    .pipeThrough(new TextDecoderStream() as never)
    .getReader() as ReadableStreamDefaultReader<string>;
  let over = false;
  const read = async () => {
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return null;
      hear(value);
    }
  };
  void read()
    .catch((e: Error) => e.message)
    .then((why) => over || lost(why));
  return async () => {
    over = true;
    await reader.cancel().catch(() => {});
  };
}
