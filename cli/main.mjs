import { existsSync } from "node:fs";
import { join, resolve } from "node:path";
import { backupDaily, backupInto, backupPlan, keepOf } from "./backups.mjs";
import { startCluster } from "./cluster.mjs";
import { end, endAll, run } from "./run.mjs";
import { complain, Refusal, say, step } from "./say.mjs";
import { host, isLoopback, keepServing, serve } from "./serve.mjs";
import { needBuild, needPackages, needPrograms, root } from "./system.mjs";
import { task } from "./task.mjs";

const help = `ironstone: design projects from the brief to the contest

  ./ironstone demo [--fresh]          a living school with made-up data; --fresh starts it over
  ./ironstone demo --contest-day      the same on the morning of its contest, inspections half done
  ./ironstone start                   the same without demo data
  ./ironstone test [unit|db|e2e] [filter]
                                      everything that must hold; or one part of it
  ./ironstone export PROJECT FILE.zip one project as a bundle (PROJECT is its name in the address bar)
  ./ironstone import FILE.zip         a bundle into this school
  ./ironstone backup FILE.zip         the whole school, checked by restoring it
  ./ironstone backup FOLDER --keep N  the same into a folder, where the last N stay (for a timetable of your own)
  ./ironstone restore FILE.zip        the whole school from a backup (replaces what is here)
  ./ironstone verify                  computes every kept value anew and names what differs
  ./ironstone bench [--large]         how fast the main views are; --large: beside them in a department
  ./ironstone measure                 duplicates on labelled pairs, team solver, fragility, each ± against a simulation
  ./ironstone mutate [FILES]          changes the core's rules one by one and says which change no test notices
  ./ironstone fuzz [SECONDS [SEED]]   wrong texts and files to everything that reads any, a second for each answer
  ./ironstone soak [MINUTES]          a busy school with a fault a minute: what was lost, how fast, how much memory
  ./ironstone hall [MINUTES] [--kill] thirty scorers and five hundred screens: how soon a score is seen, what was lost
  ./ironstone listen [MINUTES]        a live instrument, a reload and two killed servers: which samples were lost
  ./ironstone structure               lengths of files and lines, the tests' share, lists written twice
  ./ironstone rows                    writes platform/db/rows.ts from the database's catalog
  ./ironstone schema                  writes docs/bundle.schema.json from the database

  PORT        where to serve (default 4170; a taken port is stepped past)
  HOST        the address to serve on (default 127.0.0.1: this machine only; 0.0.0.0: the network)
  DATABASE_URL  a PostgreSQL server to use instead of a cluster of Ironstone's own
  IRONSTONE_HEAP     megabytes that the server's objects may take (1024)
  IRONSTONE_BACKUPS  where start backs up every day (FOLDER or FOLDER:COUNT; off: not at all)
  IRONSTONE_DEMO=1  a command is about the demo's database (export, backup, verify ...)
  IRONSTONE_PROXY=1  a proxy stands in front: the addresses that it names are believed
`;

/** Whether a command is about the demo's database: by its name, or with IRONSTONE_DEMO=1. */
const ofDemo = process.env.IRONSTONE_DEMO === "1";

/** The demo has a database of its own beside the school's. */
function demoAddress(address, name = "demo") {
  const url = new URL(address);
  url.pathname = `${url.pathname === "/" ? "/postgres" : url.pathname}_${name}`;
  return url.toString();
}

/**
 * A migrated database: the one of DATABASE_URL, or our own cluster's. `onGone` of its cluster says when that ends by
 * itself.
 */
async function withDatabase(work, demo = ofDemo) {
  const given = process.env.DATABASE_URL;
  await needPrograms({ postgres: !given });
  await needPackages();
  const cluster = given ? { url: given, stop: async () => {}, onGone: () => {} } : await startCluster();
  const env = { DATABASE_URL: demo ? demoAddress(cluster.url, demo === true ? "demo" : demo) : cluster.url };
  try {
    await task("migrate", demo ? ["--create"] : [], env);
    return await work(env, cluster);
  } finally {
    await cluster.stop();
  }
}

const interrupted = () =>
  new Promise((resolve) => {
    for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"]) process.once(signal, resolve);
  });

async function live({ demo, fresh, contestDay }) {
  if (demo && !isLoopback && process.env.IRONSTONE_DEMO_OPEN !== "yes")
    throw new Refusal(
      `The demo lets everybody in by one click, and HOST=${host} opens it to the network. ` +
        "If that is meant, set IRONSTONE_DEMO_OPEN=yes.",
    );
  await withDatabase(
    async (env, cluster) => {
      const stopAsked = interrupted();
      cluster.onGone(() => step("PostgreSQL ended by itself; starting it again"));
      if (demo) await task("demo", [...(fresh ? ["--fresh"] : []), ...(contestDay ? ["--contest-day"] : [])], env);
      await needBuild();
      const more = { ...env, ...(demo ? { IRONSTONE_DEMO: "1" } : {}) };
      const server = await serve(more);
      say("");
      say(`  Ironstone is at ${server.url}`);
      say(
        demo
          ? "  Sign in: the first page lists the people of Hartsedge School; one click each."
          : "  The first visit creates the first instructor.",
      );
      const plan = demo ? null : backupPlan();
      const stopBackups = plan ? backupDaily(plan, env) : async () => {};
      say("  Ctrl-C stops it.");
      const last = await keepServing(server, () => serve(more, { port: server.port, quiet: true }), stopAsked);
      step("Stopping");
      await end(last.child);
      await stopBackups();
    },
    contestDay ? "contest_day" : demo || ofDemo,
  );
}

/** A backup into a folder in which so many stay. */
function backupKept(args) {
  const at = args.indexOf("--keep");
  const [folder] = args.filter((_, i) => i !== at && i !== at + 1);
  if (!folder) throw new Refusal("Which folder? Write: ./ironstone backup FOLDER --keep 14");
  const plan = { folder: resolve(folder), keep: keepOf(args[at + 1]) };
  return withDatabase(async (env) => say(`Kept as ${await backupInto(plan, env)}`));
}

async function dispatch([command, ...rest]) {
  const file = (what) => {
    const path = rest.at(-1);
    if (!path || path.startsWith("-")) throw new Refusal(`Which file? Write: ./ironstone ${command} ${what}`);
    return resolve(path);
  };
  switch (command) {
    case "demo":
      return live({ demo: true, fresh: rest.includes("--fresh"), contestDay: rest.includes("--contest-day") });
    case "start":
      return live({ demo: false });
    case "test": {
      const { test } = await import("./test.mjs");
      return test(rest);
    }
    case "bench": {
      const { bench } = await import("./bench.mjs");
      return bench({ large: rest.includes("--large") });
    }
    case "structure": {
      const { structure } = await import("./structure.mjs");
      return (await structure()).forEach((line) => say(line));
    }
    case "mutate": {
      await needPackages();
      const only = rest.length ? ["--mutate", [...rest, "!**/*.test.ts"].join(",")] : [];
      return run(join(root, "node_modules/.bin/stryker"), ["run", ...only], { cwd: root });
    }
    case "listen": {
      const { listen } = await import("./listen.mjs");
      if (!(await listen(Number(rest[0] ?? 10)))) process.exitCode = 1;
      return;
    }
    case "soak": {
      const { soak } = await import("./soak.mjs");
      if (!(await soak(Number(rest[0] ?? 30)))) process.exitCode = 1;
      return;
    }
    case "hall": {
      const { hall } = await import("./hall.mjs");
      if (!(await hall(Number(rest[0] ?? 10), { kill: rest.includes("--kill") }))) process.exitCode = 1;
      return;
    }
    case "fuzz": {
      await needPackages();
      return task("fuzz", rest, {});
    }
    case "measure": {
      await needPackages();
      await task("measure", [], {});
      return task("uncertainty", [], {});
    }
    case "export": {
      if (rest.length !== 2) throw new Refusal("Write: ./ironstone export PROJECT FILE.zip");
      return withDatabase(async (env) => {
        await task("bundle", ["export", rest[0], file("PROJECT FILE.zip")], env);
      });
    }
    case "import":
    case "backup":
    case "restore": {
      if (command === "backup" && rest.includes("--keep")) return backupKept(rest);
      const path = file("FILE.zip");
      if (command !== "backup" && !existsSync(path)) throw new Refusal(`There is no file ${path}.`);
      return withDatabase(async (env) => {
        await task("bundle", [command, path], env);
      });
    }
    case "schema":
      return withDatabase(async (env) => {
        await task("bundle", ["schema", join(root, "docs/bundle.schema.json")], env);
      });
    case "verify":
      return withDatabase(async (env) => {
        await task("verify", [], env);
      });
    case "rows":
      return withDatabase(async (env) => {
        await task("rows", [join(root, "platform/db/rows.ts")], env);
      });
    case undefined:
    case "help":
    case "--help":
    case "-h":
      return say(help);
    default:
      throw new Refusal(`There is no command “${command}”.\n\n${help}`);
  }
}

export async function main(args) {
  try {
    await dispatch(args);
  } catch (error) {
    if (error instanceof Refusal) complain(error.message);
    // A task that failed has said why itself.
    else if (typeof error.code !== "number") complain(String(error.stack ?? error));
    process.exitCode = 1;
  } finally {
    await endAll();
  }
}
