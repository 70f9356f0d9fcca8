// How fast the main views are on the demo data: server time p50 and p95, as ratios to the lightest page of the same
// run, and what each page's script weighs.
import { get } from "node:http";
import { join } from "node:path";
import { freePort, startCluster } from "./cluster.mjs";
import { capture, end } from "./run.mjs";
import { say, step } from "./say.mjs";
import { serve } from "./serve.mjs";
import { needBuild, needPackages, needPrograms, root } from "./system.mjs";
import { task } from "./task.mjs";

const rounds = 40;
const at = (sorted, q) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))];

/** One request on a kept connection: milliseconds to the last byte, and the body. */
const fetchOnce = (url, cookie, encoding = "identity") =>
  new Promise((resolve, reject) => {
    const from = process.hrtime.bigint();
    get(url, { headers: { cookie, "accept-encoding": encoding } }, (res) => {
      const parts = [];
      res.on("data", (d) => parts.push(d));
      res.on("end", () =>
        resolve({
          ms: Number(process.hrtime.bigint() - from) / 1e6,
          body: Buffer.concat(parts),
          status: res.statusCode,
        }),
      );
    }).on("error", reject);
  });

export async function bench() {
  await needPrograms({});
  await needPackages();
  const cluster = await startCluster({ temporary: true });
  let server;
  try {
    const env = { DATABASE_URL: cluster.url, IRONSTONE_TODAY: "2027-03-02" };
    await task("migrate", [], env);
    await task("demo", [], env);
    await needBuild();
    const session = await capture(
      process.execPath,
      ["--conditions=react-server", "--import", "tsx", join(root, "tasks/session.ts")],
      { cwd: root, env: { ...process.env, ...env } },
    );
    const cookie = `ironstone_session=${session.out.trim().split("\n").at(-1)}`;
    server = await serve({ ...env, IRONSTONE_DEMO: "1" }, { port: await freePort(), quiet: true });
    const p = "/p/terrace-pump";
    const paths = [
      "/new",
      "/",
      p,
      `${p}/brief`,
      `${p}/needs`,
      `${p}/needs/questions`,
      `${p}/needs/statements`,
      `${p}/concepts`,
      `${p}/teams`,
      `${p}/teams/form`,
      `${p}/plan/gates`,
      `${p}/notebook`,
      `${p}/builds`,
      `${p}/bench`,
      `${p}/reviews`,
      `${p}/grades`,
      `${p}/contest`,
      `${p}/records`,
      `${p}/plan`,
      `${p}/people`,
      `${p}/audit`,
      "/screen/terrace-pump",
    ];
    step(`${rounds} rounds over ${paths.length} pages, one request at a time`);
    const times = new Map(paths.map((x) => [x, []]));
    for (let i = 0; i < rounds + 3; i++)
      for (const path of paths) {
        const r = await fetchOnce(server.url + path, cookie);
        if (r.status !== 200) throw new Error(`${path} answered ${r.status}`);
        if (i >= 3) times.get(path).push(r.ms); // the first three rounds warm up
      }
    const rows = [];
    for (const path of paths) {
      const sorted = times.get(path).sort((a, b) => a - b);
      const html = (await fetchOnce(server.url + path, cookie)).body.toString();
      // Browsers that know modules do not fetch what is marked noModule.
      const scripts = [
        ...new Set(
          [
            ...html
              .replace(/<script[^>]*nomodule[^>]*>/gi, "")
              .matchAll(/(?:src|href)="(\/_next\/static\/[^"]+\.js)[^"]*"/g),
          ].map((m) => m[1]),
        ),
      ];
      let bytes = 0;
      for (const s of scripts) bytes += (await fetchOnce(server.url + s, cookie, "gzip")).body.length;
      rows.push({ path, p50: at(sorted, 0.5), p95: at(sorted, 0.95), kb: bytes / 1000, html: html.length / 1000 });
    }
    const lightest = Math.min(...rows.map((r) => r.p50));
    say("\npage                              p50 ms   p95 ms   p95 / lightest p50   script kB (gzip)   HTML kB");
    for (const r of rows)
      say(
        `${r.path.padEnd(32)} ${r.p50.toFixed(1).padStart(7)} ${r.p95.toFixed(1).padStart(8)} ` +
          `${(r.p95 / lightest).toFixed(1).padStart(20)} ${r.kb.toFixed(0).padStart(18)} ` +
          `${r.html.toFixed(0).padStart(9)}`,
      );
    const worst = rows.reduce((a, b) => (a.p95 > b.p95 ? a : b));
    say(
      `\nslowest: ${worst.path}, p95 ${worst.p95.toFixed(0)} ms; heaviest script: ` +
        `${Math.max(...rows.map((r) => r.kb)).toFixed(0)} kB`,
    );
  } finally {
    if (server) await end(server.child);
    await cluster.stop();
  }
}
