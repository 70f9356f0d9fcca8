// What a long measurement stands on: a durable cluster of its own with the demo in it, a server that is started again
// when it ends, and an end that leaves nothing running.
import { freePort, startCluster } from "./cluster.mjs";
import { end } from "./run.mjs";
import { keepServing, serve } from "./serve.mjs";
import { needBuild, needPackages, needPrograms } from "./system.mjs";
import { task } from "./task.mjs";

/**
 * Does `measure` on such a rig. `prepare` fills it and gives what `measure` needs; `ended` is aborted when it is over.
 * @param prepare given the environment of the database, before the server is started
 * @param measure given what `prepare` gave, the address, the cluster, a connection, the signal and the server of now
 */
export async function onRig(prepare, measure) {
  await needPrograms({});
  await needPackages();
  const { default: postgres } = await import("postgres");
  const cluster = await startCluster({ temporary: true, durable: true });
  const sql = postgres(cluster.url, { max: 2, onnotice: () => {} });
  const ended = new AbortController();
  let finish = () => {};
  const stopAsked = new Promise((resolve) => (finish = resolve));
  let serving = Promise.resolve();
  let server;
  try {
    await needBuild();
    const env = { DATABASE_URL: cluster.url, IRONSTONE_TODAY: "2027-03-02" };
    for (const name of ["migrate", "demo"]) await task(name, [], env);
    const place = await prepare(env);
    const [port, more] = [await freePort(), { ...env, IRONSTONE_DEMO: "1" }];
    server = await serve(more, { port, quiet: true });
    serving = keepServing(server, async () => (server = await serve(more, { port, quiet: true })), stopAsked);
    return await measure({ place, url: server.url, cluster, sql, ended, serverNow: () => server });
  } finally {
    ended.abort();
    finish("asked");
    await serving.catch(() => {});
    if (server) await end(server.child);
    await sql.end({ timeout: 1 });
    await cluster.stop();
  }
}
