// What must be on the machine: Debian packages and the npm packages of the lock file.
import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { capture } from "./run.mjs";
import { Refusal, step } from "./say.mjs";

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
export const isRoot = process.getuid?.() === 0;

/** Folder of PostgreSQL's server programs, newest major first; null when there is none. */
export function postgresPrograms() {
  const base = "/usr/lib/postgresql";
  const found = existsSync(base)
    ? readdirSync(base)
        .sort((a, b) => Number(b) - Number(a))
        .map((v) => join(base, v, "bin"))
    : [];
  const all = [process.env.IRONSTONE_PG_BIN, ...found, "/usr/local/pgsql/bin", "/usr/bin"].filter(Boolean);
  return all.find((dir) => existsSync(join(dir, "initdb")) && existsSync(join(dir, "postgres"))) ?? null;
}

/** Chromium, rather the one without windows of Debian: it costs a test a third, and half of it to install. */
export const chromium = () =>
  [process.env.CHROMIUM, "/usr/bin/chromium-headless-shell", "/usr/bin/chromium", "/usr/bin/chromium-browser"].find(
    (p) => p && existsSync(p),
  ) ?? null;

/** Installs Debian packages as root or through sudo; otherwise prints the exact line to run. */
async function installDebian(packages) {
  const line = `apt-get update && apt-get install -y ${packages.join(" ")}`;
  const noPrompt = { ...process.env, DEBIAN_FRONTEND: "noninteractive" };
  const canSudo = !isRoot && (await capture("sudo", ["-n", "true"]).catch(() => ({ code: 1 }))).code === 0;
  if (!existsSync("/usr/bin/apt-get") || (!isRoot && !canSudo))
    throw new Refusal(
      `Ironstone needs ${packages.join(" and ")} on this machine. Please run this, then start again:\n\n` +
        `    sudo sh -c '${line}'\n`,
    );
  step(`Installing ${packages.join(", ")} with apt-get (this can take a minute)`);
  const [file, args] = isRoot ? ["sh", ["-c", line]] : ["sudo", ["sh", "-c", line]];
  const { code, out } = await capture(file, args, { env: noPrompt });
  if (code !== 0) throw new Refusal(`apt-get could not install ${packages.join(" and ")}:\n${out.slice(-1500)}`);
}

/** Makes sure that PostgreSQL (and for tests Chromium) are there. */
export async function needPrograms({ postgres = true, browser = false }) {
  const missing = [];
  if (postgres && !postgresPrograms()) missing.push("postgresql");
  if (browser && !chromium()) missing.push("chromium-headless-shell");
  if (missing.length) await installDebian(missing);
}

/** Installs the npm packages of the lock file when they are not there or the lock file changed. */
export async function needPackages() {
  const wanted = createHash("sha256")
    .update(readFileSync(join(root, "package-lock.json")))
    .digest("hex");
  const stamp = join(root, "node_modules", ".ironstone-lock");
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === wanted) return;
  step("Installing packages from the lock file (about a minute)");
  // A registry that holds this platform's binaries only makes "npm ci" refuse the others' optional packages; "npm
  // install" takes the same versions from the lock file.
  const install = (verb) => capture("npm", [...verb, "--no-audit", "--no-fund"], { cwd: root });
  let { code, out } = await install(["ci"]);
  if (code !== 0 && out.includes("EUSAGE")) ({ code, out } = await install(["install", "--no-save"]));
  if (code !== 0) throw new Refusal(`npm could not install the packages:\n${out.slice(-2000)}`);
  writeFileSync(stamp, wanted);
}

const sourceFolders = ["app", "core", "platform", "stages", "frame", "ui", "workers", "public"];
const sourceFiles = [
  "package-lock.json",
  "next.config.ts",
  "proxy.ts",
  "instrumentation.ts",
  "postcss.config.mjs",
  "tsconfig.json",
];

function* files(path) {
  if (!existsSync(path)) return;
  if (statSync(path).isFile()) return yield path;
  for (const name of readdirSync(path).sort()) yield* files(join(path, name));
}

/** The worker that keeps guests' pages for use without a network, as one script beside the built application. */
async function bundleOffline() {
  const { build, stop } = await import("esbuild");
  await build({
    entryPoints: [join(root, "workers/offline.ts")],
    outfile: join(root, ".next/offline.js"),
    bundle: true,
    minify: true,
    format: "iife",
    target: "es2022",
    define: { "process.env.NODE_ENV": '"production"' },
    logLevel: "error",
  });
  // Its process would stay for as long as this one does.
  await stop();
}

/** Builds the application when its sources changed since the last build. */
export async function needBuild() {
  const hash = createHash("sha256");
  for (const top of [...sourceFolders, ...sourceFiles])
    for (const file of files(join(root, top)))
      if (!/\.test\.tsx?$/.test(file)) hash.update(file.slice(root.length)).update(readFileSync(file));
  const wanted = hash.digest("hex");
  const stamp = join(root, ".next", "ironstone-build");
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === wanted) return;
  step("Building the application (half a minute to a minute)");
  const { code, out } = await capture(process.execPath, [join(root, "node_modules/next/dist/bin/next"), "build"], {
    cwd: root,
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1", NODE_ENV: "production" },
  });
  if (code !== 0) throw new Refusal(`The build failed:\n${out.slice(-6000)}`);
  await bundleOffline();
  writeFileSync(stamp, wanted);
}
