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

/** Opens the port that a person chooses: its stream and how to let go of it, or why not; empty where none was. */
export async function plug(
  baud: string,
): Promise<{ stream: ReadableStream<Uint8Array>; close: () => void } | { why: string }> {
  const port = await serial()!
    .requestPort()
    .catch(() => null);
  if (!port) return { why: "" };
  try {
    await port.open({ baudRate: Number(baud) });
    return { stream: port.readable!, close: () => void port.close().catch(() => {}) };
  } catch (error) {
    return {
      why: `The instrument cannot be listened to: ${(error as Error).message} Is another program using it?`,
    };
  }
}
