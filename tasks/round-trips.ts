// Counts the round trips to the database that saving an attempt takes, by standing between the two.
import { randomUUID } from "node:crypto";
import { connect, createServer, type Server } from "node:net";
import { execute } from "@/platform/command/command";
import { closeDb, db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { recordRun } from "@/stages/bench/commands/runs";
import { checkSafety } from "@/stages/bench/commands/safety";

let [trips, asking] = [0, false];

/** A relay to the database that counts each time the program speaks after the database has answered. */
function relay(host: string, port: number): Promise<Server> {
  const server = createServer((near) => {
    const far = connect(port, host);
    near.on("data", (d) => {
      if (!asking) trips++;
      asking = true;
      far.write(d);
    });
    far.on("data", (d) => {
      asking = false;
      near.write(d);
    });
    for (const [a, b] of [
      [near, far],
      [far, near],
    ] as const)
      a.on("close", () => b.destroy()).on("error", () => b.destroy());
  });
  return new Promise((resolve) => server.listen(0, "127.0.0.1", () => resolve(server)));
}

async function main(): Promise<void> {
  const url = new URL(process.env.DATABASE_URL!);
  const server = await relay(url.hostname, Number(url.port));
  url.port = String((server.address() as { port: number }).port);
  process.env.DATABASE_URL = url.toString();
  process.env.IRONSTONE_POOL = "1";
  const [at] = await db()<
    { build: string; version: string; projectId: string; protocolId: string; admin: string; keys: string[] }[]
  >`
    SELECT
      b.id AS build, v.id AS version, p.id AS project_id, q.id AS protocol_id, v.definition -> 'safety' AS cautions,
      (SELECT id FROM person WHERE admin LIMIT 1) AS admin,
      ARRAY(SELECT x->>'key' FROM jsonb_array_elements(v.definition->'measures') x) AS keys
    FROM project p
    JOIN build b ON b.project_id = p.id
    JOIN protocol q ON q.project_id = p.id
    JOIN LATERAL (SELECT * FROM protocol_version WHERE protocol_id = q.id ORDER BY number DESC LIMIT 1) v ON true
    WHERE p.slug = 'terrace-pump'
    ORDER BY q.id, b.id DESC
    LIMIT 1
  `;
  const actor = await actorOf(at!.admin);
  const begun = await execute(checkSafety, actor, at);
  if (!begun.ok) throw new Error(begun.message);
  const save = async () => {
    const id = randomUUID();
    const readings = Object.fromEntries(at!.keys.map((k) => [k, "1"]));
    const input = { id, buildId: at!.build, protocolVersionId: at!.version, readings, conditions: {}, sure: true };
    const r = await execute(recordRun, actor, input, id);
    if (!r.ok) throw new Error(r.message);
  };
  await save(); // the first one prepares the statements
  trips = 0;
  await save();
  console.log(`saving an attempt: ${trips} round trips to the database`);
  await closeDb();
  server.close();
}

main().catch((error) => {
  console.error(error);
  // What it opened would keep it alive.
  process.exit(1);
});
