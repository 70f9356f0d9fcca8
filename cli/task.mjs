import { join } from "node:path";
import { run } from "./run.mjs";
import { root } from "./system.mjs";

/** Runs one of the TypeScript tasks (tasks/*.ts) with the packages that are now installed. */
export const task = (name, args, env) =>
  run(process.execPath, ["--conditions=react-server", "--import", "tsx", join(root, "tasks", `${name}.ts`), ...args], {
    cwd: root,
    env: { ...process.env, NODE_ENV: "production", ...env },
  });
