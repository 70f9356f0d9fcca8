// The browser's serial interface, where it has one: an instrument on a cable.

interface Port {
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
}
interface Serial {
  requestPort(): Promise<Port>;
}

const serial = (): Serial | undefined => (navigator as unknown as { serial?: Serial }).serial;

/** Whether this browser can listen to an instrument on a cable. */
export const hasSerial = (): boolean => typeof navigator !== "undefined" && serial() !== undefined;

/** The port that a person chooses, opened; null where none was chosen. Throws where it cannot be opened. */
async function openSerial(baudRate: number): Promise<{ stream: ReadableStream<Uint8Array>; close: () => void } | null> {
  const port = await serial()!
    .requestPort()
    .catch(() => null);
  if (!port) return null;
  await port.open({ baudRate });
  return { stream: port.readable!, close: () => void port.close().catch(() => {}) };
}

/** Plugs an instrument in: its stream and how to let go of it, or why it cannot be; empty where none was chosen. */
export async function plug(
  baud: string,
): Promise<{ stream: ReadableStream<Uint8Array>; close: () => void } | { why: string }> {
  try {
    return (await openSerial(Number(baud))) ?? { why: "" };
  } catch (error) {
    return {
      why: `The instrument cannot be listened to: ${(error as Error).message} Is another program using it?`,
    };
  }
}
