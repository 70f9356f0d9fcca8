// How fast the main views are: server time p50 and p95, what each page weighs, and with --large the same in a
// department beside the demo, in one run, with the ratio of the two.
import { get } from "node:http";
import { gzipSync } from "node:zlib";
import { freePort, startCluster } from "./cluster.mjs";
import { capture, end } from "./run.mjs";
import { say, step } from "./say.mjs";
import { serve } from "./serve.mjs";
import { needBuild, needPackages, needPrograms, root } from "./system.mjs";
import { ask, task } from "./task.mjs";

const rounds = Number(process.env.ROUNDS ?? 40);
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

const limits = { ratio: 1.5, packed: 150, plain: 400, script: 250 };
/** The page of a scorer's phone, whose scripts are to come through a hall's network. */
const scorers = "/guest";
const scriptsOf = (view) => (view === scorers ? 120 : limits.script);

/** A filled database in the cluster, with a server on it and a session of the person who keeps the school. */
async function place(cluster, name, fill) {
  const admin = new URL(cluster.url);
  const made = await capture(
    process.execPath,
    [
      "--input-type=module",
      "-e",
      [
        `import postgres from "postgres"`,
        `const sql = postgres(process.env.U)`,
        `await sql.unsafe('CREATE DATABASE ${name}')`,
        `await sql.end()`,
      ].join("; "),
    ],
    { cwd: root, env: { ...process.env, U: admin.toString() } },
  );
  if (made.code !== 0) throw new Error(made.out);
  admin.pathname = `/${name}`;
  const env = { DATABASE_URL: admin.toString(), IRONSTONE_TODAY: "2027-03-02" };
  for (const step of fill) await task(step, [], env);
  const cookies = JSON.parse(await ask("session", [], env));
  const server = await serve({ ...env, IRONSTONE_DEMO: "1" }, { port: await freePort(), quiet: true });
  return { server, cookieOf: (view) => cookies[view === scorers ? "scorer" : "keeper"], times: new Map(), env };
}

const below = (project, paths) => paths.map((x) => `/p/${project}${x}`);
const views = [
  "/new",
  "/",
  "/school/department",
  ...below("terrace-pump", ["", "/brief", "/needs", "/needs?r=R-02", "/needs/questions", "/needs/statements"]),
  ...below("terrace-pump", ["/concepts", "/teams", "/teams/form", "/plan/gates", "/notebook", "/builds", "/bench"]),
  ...below("terrace-pump", ["/bench/class", "/bench/compare?by=teams", "/builds/tree"]),
  ...below("terrace-pump", [
    "/reviews",
    "/reviews/stories",
    "/reviews/slots?title=Test%20review",
    "/grades",
    "/contest",
    "/handbook",
    "/handbook/trainer?of=round&seed=1",
    "/records",
    "/records/features",
    "/records/editions",
    "/records/cures",
    "/records/start",
    "/records/models",
    "/records/booklet",
    "/plan",
    "/people",
    "/audit",
    "/search?q=valve",
    "/search?q=the+wat",
    "/shop",
    "/shop/training",
    "/shop/stock",
    "/attention",
    "/class",
    "/class/attendance",
  ]),
  "/screen/terrace-pump",
  scorers,
  "/api/jump?project=terrace-pump&q=al",
];

async function measure(places) {
  for (const p of places) for (const v of views) p.times.set(v, []);
  for (let i = 0; i < rounds + 3; i++)
    for (const view of views)
      for (const p of places) {
        const r = await fetchOnce(p.server.url + view, p.cookieOf(view));
        if (r.status !== 200) throw new Error(`${view} answered ${r.status}`);
        if (i >= 3) p.times.get(view).push(r.ms); // the first three rounds warm up
      }
}

/** What a page weighs: its HTML plain and packed, and the scripts that a browser which knows modules fetches. */
async function weigh({ server, cookieOf }, view) {
  const cookie = cookieOf(view);
  const plain = (await fetchOnce(server.url + view, cookie)).body;
  const html = plain.toString().replace(/<script[^>]*nomodule[^>]*>/gi, "");
  const scripts = [
    ...new Set([...html.matchAll(/(?:src|href)="(\/_next\/static\/[^"]+\.js)[^"]*"/g)].map((m) => m[1])),
  ];
  let script = 0;
  for (const s of scripts) script += (await fetchOnce(server.url + s, cookie, "gzip")).body.length;
  return { plain: plain.length / 1000, packed: gzipSync(plain).length / 1000, script: script / 1000 };
}

/** How long ten minutes at 1,000 samples a second take to open, with their value, and to be looked at closer. */
async function longSeries({ server, cookieOf, env }) {
  const cookie = cookieOf("/");
  const { default: postgres } = await import("postgres");
  const sql = postgres(env.DATABASE_URL, { max: 1 });
  const [{ id, n }] = await sql`
    SELECT series_id AS id, sum(n)::int AS n FROM series_block GROUP BY series_id ORDER BY n DESC LIMIT 1
  `;
  await sql.end();
  say(`\na series of ${n} samples:`);
  for (const [what, path] of [
    ["opens, with its value", `/p/terrace-pump/bench/series?id=${id}`],
    ["all of its curve", `/api/series?id=${id}&from=0&to=600`],
    ["a minute of it", `/api/series?id=${id}&from=120&to=180`],
    ["a second of it", `/api/series?id=${id}&from=120&to=121`],
    ["every sample as CSV", `/api/series/csv?id=${id}`],
  ]) {
    const times = [];
    for (let i = 0; i < 8; i++) {
      const r = await fetchOnce(server.url + path, cookie);
      if (r.status !== 200) throw new Error(`${path} answered ${r.status}`);
      if (i > 1) times.push(r.ms);
    }
    times.sort((a, b) => a - b);
    say(`  ${what.padEnd(24)} ${cell(at(times, 0.5), 7)} ms, at most ${cell(times.at(-1), 5)}`);
  }
}

const cell = (x, width, digits = 0) => x.toFixed(digits).padStart(width);

export async function bench({ large = false } = {}) {
  await needPrograms({});
  await needPackages();
  const cluster = await startCluster({ temporary: true });
  const places = [];
  try {
    await needBuild();
    places.push(await place(cluster, "demo", ["migrate", "demo"]));
    if (large) places.push(await place(cluster, "department", ["migrate", "demo", "department"]));
    step(`${rounds} rounds over ${views.length} pages, one request at a time`);
    await measure(places);
    const [demo, department] = places;
    for (const p of places) await task("round-trips", [], p.env);
    const last = places.at(-1);
    say(
      `\n${"page".padEnd(38)}   demo p50  p95${large ? "   large p50  p95   p95 ratio" : ""}   HTML  gzip  scripts kB`,
    );
    const over = [];
    for (const view of views) {
      const of = (p) => p.times.get(view).sort((a, b) => a - b);
      const [d, l] = [of(demo), department ? of(department) : null];
      const w = await weigh(last, view);
      const ratio = l ? at(l, 0.95) / at(d, 0.95) : 1;
      const medians = l ? at(l, 0.5) / at(d, 0.5) : 1;
      say(
        `${view.padEnd(38)} ${cell(at(d, 0.5), 10, 1)} ${cell(at(d, 0.95), 6, 1)}` +
          (l
            ? ` ${cell(at(l, 0.5), 9, 1)} ${cell(at(l, 0.95), 6, 1)} ${cell(medians, 6, 2)} ${cell(ratio, 5, 2)}`
            : "") +
          ` ${cell(w.plain, 6)} ${cell(w.packed, 5)} ${cell(w.script, 6)}`,
      );
      if (ratio > limits.ratio) over.push(`${view}: p95 ${ratio.toFixed(2)} times the demo's`);
      if (w.plain > limits.plain) over.push(`${view}: ${w.plain.toFixed(0)} kB of HTML`);
      if (w.packed > limits.packed) over.push(`${view}: ${w.packed.toFixed(0)} kB of HTML, packed`);
      if (w.script > scriptsOf(view)) over.push(`${view}: ${w.script.toFixed(0)} kB of scripts`);
    }
    if (department) await longSeries(department);
    say(over.length ? `\nover the measure:\n  ${over.join("\n  ")}` : "\nevery view is inside the measure");
  } finally {
    await Promise.all(places.map((p) => end(p.server.child)));
    await cluster.stop();
  }
}
