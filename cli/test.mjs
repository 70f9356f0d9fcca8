// Everything that must hold, in one command; the last line counts over all suites.
import { existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { freePort, startCluster } from "./cluster.mjs";
import { capture, end } from "./run.mjs";
import { Refusal, say, step } from "./say.mjs";
import { serve } from "./serve.mjs";
import { structure } from "./structure.mjs";
import { chromium, needBuild, needPackages, needPrograms, root } from "./system.mjs";
import { task } from "./task.mjs";

const bin = (name) => join(root, "node_modules", ".bin", name);
const count = { passed: 0, failed: 0 };
const began = Date.now();

/** How far the whole command is, to see where its time goes. */
const at = () => `${Math.round((Date.now() - began) / 1000)} s`;

async function check(name, file, args) {
  const { code, out } = await capture(file, args, { cwd: root });
  count[code === 0 ? "passed" : "failed"]++;
  step(`${name}: ${code === 0 ? "fine" : "FAILED"}`);
  if (code !== 0) say(out.slice(-6000));
}

async function jest(project, filter, env) {
  const scratch = mkdtempSync("/tmp/ironstone-jest-");
  const report = join(scratch, "report.json");
  const { out } = await capture(
    process.execPath,
    [
      join(root, "node_modules/jest/bin/jest.js"),
      "--selectProjects",
      // Files by their names are run as they are; all of them share what they load.
      filter.length ? `${project}-files` : project,
      "--json",
      `--outputFile=${report}`,
      "--testLocationInResults=false",
      "--passWithNoTests",
      "--maxWorkers=2",
      ...filter,
    ],
    { cwd: root, env: { ...process.env, ...env, NODE_ENV: "test" } },
  );
  if (!existsSync(report)) {
    count.failed++;
    say(out.slice(-6000));
  } else {
    const r = JSON.parse(readFileSync(report, "utf8"));
    count.passed += r.numPassedTests;
    count.failed +=
      r.numFailedTests + r.testResults.filter((t) => t.status === "failed" && t.assertionResults.length === 0).length;
    step(`${project} tests: ${r.numPassedTests} passed, ${r.numFailedTests} failed (at ${at()})`);
    if (!r.success) say(out.slice(-12000));
  }
  rmSync(scratch, { recursive: true, force: true });
}

/** The application built, and the databases of the journeys filled: what they begin from. */
async function prepare(cluster) {
  await needBuild();
  step(`built (at ${at()})`);
  const create = async (name, more = "") => {
    const url = new URL(cluster.url);
    url.pathname = `/${name}`;
    await capture(
      process.execPath,
      [
        "--input-type=module",
        "-e",
        [
          `import postgres from "postgres"`,
          `const sql = postgres(process.env.U)`,
          `await sql.unsafe('CREATE DATABASE ${name}${more}')`,
          `await sql.end()`,
        ].join("; "),
      ],
      { cwd: root, env: { ...process.env, U: cluster.url } },
    );
    return { DATABASE_URL: url.toString(), IRONSTONE_TODAY: "2027-03-02" };
  };
  const fill = async (name, demo) => {
    const env = await create(name);
    await task("migrate", [], env);
    if (demo) await task("demo", [], env);
    return env;
  };
  const demo = await fill("e2e_demo", true);
  return [demo, await create("e2e_copy", " TEMPLATE e2e_demo"), await fill("e2e_empty", false)];
}

async function e2e(filter, [demoEnv, copyEnv, emptyEnv]) {
  const serveDemo = async (env) => serve({ ...env, IRONSTONE_DEMO: "1" }, { port: await freePort(), quiet: true });
  const demo = await serveDemo(demoEnv);
  const copy = await serveDemo(copyEnv);
  const empty = await serve(emptyEnv, { port: await freePort(), quiet: true });
  const scratch = mkdtempSync("/tmp/ironstone-e2e-");
  // The journeys of the demo, those of its copy and those from an empty school share nothing, and who only looks is in
  // nobody's way: they go side by side.
  const runs = await Promise.all(
    ["demo", "demo-copy", "views", "empty"].map(async (project) => {
      const report = join(scratch, `${project}.json`);
      const { out } = await capture(
        bin("playwright"),
        ["test", "--project", project, "--pass-with-no-tests", ...filter],
        {
          cwd: root,
          env: {
            ...process.env,
            DEMO_URL: (project === "demo-copy" ? copy : demo).url,
            EMPTY_URL: empty.url,
            DEMO_DATABASE_URL: (project === "demo-copy" ? copyEnv : demoEnv).DATABASE_URL,
            EMPTY_DATABASE_URL: emptyEnv.DATABASE_URL,
            CHROMIUM: chromium(),
            PLAYWRIGHT_JSON_OUTPUT_NAME: report,
            FORCE_COLOR: "0",
          },
        },
      );
      return { out, stats: existsSync(report) ? JSON.parse(readFileSync(report, "utf8")).stats : null };
    }),
  );
  await Promise.all([demo, copy, empty].map((server) => end(server.child)));
  const total = (what) => runs.reduce((n, run) => n + (run.stats?.[what] ?? 0), 0);
  count.passed += total("expected") + total("flaky");
  count.failed += total("unexpected") + runs.filter((run) => !run.stats).length;
  step(`browser journeys: ${total("expected")} passed, ${total("unexpected")} failed (at ${at()})`);
  for (const { out, stats } of runs) if (!stats || stats.unexpected) say(out.slice(-12000));
  rmSync(scratch, { recursive: true, force: true });
}

export async function test([part, ...filter]) {
  if (part && !["unit", "db", "e2e", "checks"].includes(part))
    throw new Refusal(`There is no part “${part}”. Write: ./ironstone test [unit|db|e2e] [filter]`);
  const wants = (name) => !part || part === name;
  await needPrograms({ postgres: wants("db") || wants("e2e"), browser: wants("e2e") });
  await needPackages();
  if (wants("checks")) {
    step("Types, lint, dependency rules");
    await check("next's own types", process.execPath, [join(root, "node_modules/next/dist/bin/next"), "typegen"]);
    const layers = ["app", "core", "platform", "stages", "frame", "ui", "workers", "tasks", "demo", "cli"];
    await Promise.all([
      check("types", bin("tsc"), ["--noEmit"]),
      check("the core without DOM and Node", bin("tsc"), ["--noEmit", "-p", "core/tsconfig.json"]),
      check("format, order of imports and lint", bin("biome"), ["check", "--error-on-warnings", "."]),
      check("dependency rules", bin("depcruise"), ["--config", ".dependency-cruiser.cjs", ...layers]),
      check("nothing unused", bin("knip"), []),
    ]);
    const broken = await structure();
    count[broken.length ? "failed" : "passed"]++;
    step(`lengths of files and lines: ${broken.length ? "FAILED" : "fine"}`);
    for (const line of broken) say(line);
  }
  const cluster = wants("db") || wants("e2e") ? await startCluster({ temporary: true, hasty: true }) : null;
  try {
    // Building and browsers wait for much of their time: the tests without a browser go beside them.
    const done = await Promise.allSettled([
      (async () => {
        if (wants("unit")) await jest("unit", filter, {});
        if (wants("db")) await jest("db", filter, { DATABASE_URL: cluster.url });
      })(),
      (async () => {
        if (wants("e2e")) await e2e(filter, await prepare(cluster));
      })(),
    ]);
    for (const r of done) if (r.status === "rejected") throw r.reason;
  } finally {
    await cluster?.stop();
  }
  say(`${count.passed} passed, ${count.failed} failed`);
  if (count.failed || count.passed === 0) process.exitCode = 1;
}
