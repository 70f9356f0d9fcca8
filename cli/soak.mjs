// Half an hour of a busy school with a fault a minute: nothing that was acknowledged may be lost or doubled, every
// stream must have heard of the last write, memory must stay flat; how fast it was is printed a minute.
import { setTimeout as pause } from "node:timers/promises";
import { onRig } from "./rig.mjs";
import { Refusal, say } from "./say.mjs";
import { actionOf, memory, postmaster } from "./server-facts.mjs";
import { clock, reader, watcher, writer } from "./soak-load.mjs";
import { ask } from "./task.mjs";

const size = { writers: 30, readers: 200, watchers: 50 };
const pagesOf = (slug) =>
  ["", "/needs", "/builds", "/bench", "/plan", "/teams", "/notebook"].map((x) => `/p/${slug}${x}`);

/** What goes wrong, in turn. Only early the server itself: its memory is watched afterwards. */
function faults({ sql, cluster, serverNow }) {
  const early = [["the server is killed", () => process.kill(serverNow().child.pid, "SIGKILL")]];
  const always = [
    [
      "five connections are cut",
      () =>
        sql`
          SELECT pg_terminate_backend(pid)
          FROM (
            SELECT pid FROM pg_stat_activity
            WHERE datname = current_database() AND pid <> pg_backend_pid()
            ORDER BY random() LIMIT 5
          ) x
        `,
    ],
    ["PostgreSQL is killed", () => process.kill(postmaster(cluster), "SIGKILL")],
    [
      "a row lock is held for 8 s",
      () =>
        sql.begin(async (tx) => {
          await tx`SELECT FROM project LIMIT 1 FOR UPDATE`;
          await pause(8000);
        }),
    ],
    [
      "the database is frozen for 5 s",
      async () => {
        const pids = (await sql`SELECT pid FROM pg_stat_activity WHERE datname = current_database()`).map((x) => x.pid);
        const both = (signal) => {
          for (const pid of pids)
            try {
              process.kill(pid, signal);
            } catch {
              // gone by now
            }
        };
        both("SIGSTOP");
        await pause(5000);
        both("SIGCONT");
      },
    ],
  ];
  return (minute, minutes) => {
    const list = minute <= minutes / 4 ? [...early, ...always] : always;
    return list[(minute - 1) % list.length];
  };
}

export async function soak(minutes) {
  if (!(minutes >= 1 && minutes <= 600)) throw new Refusal("How many minutes? Write: ./ironstone soak 30");
  return onRig(
    async (env) => JSON.parse(await ask("soak-setup", [], env)),
    (rig) => school(minutes, rig),
  );
}

async function school(minutes, { place, url, cluster, sql, ended, serverNow }) {
  const { project, writers, reader: cookie } = place;
  const over = () => ended.signal.aborted;
  const [acknowledged, sent, failed, refusals] = [new Set(), new Set(), clock(), new Map()];
  const [writes, reads] = [clock(), clock()];
  const action = actionOf("writeEntryAction");
  const people = writers.slice(0, size.writers);
  const streams = Array.from({ length: size.watchers }, () => ({ last: null }));
  const halted = new AbortController();
  const pages = pagesOf(project.slug);
  const common = { url, project, over };
  const writing = Array.from({ length: size.writers }, (_, i) =>
    writer({ ...common, action, who: people[i % people.length], acknowledged, sent, refusals, times: writes }),
  );
  const reading = Array.from({ length: size.readers }, () =>
    reader({ ...common, pages, cookie, times: reads, failed }),
  );
  // One person holds twenty streams at most: the watchers are many people.
  const watching = streams.map((state, i) =>
    watcher({ ...common, cookie: people[i % people.length].cookie, state, ended: halted.signal }),
  );
  say(`${size.writers} writers, ${size.readers} readers, ${size.watchers} streams, ${minutes} minutes`);
  const next = faults({ sql, cluster, serverNow });
  const heap = [];
  for (let minute = 1; minute <= minutes; minute++) {
    await pause(40_000);
    const [name, fault] = next(minute, minutes);
    await Promise.resolve(fault()).catch((e) => say(`  (${name}: ${e.message})`));
    await pause(20_000);
    const [w, r, f, mb] = [writes.take(), reads.take(), failed.take(), memory(serverNow().child.pid)];
    heap.push(mb);
    say(
      `minute ${minute}: ${name}; ${w.n} writes p50 ${w.p50.toFixed(0)} p95 ${w.p95.toFixed(0)} ms; ` +
        `${r.n} pages p50 ${r.p50.toFixed(0)} p95 ${r.p95.toFixed(0)} ms, ${f.n} not answered; ${mb.toFixed(0)} MB`,
    );
  }
  ended.abort();
  await Promise.all([...writing, ...reading]);
  await pause(3000);
  halted.abort();
  await Promise.all(watching);
  return await report({ sql, project, acknowledged, sent, refusals, streams, heap });
}

/** Compares what was acknowledged with what is there. */
async function report({ sql, project, acknowledged, sent, refusals, streams, heap }) {
  const rows = await sql`
    SELECT e.id, count(v.number)::int AS n
    FROM notebook_entry e
    LEFT JOIN notebook_version v ON v.entry_id = e.id
    WHERE e.id = ANY(${[...sent]}::uuid[])
    GROUP BY e.id
  `;
  const here = new Map(rows.map((r) => [r.id, r.n]));
  const lost = [...acknowledged].filter((id) => here.get(id) !== 1);
  const half = rows.filter((r) => r.n !== 1);
  const [{ number }] = await sql`SELECT number FROM notice_count WHERE project_id = ${project.id}`;
  const behind = streams.filter((s) => s.last !== number);
  const later = heap.slice(Math.ceil(heap.length / 3));
  const growth = later.length > 1 ? Math.max(...later.slice(-3)) / Math.max(1, later[0]) : 1;
  say(`\n${acknowledged.size} writes acknowledged of ${sent.size} sent`);
  say(`${lost.length} lost, ${half.length} half or doubled`);
  for (const [id, words] of refusals) say(`  never acknowledged: ${id}: ${words}`);
  say(`${streams.length - behind.length} of ${streams.length} streams heard of the last write (number ${number})`);
  say(`memory at the end ${growth.toFixed(2)} times that after a third of the time`);
  return lost.length === 0 && half.length === 0 && behind.length === 0;
}
