import { createServer } from "node:net";
import { join } from "node:path";
import { launch } from "./run.mjs";
import { Refusal, step } from "./say.mjs";
import { root } from "./system.mjs";

const isFree = (port) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once("error", () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });

async function choosePort(wanted) {
  for (let port = wanted; port < wanted + 50; port++) {
    if (await isFree(port)) return port;
    step(`Port ${port} is taken, trying ${port + 1}`);
  }
  throw new Refusal(`No free port from ${wanted} to ${wanted + 49}. Set PORT to another one.`);
}

/** Where is served: loopback, unless HOST says otherwise. */
export const host = process.env.HOST ?? "127.0.0.1";
export const isLoopback = ["127.0.0.1", "localhost", "::1"].includes(host);

/**
 * Megabytes that the server's objects may take. Left alone, Node lets what is no longer used grow to several gigabytes
 * before it is swept; under the heaviest load that was tried 250 MB are in use.
 */
const heap = Number(process.env.IRONSTONE_HEAP ?? 1024);

/** Serves the built application; resolves when it answers. */
export async function serve(env, { port, quiet = false } = {}) {
  const chosen = port ?? (await choosePort(Number(process.env.PORT ?? 4170)));
  if (!quiet) step("Starting the server");
  const child = launch(process.execPath, [`--max-old-space-size=${heap}`, join(root, "cli/server.mjs")], {
    cwd: root,
    stdio: ["ignore", "ignore", "inherit", "ipc"],
    env: {
      ...process.env,
      NODE_ENV: "production",
      NEXT_TELEMETRY_DISABLED: "1",
      ...env,
      PORT: String(chosen),
      HOST: host,
    },
  });
  await new Promise((resolve, reject) => {
    child.once("message", () => resolve(undefined));
    child.once("exit", (code) => reject(new Refusal(`The server ended with ${code} before it answered.`)));
  });
  return { child, url: `http://${isLoopback ? "localhost" : host}:${chosen}`, port: chosen };
}

/** Starts the server again whenever it ends by itself; gives up when it cannot stay up. */
export async function keepServing(first, again, stopAsked) {
  let server = first;
  const ends = [];
  for (;;) {
    const gone = new Promise((resolve) => {
      if (server.child.exitCode !== null || server.child.signalCode !== null) resolve("gone");
      else server.child.once("exit", () => resolve("gone"));
    });
    if ((await Promise.race([stopAsked, gone])) !== "gone") return server;
    ends.push(Date.now());
    if (ends.length > 5 && Date.now() - ends.at(-6) < 60_000)
      throw new Refusal("The server stopped by itself six times in a minute. What it said stands above.");
    step("The server stopped by itself; starting it again");
    server = await again();
  }
}
