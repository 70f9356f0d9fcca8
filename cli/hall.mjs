// A full hall: thirty scorers who write once in five seconds and five hundred screens. Prints how long it takes from an
// acknowledged score to the new figure on the screens, what was lost, and what it cost; with --kill the server and
// PostgreSQL are killed in the middle of it.
import { setMaxListeners } from "node:events";
import { setTimeout as pause } from "node:timers/promises";
import { scorer, screen } from "./hall-load.mjs";
import { onRig } from "./rig.mjs";
import { Refusal, say, step } from "./say.mjs";
import { act, actionOf, memory, postmaster, processor } from "./server-facts.mjs";
import { clock } from "./soak-load.mjs";
import { ask } from "./task.mjs";

const every = 5000;
const screens = Number(process.env.SCREENS ?? 500);
const attempts = 20;
/** Every score has a value of its own, by which it is known on a screen. */
const figureOf = (scorer, n) => (scorer + 1 + (n + 1) / 1000).toFixed(3);

/** What a screen shows after what was said to it: the whole state, or a change of the one before. */
function shownAfter(before, { event, text }) {
  const said = JSON.parse(text);
  if (event === "board") return said;
  const rows = said.rows.map((r) => (typeof r === "number" ? before.face.rows[r] : r));
  return { ...said.state, face: { ...said.state.face, rows } };
}

export async function hall(minutes, { kill }) {
  if (!(minutes >= 1 && minutes <= 60)) throw new Refusal("How many minutes? Write: ./ironstone hall 10");
  const events = Math.ceil((minutes * 60_000) / every / attempts);
  return onRig(
    async (env) => {
      step("Filling the hall");
      return JSON.parse(await ask("hall-setup", [String(events)], env));
    },
    (rig) => contest({ ...rig, minutes, kill }),
  );
}

async function contest({ place, url, minutes, kill, cluster, sql, ended, serverNow }) {
  setMaxListeners(0, ended.signal);
  const [writes, refusals, acknowledged, waiting] = [clock(), new Map(), new Map(), new Map()];
  const delays = [];
  const last = Array.from({ length: screens }, () => null);
  // Five hundred screens are sent the same: what is new in a text is looked up once, and each screen only compares.
  let [newest, shown, made] = ["", [], null];
  const heard = (i) => (said) => {
    const now = performance.now();
    if (said.text !== newest)
      [newest, shown] = [said.text, [...waiting.values()].filter((s) => said.text.includes(`"${s.value}"`))];
    if (made?.before !== last[i] || made.text !== said.text)
      made = { before: last[i], text: said.text, after: shownAfter(last[i], said) };
    last[i] = made.after;
    for (const s of shown)
      if (!s.seen[i]) {
        s.seen[i] = now;
        if (++s.count === screens && s.at) settle(s);
      }
  };
  const settle = (s) => {
    waiting.delete(s.value);
    for (const at of s.seen) delays.push(Math.max(0, at - s.at));
  };
  const expect = (value) => waiting.set(value, { value, seen: new Array(screens), count: 0, at: 0 });
  const score = ({ id, value, at }) => {
    acknowledged.set(id, value);
    const s = waiting.get(value);
    if (!s) return;
    s.at = at;
    if (s.count === screens) settle(s);
  };
  const address = `${url}/api/board?board=${place.hall}&screen=${place.board}`;
  const watching = last.map((_, i) => screen({ address, heard: heard(i), ended: ended.signal }));
  const present = async (eventId) => {
    const input = { id: place.board, shows: "event", eventId };
    const page = `/p/${place.slug}/contest/boards`;
    for (;;) {
      const { text } = await act(url, page, actionOf("showOnBoardAction"), place.presenter, [input, {}]).catch(() => ({
        text: "",
      }));
      if (/"ok":true/.test(text)) return;
      await pause(500);
    }
  };
  await present(place.events[0].id);
  await pause(3000);
  const over = () => ended.signal.aborted;
  const from = performance.now();
  const cpu = () => processor(serverNow().child.pid);
  const busy = cpu();
  const scoring = place.cookies.map((cookie, nth) =>
    scorer({
      url,
      cookie,
      attempts,
      every,
      nth,
      score,
      over,
      refusals,
      times: writes,
      of: place.events.map((e) => e.id),
      entries: place.events.map((e) => e.entries[nth]),
      figureOf: (who, n) => {
        const value = figureOf(who, n);
        expect(value);
        return value;
      },
    }),
  );
  say(`${place.cookies.length} scorers, one attempt in ${every / 1000} s each; ${screens} screens; ${minutes} minutes`);
  // The presenter shows each event while it is scored.
  const presenting = (async () => {
    for (const [i, e] of place.events.entries()) {
      await pause(Math.max(0, from + i * attempts * every - performance.now()));
      if (over()) return;
      if (i > 0) await present(e.id);
    }
  })();
  const killing = kill && kills({ minutes, cluster, serverNow });
  const peak = [];
  const watch = setInterval(() => peak.push(memory(serverNow().child.pid)), 5000);
  await Promise.all([...scoring, presenting, killing]);
  await pause(kill ? 15_000 : 3000);
  clearInterval(watch);
  const seconds = (performance.now() - from) / 1000;
  const used = cpu() - busy;
  ended.abort();
  await Promise.all(watching);
  return report({ sql, acknowledged, refusals, waiting, delays, last, writes, seconds, used, peak, kill });
}

async function kills({ minutes, cluster, serverNow }) {
  await pause((minutes * 60_000) / 3);
  process.kill(serverNow().child.pid, "SIGKILL");
  say("the server is killed");
  await pause((minutes * 60_000) / 3);
  process.kill(postmaster(cluster), "SIGKILL");
  say("PostgreSQL is killed");
}

async function report({ sql, acknowledged, refusals, waiting, delays, last, writes, seconds, used, peak, kill }) {
  const ids = [...acknowledged.keys()];
  const rows = await sql`
    SELECT r.id, count(g.run_id)::int AS n
    FROM run r
    LEFT JOIN reading g ON g.run_id = r.id
    WHERE r.id = ANY(${ids}::uuid[])
    GROUP BY r.id
  `;
  const here = new Map(rows.map((r) => [r.id, r.n]));
  const lost = ids.filter((id) => here.get(id) !== 1);
  const w = writes.take();
  const sorted = Float64Array.from(delays).sort();
  const at = (q) => (sorted.length ? sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] : 0);
  const first = JSON.stringify(last[0]);
  const same = last.filter((x) => x && JSON.stringify(x) === first).length;
  say(`\n${ids.length} scores acknowledged, ${lost.length} lost; p50 ${w.p50.toFixed(0)} p95 ${w.p95.toFixed(0)} ms`);
  for (const [id, words] of refusals) say(`  never acknowledged: ${id}: ${words}`);
  say(
    `from acknowledged to the screen: p50 ${at(0.5).toFixed(0)} p95 ${at(0.95).toFixed(0)} ` +
      `p99 ${at(0.99).toFixed(0)} most ${at(1).toFixed(0)} ms, over ${sorted.length} figures on screens`,
  );
  say(`${waiting.size} scores did not reach every screen${kill ? " while they were cut off" : ""}`);
  say(`${same} of ${last.length} screens show the same at the end`);
  say(
    `server: ${((100 * used) / seconds).toFixed(0)} % of one core, at most ${Math.max(...peak).toFixed(0)} MB; ` +
      `${seconds.toFixed(0)} s`,
  );
  const whole = lost.length === 0 && refusals.size === 0 && same === last.length;
  return kill ? whole : whole && waiting.size === 0 && at(0.95) <= 300;
}
