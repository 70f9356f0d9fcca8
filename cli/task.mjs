import { join } from "node:path";
import { capture, run } from "./run.mjs";
import { root } from "./system.mjs";

const command = (name, args) => [
  "--conditions=react-server",
  "--import",
  "tsx",
  join(root, "tasks", `${name}.ts`),
  ...args,
];

/** Runs one of the TypeScript tasks (tasks/*.ts) with the packages that are now installed. */
export const task = (name, args, env) =>
  run(process.execPath, command(name, args), {
    cwd: root,
    env: { ...process.env, NODE_ENV: "production", ...env },
  });

/** The same, silently; gives the last line that it printed. */
export async function ask(name, args, env) {
  const { code, out } = await capture(process.execPath, command(name, args), {
    cwd: root,
    env: { ...process.env, ...env },
  });
  if (code !== 0) throw new Error(out.slice(-2000));
  return out.trim().split("\n").at(-1);
}
