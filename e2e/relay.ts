// A network that can be cut: everything between a device and the server goes through it.
import { type AddressInfo, connect, createServer, type Socket } from "node:net";

export interface Relay {
  readonly url: string;
  /** Nothing gets through any more; what is under way breaks off. */
  cut(): void;
  mend(): void;
  close(): Promise<void>;
}

/** A network between a device and the server at this address. */
export async function relayTo(server: string): Promise<Relay> {
  const { hostname, port } = new URL(server);
  const open = new Set<Socket>();
  let up = true;
  const relay = createServer((device) => {
    if (!up) return device.destroy();
    const behind = connect(Number(port), hostname);
    for (const [from, to] of [
      [device, behind],
      [behind, device],
    ] as const) {
      open.add(from);
      from.on("error", () => to.destroy());
      from.on("close", () => {
        open.delete(from);
        to.destroy();
      });
      from.pipe(to);
    }
  });
  await new Promise<void>((resolve) => relay.listen(0, "localhost", resolve));
  const cut = () => {
    up = false;
    for (const socket of open) socket.destroy();
  };
  return {
    url: `http://localhost:${(relay.address() as AddressInfo).port}`,
    cut,
    mend() {
      up = true;
    },
    async close() {
      cut();
      await new Promise((resolve) => relay.close(resolve));
    },
  };
}
