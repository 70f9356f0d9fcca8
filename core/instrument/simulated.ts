import { seededRandom } from "../draw/draw";
import { normalDeviate } from "../draw/normal";
import type { InstrumentKind } from "../vocabulary/instruments";
import { writeLine } from "./line";

interface ChannelModel {
  readonly channel: string;
  readonly unit: string;
  /** The smallest step that it shows. */
  readonly resolution: number;
  /** Standard deviation of its noise. */
  readonly noise: number;
}

/** Something of the simulated test that can be set, in its unit. */
export interface Setting {
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
}

interface Model {
  readonly channels: readonly ChannelModel[];
  /** Samples a second, as such instruments usually give. */
  readonly rate: number;
  readonly settings: readonly Setting[];
  /** What each channel shows at a time, without noise; `z` is the specimen's own deviate. */
  readonly values: (s: Readonly<Record<string, number>>, t: number, z: number) => readonly number[];
}

const set = (key: string, name: string, unit: string, value: number, min: number, max: number): Setting => ({
  key,
  name,
  unit,
  value,
  min,
  max,
});

/** The shape of a load that grows to a specimen's strength: 1.5 r − 0.5 r³ rises with its stiffness and ends level. */
const bent = (r: number) => 1.5 * r - 0.5 * r ** 3;

/** The instruments that ship: what they send, what can be set, and the physics of what they stand at. */
export const instruments: Readonly<Record<InstrumentKind, Model>> = {
  // A vessel fills at a steady flow for a minute, after two seconds.
  scale: {
    channels: [{ channel: "mass", unit: "kg", resolution: 0.005, noise: 0.004 }],
    rate: 10,
    settings: [set("flow", "Flow", "kg/min", 8, 0, 100), set("tare", "Empty vessel", "kg", 0, 0, 50)],
    values: (s, t) => [s.tare! + (s.flow! * Math.min(60, Math.max(0, t - 2))) / 60],
  },
  // A handle that is pushed and pulled: half a sine each way, whose mean is the force that is set.
  gauge: {
    channels: [
      { channel: "force", unit: "N", resolution: 0.1, noise: 0.6 },
      { channel: "strokes", unit: "1", resolution: 1, noise: 0 },
    ],
    rate: 50,
    settings: [set("pace", "Strokes a minute", "1", 60, 1, 240), set("force", "Mean force", "N", 34, 0, 2000)],
    values: (s, t) => {
      const strokes = (t * s.pace!) / 60;
      return [(s.force! * Math.PI * Math.abs(Math.sin(Math.PI * strokes))) / 2, Math.floor(strokes)];
    },
  },
  // Newton's law: the difference to what is around falls off exponentially.
  thermometer: {
    channels: [{ channel: "temperature", unit: "°C", resolution: 0.06, noise: 0.05 }],
    rate: 1,
    settings: [
      set("start", "At the start", "°C", 4, -40, 100),
      set("around", "Around it", "°C", 32, -40, 100),
      set("constant", "Time constant", "min", 40, 0.1, 6000),
    ],
    values: (s, t) => [s.around! + (s.start! - s.around!) * Math.exp(-t / (60 * s.constant!))],
  },
  // A source with its own resistance on a load, which spins up and is driven unevenly.
  electrical: {
    channels: [
      { channel: "voltage", unit: "V", resolution: 0.01, noise: 0.02 },
      { channel: "current", unit: "A", resolution: 0.001, noise: 0.002 },
      { channel: "power", unit: "W", resolution: 0.001, noise: 0.005 },
    ],
    rate: 20,
    settings: [
      set("open", "Voltage without load", "V", 6, 0, 50),
      set("inner", "Its own resistance", "Ω", 4, 0, 1000),
      set("load", "Load", "Ω", 10, 0.1, 100_000),
    ],
    values: (s, t) => {
      const source = s.open! * (1 - Math.exp(-t / 3)) * (1 + 0.12 * Math.sin((2 * Math.PI * t) / 7));
      const current = source / (s.inner! + s.load!);
      return [current * s.load!, current, current ** 2 * s.load!];
    },
  },
  // 1 while the flag stands in a gate, and 1 from the first gate to the second.
  photogate: {
    channels: [
      { channel: "gate", unit: "1", resolution: 1, noise: 0 },
      { channel: "gate2", unit: "1", resolution: 1, noise: 0 },
      { channel: "between", unit: "1", resolution: 1, noise: 0 },
    ],
    rate: 500,
    settings: [
      set("speed", "Speed", "m/s", 2, 0.01, 100),
      set("flag", "Length of the flag", "m", 0.1, 0.001, 5),
      set("distance", "From gate to gate", "m", 2, 0.01, 100),
      set("again", "Passes again after", "s", 5, 0.1, 3600),
    ],
    values: (s, t) => {
      const way = t < 2 ? -1 : s.speed! * ((t - 2) % s.again!);
      const inside = (from: number, to: number) => (way >= from && way < to ? 1 : 0);
      return [inside(0, s.flag!), inside(s.distance!, s.distance! + s.flag!), inside(0, s.distance!)];
    },
  },
  // The specimen bends, gives way slowly, and breaks; specimens of one kind scatter by a twentieth.
  frame: {
    channels: [
      { channel: "load", unit: "N", resolution: 0.5, noise: 1.5 },
      { channel: "travel", unit: "mm", resolution: 0.01, noise: 0.005 },
    ],
    rate: 50,
    settings: [
      set("strength", "Breaks at about", "N", 850, 1, 100_000),
      set("stiffness", "Stiffness", "N/mm", 120, 0.1, 100_000),
      set("speed", "Speed of the frame", "mm/s", 0.5, 0.01, 50),
    ],
    values: (s, t, z) => {
      const strength = s.strength! * (1 + 0.05 * z);
      const [travel, breaks] = [s.speed! * t, (1.5 * strength) / s.stiffness!];
      return [travel < breaks ? strength * bent(travel / breaks) : 0.06 * strength, travel];
    },
  },
};

/** What a simulated instrument does: the test it stands at, and its faults. */
export interface Simulation {
  readonly kind: InstrumentKind;
  /** Samples a second. */
  readonly rate: number;
  readonly settings: Readonly<Record<string, number>>;
  /** Times the usual noise, and times the usual resolution. */
  readonly noise: number;
  readonly coarse: number;
  /** How far its zero wanders a minute, in steps of its resolution. */
  readonly drift: number;
  /** The share of samples that never arrive, 0 to 1. */
  readonly dropouts: number;
  readonly seed: string;
}

/**
 * An instrument as it ships: its usual rate, settings and noise, without drift or dropouts.
 * @example usualSimulation("scale", "7").rate // => 10
 */
export function usualSimulation(kind: InstrumentKind, seed: string): Simulation {
  const { rate, settings } = instruments[kind];
  const values = Object.fromEntries(settings.map((s) => [s.key, s.value]));
  return { kind, rate, settings: values, noise: 1, coarse: 1, drift: 0, dropouts: 0, seed };
}

/**
 * Numbers in [0, 1) by their place instead of one after the other: a seed and two counters are mixed by the finisher of
 * MurmurHash3, so that any sample can be made without those before it.
 */
function randomAt(seed: string): (k: number, i: number) => number {
  const base = Math.floor(seededRandom(seed)() * 4294967296);
  return (k, i) => {
    let h = (base ^ Math.imul(k + 1, 0x9e3779b9)) + Math.imul(i + 1, 0x7feb352d);
    h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
    h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
    return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
  };
}

/**
 * A simulated instrument: the lines that it sends at its k-th sample, counted from 0. They are the same for the same
 * seed on every machine, whichever were asked for before.
 * @example simulatedInstrument({ ...usualSimulation("scale", "7"), noise: 0 })(50) // => ["5,mass,0.4,kg"]
 */
export function simulatedInstrument(s: Simulation): (k: number) => string[] {
  const { channels, values } = instruments[s.kind];
  const specimen = seededRandom(`${s.seed}:specimen`);
  const z = normalDeviate(specimen(), specimen());
  const random = randomAt(s.seed);
  return (k) => {
    if (random(k, 0) < s.dropouts) return [];
    const t = Number((k / s.rate).toFixed(6));
    return values(s.settings, t, z).map((value, i) => {
      const { channel, unit, resolution, noise } = channels[i]!;
      const step = resolution * s.coarse;
      const wandered =
        value + (s.drift * step * t) / 60 + s.noise * noise * normalDeviate(random(k, 2 * i + 1), random(k, 2 * i + 2));
      return writeLine({ t, channel, value: Number((Math.round(wandered / step) * step).toPrecision(12)), unit });
    });
  };
}
