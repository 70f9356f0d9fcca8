// Instruments: their lines, what a receiver makes of them, and the simulated ones.
import fc from "fast-check";
import { takeFrom } from "../series/take";
import { type InstrumentKind, instrumentKind } from "../vocabulary/instruments";
import { lineCutter, readLine, writeLine } from "./line";
import { receiver } from "./receive";
import { instruments, type Simulation, simulatedInstrument, usualSimulation } from "./simulated";

describe("a line", () => {
  test.each([
    ["1,force,2", /is not time,channel,value,unit/],
    ["-1,force,2,N", /“-1” is no time/],
    ["1,5,2,N", /“5” is no channel's name/],
    ["1,force,0x10,N", /“0x10” is no number/],
    ["1,force,1e999,N", /is no number/],
    ["1,force,2,", /unit is missing/],
    [`1,force,2,${"N".repeat(300)}`, /at most 200 characters/],
  ])("%s is refused in words", (line, why) => {
    const read = readLine(line);
    expect(read.kind === "bad" && read.why).toMatch(why);
  });

  test("what is written is read", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1e6, noNaN: true }),
        fc.double({ min: -1e9, max: 1e9, noNaN: true }),
        (t, value) => {
          const sample = { t, channel: "force", value, unit: "N" };
          const read = readLine(writeLine(sample));
          expect(read.kind === "sample" && read.sample.t === t && read.sample.value === value).toBe(true);
        },
      ),
    );
  });

  test("lines come whole however the bytes are cut", () => {
    fc.assert(
      fc.property(fc.array(fc.nat(40), { maxLength: 12 }), fc.constantFrom("\n", "\r\n"), (cuts, end) => {
        const text = ["0,a,1,N", "# note", "1,a,2,N", "2,a,3,N"].map((l) => l + end).join("");
        const cut = lineCutter();
        const at = [0, ...cuts.map((c) => Math.min(c, text.length)).sort((a, b) => a - b), text.length];
        const lines = at.slice(1).flatMap((to, i) => cut(text.slice(at[i]!, to)));
        expect(lines.filter(Boolean)).toEqual(["0,a,1,N", "# note", "1,a,2,N", "2,a,3,N"]);
      }),
    );
  });
});

describe("a receiver", () => {
  test("a reading takes the channel that is named, or the first of its kind", () => {
    const r = receiver([
      { key: "V", unit: "V", channel: "Voltage" },
      { key: "any", unit: "mV" },
      { key: "I", unit: "A" },
    ]);
    expect(r.take("0,spare,2,V", 0)).toEqual([{ key: "any", t: 0, v: 2000 }]);
    expect(r.take("0,voltage,5,V", 0)).toEqual([{ key: "V", t: 0, v: 5 }]);
    expect(r.take("0.5,current,0.25,A", 0.5)).toEqual([{ key: "I", t: 0.5, v: 0.25 }]);
    expect(r.take("0.5,flow,0.25,furlong", 0.5)).toEqual([]);
    expect(r.left()).toEqual({ count: 1, why: "flow comes in “furlong”, which is not a known unit" });
    expect(r.take("1,humidity,40,%", 1)).toEqual([]);
    expect(r.take("1,voltage,40,°C", 1)).toEqual([]);
    expect(r.left()).toEqual({ count: 2, why: "voltage comes in °C, a temperature, and is taken in V" });
    expect(r.unused()).toEqual(["humidity"]);
  });

  test("a temperature is converted with its offset", () => {
    expect(receiver([{ key: "T", unit: "°C" }]).take("0,probe,50,°F", 0)[0]!.v).toBeCloseTo(10, 9);
  });

  test("lines that changed places are left out; a clock that begins anew goes on by this computer's", () => {
    const r = receiver([{ key: "F", unit: "N" }]);
    for (let i = 0; i <= 100; i++) r.take(`${50 + i / 10},f,${i},N`, i / 10);
    expect(r.take("59.9,f,1,N", 10)).toEqual([]);
    expect(r.left().why).toBe("f: 59.9 s does not come after the sample before it");
    expect(r.restarts()).toBe(0);
    const [again] = r.take("0,f,7,N", 14);
    expect(again).toMatchObject({ key: "F", v: 7 });
    expect(again!.t).toBeCloseTo(14, 2);
    expect(r.take("1,f,8,N", 15)[0]!.t).toBeCloseTo(15, 2);
    expect(r.restarts()).toBe(1);
  });

  test("channels that come in turns, a few seconds of each, are no new beginning", () => {
    const r = receiver([
      { key: "F", unit: "N" },
      { key: "T", unit: "°C" },
    ]);
    for (const [channel, unit] of [["force", "N"] as const, ["probe", "°C"] as const])
      for (let t = 0; t <= 5; t += 0.5) expect(r.take(`${t},${channel},${t},${unit}`, 6)).toHaveLength(1);
    expect(r.restarts()).toBe(0);
    expect(r.standing().last).toEqual({ F: 5, T: 5 });
  });

  test("it goes on from where it stood", () => {
    const first = receiver([{ key: "F", unit: "N" }]);
    first.take("20,f,1,N", 0);
    first.take("21,f,1,N", 1);
    const second = receiver([{ key: "F", unit: "N" }], first.standing());
    expect(second.take("21,f,1,N", 1)).toEqual([]);
    expect(second.take("25,f,2,N", 5)).toEqual([{ key: "F", t: 5, v: 2 }]);
    const third = receiver([{ key: "F", unit: "N" }], second.standing());
    expect(third.take("0.5,f,3,N", 9)[0]!.t).toBeCloseTo(9, 2);
  });

  test("times rise whatever comes", () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1e4, noNaN: true }), { maxLength: 60 }), (times) => {
        const r = receiver([{ key: "F", unit: "N" }]);
        const taken = times.flatMap((t, i) => r.take(`${t.toFixed(4)},f,1,N`, i));
        expect(taken.every((s, i) => i === 0 || s.t > taken[i - 1]!.t)).toBe(true);
        expect(taken.length + r.left().count).toBe(times.length);
      }),
    );
  });
});

describe("simulated instruments", () => {
  const bare = (kind: InstrumentKind, more: Partial<Simulation> = {}): Simulation => ({
    ...usualSimulation(kind, "12"),
    noise: 0,
    ...more,
  });
  /** The samples of one channel. */
  const channel = (s: Simulation, name: string, seconds: number) => {
    const r = receiver([
      { key: "x", unit: instruments[s.kind].channels.find((c) => c.channel === name)!.unit, channel: name },
    ]);
    const sends = simulatedInstrument(s);
    const all = Array.from({ length: seconds * s.rate + 1 }, (_, k) => sends(k))
      .flat()
      .flatMap((line) => r.take(line, 0));
    return { t: all.map((x) => x.t), v: all.map((x) => x.v) };
  };

  test.each(instrumentKind.values)("a %s sends every channel in its steps, the same for a seed", (kind) => {
    const s = usualSimulation(kind, "5");
    const sends = simulatedInstrument(s);
    for (const k of [0, 17, 400]) {
      const lines = sends(k);
      expect(lines).toEqual(simulatedInstrument(s)(k));
      for (const [i, line] of lines.entries()) {
        const read = readLine(line);
        if (read.kind !== "sample") throw new Error(line);
        const model = instruments[kind].channels[i]!;
        expect(read.sample).toMatchObject({ channel: model.channel, unit: model.unit });
        const steps = read.sample.value / model.resolution;
        expect(Math.abs(steps - Math.round(steps))).toBeLessThan(1e-6);
      }
    }
    const some = (seed: string) => [400, 401, 402, 403, 404].flatMap(simulatedInstrument({ ...s, seed })).join();
    const differs = some("6") !== some("5");
    // Gates and counters have no noise.
    expect(differs).toBe(instruments[kind].channels.some((c) => c.noise > 0));
  });

  test("the physics comes out of the samples", () => {
    expect(channel(bare("scale"), "mass", 70).v.at(-1)).toBeCloseTo(8, 2);
    expect(channel(bare("gauge"), "strokes", 60).v.at(-1)).toBe(60);
    const push = channel(bare("gauge"), "force", 60);
    expect(takeFrom({ rule: "mean", stretch: 30 }, push, "N").value!.value).toBeCloseTo(34, 1);
    const warm = channel(bare("thermometer"), "temperature", 3000);
    // 4 °C towards 32 °C: 8 °C after 40 min × ln(28 / 24).
    const at = takeFrom({ rule: "crossing", level: 8, way: "up" }, warm, "°C").value!.value;
    expect(Math.abs(at - 40 * 60 * Math.log(28 / 24))).toBeLessThan(5);
    const [v, i, p] = ["voltage", "current", "power"].map((c) => channel(bare("electrical"), c, 30).v.at(-1)!);
    expect(p!).toBeCloseTo(v! * i!, 1);
    const between = takeFrom({ rule: "beyond", level: 0.5, way: "up" }, channel(bare("photogate"), "between", 4), "1");
    expect(between.value!.value).toBeCloseTo(1, 2);
  });

  test("a specimen breaks near its strength, another of its kind elsewhere", () => {
    const peak = (seed: string) => Math.max(...channel(bare("frame", { seed }), "load", 30).v);
    expect(Math.abs(peak("1") / 850 - 1)).toBeLessThan(0.2);
    expect(peak("1")).not.toBe(peak("2"));
    expect(channel(bare("frame"), "load", 60).v.at(-1)!).toBeLessThan(100);
  });

  test("the noise is normal, of the size that is set, and one sample says nothing of the next", () => {
    const sends = simulatedInstrument({
      ...usualSimulation("frame", "8"),
      noise: 1000,
      settings: { strength: 1, stiffness: 1e5, speed: 0 },
    });
    const z = Array.from({ length: 20_000 }, (_, k) => Number(sends(k)[0]!.split(",")[2]) / 1500);
    const mean = z.reduce((a, b) => a + b) / z.length;
    const moment = (f: (x: number, i: number) => number) => z.reduce((a, x, i) => a + f(x - mean, i), 0) / z.length;
    expect(Math.abs(mean)).toBeLessThan(0.03);
    expect(Math.abs(moment((x) => x * x) - 1)).toBeLessThan(0.04);
    expect(Math.abs(moment((x) => x ** 4) - 3)).toBeLessThan(0.25);
    expect(Math.abs(moment((x, i) => x * ((z[i + 1] ?? mean) - mean)))).toBeLessThan(0.03);
  });

  test("dropouts, drift and a coarse scale are as set", () => {
    const lost = bare("scale", { dropouts: 0.25 });
    const n = Array.from({ length: 2000 }, (_, k) => k).flatMap(simulatedInstrument(lost)).length;
    expect(Math.abs(n / 2000 - 0.75)).toBeLessThan(0.04);
    const still = { settings: { flow: 0, tare: 1 } };
    expect(channel(bare("scale", { ...still, drift: 10 }), "mass", 60).v.at(-1)).toBeCloseTo(1.05, 9);
    expect(channel(bare("scale", { ...still, coarse: 100 }), "mass", 1).v[0]).toBe(1);
    expect(channel(bare("scale", { settings: { flow: 0, tare: 0.74 }, coarse: 100 }), "mass", 1).v[0]).toBe(0.5);
  });
});
