// A capture from the instrument's lines to the server's blocks: kept before it is shown, sent once, nothing lost.
import "fake-indexeddb/auto";
import { IDBFactory } from "fake-indexeddb";
import { type Simulation, simulatedInstrument, usualSimulation } from "@/core/instrument/simulated";
import { unpacked } from "../view/samples";
import { captureEngine } from "./engine";
import { type CaptureActs, sendCapture } from "./send";
import { beginCapture, type Capture, endCapture, keptCaptures, openStore, type Store } from "./store";

const rules = { F: { rule: "peak" as const }, N: { rule: "peak" as const } };
let store: Store;
beforeEach(async () => {
  Object.assign(globalThis, { indexedDB: new IDBFactory() });
  store = await openStore();
});
afterEach(() => store.close());

const begin = async (simulation: Simulation | null, id = "c1"): Promise<Capture> => {
  const capture: Capture = {
    id,
    buildId: "b",
    protocolVersionId: "v",
    page: "/live",
    startedAt: 0,
    source: "Simulated",
    readings: [
      { key: "F", name: "Force", unit: "N", seriesId: `${id}-F` },
      { key: "N", name: "Strokes", unit: "1", channel: "strokes", seriesId: `${id}-N` },
    ],
    simulation,
  };
  await beginCapture(store, capture);
  return capture;
};

/** A server that takes blocks in their order, as the command does. */
function server() {
  const opened = new Set<string>();
  const series = new Map<string, { n: number; t: number[]; v: number[] }>();
  const answers: ("lost" | "unknown" | "offline" | string)[] = [];
  const answer = async (effect: () => string | null) => {
    const fault = answers.shift() ?? "";
    if (fault === "offline") throw new TypeError("offline");
    if (fault && fault !== "lost" && fault !== "unknown") return { ok: false, kind: "refused", message: fault };
    const wrong = effect();
    if (fault === "lost") throw new TypeError("the answer was lost");
    if (fault === "unknown") return { ok: false, kind: "unknown" };
    return wrong ? { ok: false, kind: "refused", message: wrong } : { ok: true };
  };
  const acts: CaptureActs = {
    open: async (input: { id: string }) =>
      answer(() => {
        opened.add(input.id);
        return null;
      }),
    add: async (input: { seriesId: string; blocks: { number: number; samples: string }[] }) =>
      answer(() => {
        if (!opened.has(input.seriesId)) return "no such series";
        const s = series.get(input.seriesId) ?? { n: 0, t: [], v: [] };
        series.set(input.seriesId, s);
        for (const b of input.blocks) {
          if (b.number < s.n) continue;
          if (b.number > s.n) return `block ${s.n} is missing`;
          const { t, v } = unpacked(b.samples)!;
          s.t.push(...t);
          s.v.push(...v);
          s.n++;
        }
        return null;
      }),
  };
  return { acts, series, answers };
}

/** What the simulated instrument said on each channel up to a time, first sample at 0. */
function truth(s: Simulation, seconds: number): Record<string, [number, number][]> {
  const said: Record<string, [number, number][]> = {};
  const sends = simulatedInstrument(s);
  for (let k = 0; k <= seconds * s.rate; k++)
    for (const line of sends(k)) {
      const [t, channel, value] = line.split(",");
      said[channel!] ??= [];
      said[channel!]!.push([Number(t), Number(value)]);
    }
  return said;
}

test("two minutes at 200 samples a second arrive whole, whatever the network does in between", async () => {
  const simulation = { ...usualSimulation("gauge", "3"), rate: 200 };
  const capture = await begin(simulation);
  const { acts, series, answers } = server();
  let now = 0;
  const engine = await captureEngine(store, capture, rules, () => now);
  const faults = ["", "lost", "offline", "unknown", "", "", "lost"];
  for (let turn = 0; now < 120_000; turn++) {
    now += 1000;
    engine.simulate();
    await engine.keep();
    if (turn % 5) continue;
    answers.push(faults[(turn / 5) % faults.length]!);
    await sendCapture(store, { capture, ended: false }, acts).catch(() => {});
  }
  const live = engine.live();
  expect(live.readings.map((r) => r.samples)).toEqual([24_001, 24_001]);
  expect(live.readings[0]!.curve.length).toBeLessThanOrEqual(300);
  await engine.keep(true);
  answers.length = 0;
  expect(await sendCapture(store, { capture, ended: true }, acts)).toEqual({ there: ["c1-F", "c1-N"] });
  const all = truth(simulation, 120);
  for (const [key, channel] of [["F", "force"] as const, ["N", "strokes"] as const]) {
    const s = series.get(`c1-${key}`)!;
    // As one text: 24,000 pairs are compared at once.
    expect(JSON.stringify(s.t.map((t, i) => [t, s.v[i]])) === JSON.stringify(all[channel])).toBe(true);
  }
  expect(await keptCaptures(store)).toEqual([]);
});

test("a page that is loaded again shows what it had shown, and the instrument went on meanwhile", async () => {
  const simulation = { ...usualSimulation("gauge", "4"), rate: 50 };
  const capture = await begin(simulation);
  let now = 0;
  const first = await captureEngine(store, capture, rules, () => now);
  for (; now < 7300; now += 100) {
    first.simulate();
    await first.keep();
  }
  const shown = first.live().readings[0]!;
  // What came after the last keeping was never shown, and goes with the page.
  now = 9000;
  first.simulate();
  expect(first.live().readings[0]!.samples).toBe(shown.samples);

  now = 12_000;
  const second = await captureEngine(store, capture, rules, () => now);
  expect(second.live().readings[0]).toEqual(shown);
  now = 14_000;
  second.simulate();
  await second.keep(true);
  const { acts, series } = server();
  await sendCapture(store, { capture, ended: true }, acts);
  const all = truth(simulation, 14).force!;
  const s = series.get("c1-F")!;
  expect(s.t.map((t, i) => [t, s.v[i]])).toEqual([...all.slice(0, shown.samples), ...all.slice(12 * 50)]);
});

test("an interrupted capture that is ended arrives with its open block; what is refused stays here", async () => {
  const capture = await begin(null);
  const engine = await captureEngine(store, capture, rules, () => 500);
  engine.hear("10,force,0.5,kN\n10,strokes,3,1\n10.1,for");
  await engine.keep();
  engine.hear("ce,0.25,kN\n10.2,force,x,kN\n");
  await engine.keep();
  expect(engine.live()).toMatchObject({ left: { count: 1, why: "“x” is no number" } });
  const { acts, series, answers } = server();
  expect(await sendCapture(store, { capture, ended: false }, acts)).toEqual({ there: [] });
  expect(series.size).toBe(0);
  await endCapture(store, capture.id);
  const [kept] = await keptCaptures(store);
  expect(kept!.state.ended).toBe(true);
  answers.push("", "An attempt was taken already.");
  expect(await sendCapture(store, { capture, ended: true }, acts)).toEqual({
    refused: "An attempt was taken already.",
  });
  expect(await keptCaptures(store)).toHaveLength(1);
  expect(await sendCapture(store, { capture, ended: true }, acts)).toEqual({ there: ["c1-F", "c1-N"] });
  expect(series.get("c1-F")).toMatchObject({ t: [0, 0.1], v: [500, 250] });
  expect(series.get("c1-N")).toMatchObject({ t: [0], v: [3] });
});

test("captures of one browser do not touch each other", async () => {
  const [one, two] = [await begin(null, "c1"), await begin(null, "c2")];
  for (const c of [one, two]) {
    const engine = await captureEngine(store, c, rules, () => 0);
    engine.hear("0,force,1,N\n");
    await engine.keep(true);
  }
  const { acts, series } = server();
  expect(await sendCapture(store, { capture: one, ended: true }, acts)).toEqual({ there: ["c1-F"] });
  expect([...series.keys()]).toEqual(["c1-F"]);
  expect((await keptCaptures(store)).map((k) => k.capture.id)).toEqual(["c2"]);
});

test("a capture to which nothing came is forgotten, and makes no series", async () => {
  const capture = await begin(null);
  const engine = await captureEngine(store, capture, rules, () => 0);
  engine.hear("# nothing yet\n");
  await engine.keep(true);
  const { acts, series } = server();
  expect(await sendCapture(store, { capture, ended: true }, acts)).toEqual({ there: [] });
  expect([series.size, await keptCaptures(store)]).toEqual([0, []]);
});
