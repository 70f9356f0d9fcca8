// A capture while it runs: lines in, samples into this browser's store, and only then to the screen.
import { lineCutter } from "@/core/instrument/line";
import { receiver } from "@/core/instrument/receive";
import { simulatedInstrument } from "@/core/instrument/simulated";
import { type Silence, silences } from "@/core/series/silence";
import { type Taking, takeFrom, thinned } from "@/core/series/take";
import { Growing, isFull } from "../view/samples";
import { blocksOf, type Capture, keepBlocks, type Store } from "./store";

/** How a reading is seen while it is captured: thinned, and what its rule would take now. */
export interface LiveReading {
  readonly key: string;
  readonly samples: number;
  readonly curve: ReturnType<typeof thinned>;
  readonly last: number | null;
  readonly taken: { value: number; from: number; to: number } | null;
  readonly why: string;
  /** Where nothing came. */
  readonly silent: readonly Silence[];
}

/** What the page is told, of samples that are in the store. */
export interface Live {
  readonly seconds: number;
  readonly readings: readonly LiveReading[];
  readonly left: { count: number; why: string };
  readonly restarts: number;
  /** Channels that no reading takes. */
  readonly unused: readonly string[];
}

/** How many points a curve that is drawn live has. */
const drawn = 300;

/**
 * A capture that takes lines, or makes them where its instrument is simulated, and keeps what they bring.
 * @param now this computer's clock, in milliseconds
 */
export async function captureEngine(
  store: Store,
  capture: Capture,
  rules: Readonly<Record<string, Taking>>,
  now: () => number,
) {
  const kept = await store.get("state", capture.id);
  const r = receiver(capture.readings, kept);
  const cut = lineCutter();
  const { simulation } = capture;
  const sends = simulation && simulatedInstrument(simulation);
  const seconds = () => (now() - capture.startedAt) / 1000;
  // What was kept before the page was loaded again is drawn with the rest; its last block goes on.
  const series = new Map<string, { all: Growing; number: number; start: number; stored: number }>();
  for (const { key } of capture.readings) {
    const all = new Growing();
    let [number, start] = [0, 0];
    for (const b of await blocksOf(store, capture.id, key)) {
      for (let i = 0; i < b.t.length; i++) all.add(b.t[i]!, b.v[i]!);
      [number, start] = b.full ? [b.number + 1, all.n] : [b.number, all.n - b.t.length];
    }
    series.set(key, { all, number, start, stored: all.n });
  }
  // A simulated instrument goes on while nobody listens, as a real one does.
  let next = !simulation ? 0 : kept?.offset === null || !kept ? 0 : Math.ceil(seconds() * simulation.rate);
  const take = (line: string, wall: number) => {
    for (const s of r.take(line, wall)) series.get(s.key)!.all.add(s.t, s.v);
  };

  return {
    /** What an instrument sent, as it comes. */
    hear(piece: string) {
      const wall = seconds();
      for (const line of cut(piece)) take(line, wall);
    },

    /** Lets a simulated instrument send what is due. */
    simulate() {
      if (!simulation || !sends) return;
      const wall = seconds();
      for (const until = wall * simulation.rate; next <= until; next++)
        for (const line of sends(next)) take(line, wall);
    },

    /** Keeps what came since the last time. */
    async keep(ended = false) {
      const blocks = [];
      for (const [key, s] of series) {
        const n = s.all.n;
        // A block is closed where it is full, wherever that lies in what came.
        for (let from = s.start, i = s.start; i < n; i++) {
          const { t } = s.all.samples(from);
          const closes = isFull(i + 1 - from, t[i - from]! - t[0]!);
          if (!closes && i < n - 1) continue;
          if (i >= s.stored || closes || ended) {
            const { v } = s.all.samples(from);
            const [len, isLast] = [i + 1 - from, ended && i === n - 1];
            const block = { capture: capture.id, key, number: s.number, full: closes || isLast };
            blocks.push({ ...block, t: t.slice(0, len), v: v.slice(0, len) });
          }
          if (closes) {
            from = i + 1;
            s.start = from;
            s.number++;
          }
        }
      }
      const counts = [...series.values()].map((s) => [s, s.all.n] as const);
      if (blocks.length || ended) await keepBlocks(store, { id: capture.id, ...r.standing(), ended }, blocks);
      for (const [s, n] of counts) s.stored = n;
    },

    /** What the page may show: what is in the store. */
    live(): Live {
      const readings = capture.readings.map(({ key, unit }) => {
        const s = series.get(key)!;
        const { t, v } = s.all.samples();
        const stored = { t: t.subarray(0, s.stored), v: v.subarray(0, s.stored) };
        const { value, working } = takeFrom(rules[key]!, stored, unit);
        return {
          key,
          samples: s.stored,
          curve: thinned(stored, drawn),
          last: stored.v.at(-1) ?? null,
          taken: value,
          why: working.warnings.join(" "),
          silent: silences(stored.t),
        };
      });
      return { seconds: seconds(), readings, left: r.left(), restarts: r.restarts(), unused: r.unused() };
    },
  };
}
