import { instruments, usualSimulation } from "@/core/instrument/simulated";
import { instrumentKind } from "@/core/vocabulary/instruments";
import { fittingInstruments, simulationNote, simulationOf, simulationRows, typedSimulation } from "./simulation";

test.each(instrumentKind.values)("a %s comes out of its form as it went in", (kind) => {
  expect(simulationOf(kind, typedSimulation(kind))).toEqual(usualSimulation(kind, "1"));
  expect(simulationRows(kind).map((r) => r.key)).toEqual([
    ...instruments[kind].settings.map((s) => s.key),
    "rate",
    "noise",
    "coarse",
    "drift",
    "dropouts",
  ]);
});

test("numbers are read with a point or a comma, within their range; a seed is never empty", () => {
  const typed = { ...typedSimulation("scale"), flow: " 7,5", dropouts: "20", seed: " " };
  expect(simulationOf("scale", typed)).toMatchObject({ settings: { flow: 7.5, tare: 0 }, dropouts: 0.2, seed: "1" });
  const row = simulationRows("scale").find((r) => r.key === "rate")!;
  expect(simulationNote(row, "fast")).toBe("Write a number, from 0.1 to 1000");
  expect(simulationNote(row, "0")).toBe("From 0.1 to 1000");
  expect(simulationNote(row, "1001")).toBe("From 0.1 to 1000");
  expect(simulationNote(row, "1000")).toBeNull();
  expect(simulationOf("scale", { ...typed, rate: "" })).toBeNull();
});

test("the instrument that serves most readings comes first; one that serves none is not offered", () => {
  const take = (unit: string) => ({ take: { rule: "peak" as const, unit } });
  expect(fittingInstruments([take("kN"), take("cm")])).toEqual(["frame", "gauge"]);
  expect(fittingInstruments([take("°F")])).toEqual(["thermometer"]);
  expect(fittingInstruments([take("mA"), take("W")])[0]).toBe("electrical");
  expect(fittingInstruments([{}])).toEqual([]);
});
