// Backups that are made by themselves: every day into a folder, each checked by restoring it, a count of them kept.
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from "node:fs";
import { basename, join, resolve } from "node:path";
import { stateFolder } from "./cluster.mjs";
import { complain, Refusal, say } from "./say.mjs";
import { task } from "./task.mjs";

const named = /^ironstone-(\d{4}-\d\d-\d\d)T(\d\d)(\d\d)(\d\d)\.zip$/;
const day = 24 * 60 * 60 * 1000;

/** The name of a backup made at this moment; names sort as their moments do. */
export const nameAt = (at) => `ironstone-${at.toISOString().slice(0, 19).replaceAll(":", "")}.zip`;

/** Of the files of a folder our backups, the newest first. */
export const backupsAmong = (files) => files.filter((f) => named.test(f)).sort((a, b) => (a < b ? 1 : -1));

/** When a backup was made, in milliseconds. */
const madeAt = (file) => Date.parse(file.replace(named, "$1T$2:$3:$4Z"));

/** Those that are too many when so many are kept: the oldest. What is not named like a backup of ours is never one. */
export const surplus = (files, keep) => backupsAmong(files).slice(keep);

/** How long until the next one is due, in milliseconds: a day after the newest. */
export const dueIn = (files, now) => {
  const [newest] = backupsAmong(files);
  return newest ? Math.max(0, madeAt(newest) + day - now) : 0;
};

/** How many are kept, as asked for. */
export function keepOf(text) {
  if (!/^[1-9]\d{0,2}$/.test(text ?? "")) throw new Refusal("How many backups are kept? Write a number from 1 to 999.");
  return Number(text);
}

/**
 * Where backups go by themselves, and how many are kept: as IRONSTONE_BACKUPS says (FOLDER, FOLDER:COUNT or off), else
 * seven in the folder of our own cluster; none where the database is somebody else's.
 */
export function backupPlan(wanted = process.env.IRONSTONE_BACKUPS, ownCluster = !process.env.DATABASE_URL) {
  if (wanted === "off" || (!wanted && !ownCluster)) return null;
  if (!wanted) return { folder: join(stateFolder(), "backups"), keep: 7 };
  const [, folder, count] = /^(.+?)(?::(\d+))?$/.exec(wanted);
  return { folder: resolve(folder), keep: count === undefined ? 7 : keepOf(count) };
}

/** Makes one backup in a folder and checks it; only then the surplus goes. */
export async function backupInto({ folder, keep }, env) {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = join(folder, nameAt(new Date()));
  const unfinished = `${file}.unfinished`;
  try {
    await task("bundle", ["backup", unfinished], env);
    renameSync(unfinished, file);
  } catch (error) {
    // One that was written and could not be restored the same is kept beside the others, under a name of its own.
    if (error.code === 2) renameSync(unfinished, `${file}.unchecked`);
    else rmSync(unfinished, { force: true });
    throw error;
  }
  // The one that was just made stays, also where the clock was wrong when the others were.
  const others = readdirSync(folder).filter((f) => f !== basename(file));
  for (const old of surplus(others, keep - 1)) rmSync(join(folder, old));
  return file;
}

/** Makes a backup a day until it is told to stop; a failed one is said and tried again an hour later. */
export function backupDaily(plan, env) {
  let timer;
  let running = Promise.resolve();
  const next = (wait) => {
    timer = setTimeout(() => {
      running = backupInto(plan, env).then(
        () => next(day),
        (error) => {
          complain(`The daily backup into ${plan.folder} failed: ${error.message}. It is tried again in an hour.`);
          next(day / 24);
        },
      );
    }, wait);
  };
  // Not in the first minute: a school that is just being opened has better things to do.
  next(Math.max(60_000, existsSync(plan.folder) ? dueIn(readdirSync(plan.folder), Date.now()) : 0));
  say(`  Backups: one a day in ${plan.folder}, the last ${plan.keep} are kept.`);
  return async () => {
    clearTimeout(timer);
    await running;
  };
}
