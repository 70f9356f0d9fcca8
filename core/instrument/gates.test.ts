// Light gates: where they change, and what is timed between the changes.
import fc from "fast-check";
import { type GateEdge, type GateRule, gateEdges, gateSpeed, gateTimes } from "./gates";
import { readLine } from "./line";
import { simulatedInstrument, usualSimulation } from "./simulated";

const say = (edge: ReturnType<typeof gateEdges>, ...samples: (readonly [number, string, number])[]) =>
  samples.flatMap(([t, channel, value]) => edge({ t, channel, value, unit: "1" }) ?? []);
const change = (gate: string, broken: boolean, t: number, within = 0.001, clock = 0): GateEdge => ({
  gate,
  broken,
  t,
  within,
  clock,
});
const rule = (measure: GateRule["measure"], dead = 0): GateRule => ({ measure, start: "a", stop: "b", dead });
const seconds = (r: GateRule, edges: readonly GateEdge[]) => gateTimes(r, edges).map((t) => t.seconds);

describe("where a gate changes", () => {
  test("how the beam stood at first is no change, a repeated line none either", () => {
    expect(say(gateEdges(0.001), [0, "a", 1], [0, "a", 0], [0.01, "a", 1])).toEqual([]);
  });

  test("every sample is sent: in the middle of two, and wider where samples were lost", () => {
    const edge = gateEdges(0.001);
    expect(say(edge, [0, "a", 0], [0.01, "a", 0], [0.02, "a", 1], [0.03, "a", 1], [0.09, "a", 0])).toEqual([
      change("a", true, 0.015, 0.005),
      change("a", false, 0.06, 0.03),
    ]);
  });

  test("changes only are sent: when it says so, within half a step of its clock", () => {
    expect(say(gateEdges(0.002), [0, "a", 0], [4, "a", 1], [4.5, "a", 0])).toEqual([
      change("a", true, 4, 0.001),
      change("a", false, 4.5, 0.001),
    ]);
  });

  test("a value is broken above a half, each gate by itself", () => {
    const edge = gateEdges(0.001);
    expect(say(edge, [0, "a", 0], [0, "b", 1], [1, "a", 0.5], [1, "b", 0.4], [2, "a", 0.51])).toEqual([
      change("b", false, 1, 0.0005),
      change("a", true, 1.5, 0.5),
    ]);
  });

  test("a clock that began anew counts on, a line that is late by less is left out", () => {
    const edge = gateEdges(0.001);
    const heard = say(edge, [8, "a", 0], [9, "a", 1], [8, "a", 0], [0.5, "a", 0], [1, "a", 1]);
    expect(heard).toEqual([change("a", true, 9, 0.0005), change("a", true, 1, 0.0005, 1)]);
  });
});

describe("what is timed", () => {
  const lap = [change("a", true, 1), change("a", false, 1.25), change("b", true, 3.5), change("b", false, 3.75)];

  test("from the first gate to the second, each start once", () => {
    expect(seconds(rule("between"), lap)).toEqual([2.5]);
    expect(seconds(rule("between"), [...lap, change("b", true, 4)])).toEqual([2.5]);
    expect(seconds(rule("between"), [change("b", true, 0.5), ...lap])).toEqual([2.5]);
  });

  test("a second start takes the place of the first", () => {
    expect(seconds(rule("between"), [change("a", true, 0.25), ...lap])).toEqual([2.5]);
  });

  test("while the beam was broken, and from break to break", () => {
    expect(seconds(rule("blocked"), lap)).toEqual([0.25]);
    expect(seconds(rule("blocked"), lap.slice(0, 1))).toEqual([]);
    expect(seconds(rule("laps"), [...lap, change("a", true, 7), change("a", true, 12)])).toEqual([6, 5]);
  });

  test("what breaks the beam again so soon is the same passage", () => {
    const wheels = [change("a", true, 1), change("a", false, 1.1), change("a", true, 1.2), change("a", false, 1.3)];
    expect(seconds(rule("blocked"), wheels)).toEqual([0.1, 0.1]);
    expect(seconds(rule("blocked", 0.5), wheels)).toEqual([0.3]);
    expect(seconds(rule("laps", 0.2), wheels)).toEqual([0.2]);
    expect(seconds(rule("laps", 0.3), [...wheels, change("a", true, 6)])).toEqual([5]);
  });

  test("nothing is timed across a clock that began anew", () => {
    const anew = [change("a", true, 1), change("b", true, 3, 0.001, 1), change("a", true, 5, 0.001, 1)];
    expect(seconds(rule("between"), anew)).toEqual([]);
    expect(seconds(rule("laps"), anew)).toEqual([]);
    expect(seconds(rule("blocked"), [change("a", true, 1), change("a", false, 2, 0.001, 1)])).toEqual([]);
  });

  test("the ± covers what the gates could not see, wherever the passage lay between two samples", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        fc.constantFrom(20, 100, 500),
        (took, start, rate) => {
          const edge = gateEdges(0.001);
          const edges = Array.from({ length: Math.ceil((start + took + 1.2) * rate) }, (_, i) => i / rate).flatMap(
            (t) => say(edge, [t, "a", t > start + 0.1 ? 1 : 0], [t, "b", t > start + 0.1 + took ? 1 : 0]),
          );
          const [time] = gateTimes(rule("between"), edges);
          // Two changes, each within half a sample.
          expect(Math.abs(time!.seconds - took)).toBeLessThanOrEqual(1 / rate + 1e-6);
          expect(time!.u).toBeCloseTo(1 / rate / Math.sqrt(6), 6);
        },
      ),
    );
  });
});

test("a simulated vehicle: two metres at 2 m/s, its flag, and again after five seconds", () => {
  const send = simulatedInstrument(usualSimulation("photogate", "1"));
  const edge = gateEdges(0.001);
  const edges = Array.from({ length: 12 * 500 }, (_, k) => send(k))
    .flat()
    .flatMap((line) => {
      const read = readLine(line);
      return (read.kind === "sample" && edge(read.sample)) || [];
    });
  const times = (measure: GateRule["measure"], start = "gate") =>
    gateTimes({ measure, start, stop: "gate2", dead: 0.2 }, edges);
  const near = (list: readonly { seconds: number }[], wanted: readonly number[]) => {
    expect(list.length).toBe(wanted.length);
    for (const [i, t] of list.entries()) expect(Math.abs(t.seconds - wanted[i]!)).toBeLessThan(0.0021);
  };
  near(times("between"), [1, 1]);
  near(times("blocked"), [0.05, 0.05]);
  near(times("blocked", "between"), [1, 1]);
  near(times("laps"), [5]);
  expect(gateSpeed(2, 0, times("between")[0]!).speed).toBeCloseTo(2, 1);
});

test("a length that is not known exactly widens the speed", () => {
  const time = { seconds: 2, u: 0, at: 2 };
  expect(gateSpeed(4, 0.04 * Math.sqrt(3), time)).toEqual({ speed: 2, u: expect.closeTo(0.02, 9) });
});
