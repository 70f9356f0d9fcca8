import net from "node:net";

/** A wire between this process and its database that can be cut, or whose answers can be lost, at a chosen moment. */
export async function openWire(): Promise<{
  /** The address of the database through the wire. */
  url: string;
  cut(): void;
  /** What is sent still arrives; its answer does not, and the wire is cut. */
  loseAnswer(): void;
  /** What is sent arrives at nobody, and nothing answers, until it is cut. */
  freeze(): void;
  close(): Promise<void>;
}> {
  const to = new URL(process.env.DATABASE_URL!);
  const pairs = new Set<[net.Socket, net.Socket]>();
  let losing = false;
  let frozen = false;
  const cut = () => {
    for (const pair of pairs) for (const s of pair) s.destroy();
    pairs.clear();
    losing = false;
    frozen = false;
  };
  const server = net.createServer((near) => {
    const far = net.connect(Number(to.port || 5432), to.hostname);
    const pair: [net.Socket, net.Socket] = [near, far];
    pairs.add(pair);
    near.on("data", (x) => frozen || far.write(x));
    far.on("data", (x) => {
      if (losing) cut();
      else if (!frozen) near.write(x);
    });
    for (const s of pair)
      s.on("error", () => {}).on("close", () => {
        for (const other of pair) other.destroy();
        pairs.delete(pair);
      });
  });
  await new Promise<void>((done) => server.listen(0, "127.0.0.1", done));
  const url = new URL(to);
  url.hostname = "127.0.0.1";
  url.port = String((server.address() as net.AddressInfo).port);
  return {
    url: url.toString(),
    cut,
    loseAnswer: () => {
      losing = true;
    },
    freeze: () => {
      frozen = true;
    },
    async close() {
      cut();
      await new Promise<void>((done) => server.close(() => done()));
    },
  };
}

const held = globalThis as unknown as { ironstoneHeard?: (query: string) => void };

/** Does something at the moment at which the given query of this process is about to be sent; counts them. */
export function atQuery(at: number, act: (query: string) => void): { count: () => number; stop: () => void } {
  let n = 0;
  held.ironstoneHeard = (query) => {
    if (++n === at) act(query);
  };
  return {
    count: () => n,
    stop: () => {
      held.ironstoneHeard = undefined;
    },
  };
}
