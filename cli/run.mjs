import { spawn } from "node:child_process";

const children = new Set();

/** Starts a program in its own process group, so that Ctrl-C reaches it only through us. */
export function launch(file, args, options = {}) {
  const child = spawn(file, args, { detached: true, stdio: "inherit", ...options });
  children.add(child);
  child.once("exit", () => children.delete(child));
  return child;
}

/** Runs a program to its end; rejects when it fails. */
export function run(file, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = launch(file, args, options);
    child.once("error", reject);
    child.once("exit", (code, signal) =>
      code === 0
        ? resolve(undefined)
        : reject(Object.assign(new Error(`${file} ended with ${signal ?? code}`), { code })),
    );
  });
}

/** Runs a program to its end and gives what it printed, with its exit code. */
export function capture(file, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = launch(file, args, { stdio: ["ignore", "pipe", "pipe"], ...options });
    let out = "";
    child.stdout?.on("data", (d) => (out += d));
    child.stderr?.on("data", (d) => (out += d));
    child.once("error", reject);
    child.once("close", (code) => resolve({ code, out }));
  });
}

/** Ends a child and waits until it is gone. */
export function end(child, signal = "SIGTERM") {
  if (!child || child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
  return new Promise((resolve) => {
    const hard = setTimeout(() => child.kill("SIGKILL"), 15_000);
    child.once("exit", () => {
      clearTimeout(hard);
      resolve(undefined);
    });
    child.kill(signal);
  });
}

/** Ends whatever is still running when the command is interrupted. */
export const endAll = () => Promise.all([...children].map((c) => end(c)));
