// What a measurement needs to know of a built and running server.
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { Refusal } from "./say.mjs";
import { root } from "./system.mjs";

/** The address of a server action, as the build knows it. */
export function actionOf(name) {
  const manifest = JSON.parse(readFileSync(join(root, ".next/server/server-reference-manifest.json"), "utf8"));
  const found = Object.entries(manifest.node).find(([, a]) => a.exportedName === name);
  if (!found) throw new Refusal(`The build has no action ${name}.`);
  return found[0];
}

/** Resident memory of a process in MB. */
export const memory = (pid) => {
  try {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))[1]) / 1024;
  } catch {
    return 0;
  }
};

/** Seconds of processor time that a process has used; 0 when it is gone. */
export const processor = (pid) => {
  try {
    const [user, system] = readFileSync(`/proc/${pid}/stat`, "utf8").split(") ")[1].split(" ").slice(11, 13);
    return (Number(user) + Number(system)) / 100;
  } catch {
    return 0;
  }
};

/** The process of a cluster's PostgreSQL. */
export const postmaster = (cluster) =>
  Number(readFileSync(join(cluster.home, "cluster/postmaster.pid"), "utf8").split("\n")[0]);

/** Sends a server action as a page does; gives the answer's text. */
export async function act(url, page, action, cookie, args) {
  const r = await fetch(url + page, {
    method: "POST",
    headers: {
      "Next-Action": action,
      "Content-Type": "text/plain;charset=UTF-8",
      Accept: "text/x-component",
      Origin: url,
      cookie,
    },
    body: JSON.stringify(args),
    signal: AbortSignal.timeout(20_000),
  });
  return { status: r.status, text: await r.text() };
}

/** Sends JSON as a page's own script does; gives the answer's text. */
export async function post(url, path, cookie, body) {
  const r = await fetch(url + path, {
    method: "POST",
    headers: { "content-type": "application/json", Origin: url, cookie },
    body: JSON.stringify(body),
    signal: AbortSignal.timeout(20_000),
  });
  return { status: r.status, text: await r.text() };
}
