import { toSi } from "@/core/quantity/quantity";
import { assessRun } from "./assess";
import { checkProtocol, type ProtocolDefinition } from "./protocol";

describe("runs", () => {
  const p: ProtocolDefinition = {
    conditions: [{ key: "Tw", name: "Water", unit: "°C", target: "20", tolerance: "5" }],
    measures: [{ key: "x", name: "Way", unit: "mm", resolution: "1" }],
    constants: [],
    derived: [{ key: "v", name: "Speed", unit: "m/s", expression: "x / x0", decimals: 2, rule: "" }],
    primary: "x",
    better: "more",
    policy: { school: "best", n: 3, foul: "out" },
    safety: [],
  };
  test("a protocol's faults are all named", () => {
    expect(checkProtocol(p)).toEqual(["Speed: “x0” is not one of x, Tw."]);
    expect(
      checkProtocol({
        ...p,
        derived: [],
        primary: "z",
        measures: [{ ...p.measures[0]!, key: "1x", unit: "furlong", resolution: "0" }],
      }).length,
    ).toBe(4);
  });
  test("a condition in °C is compared in °C", () => {
    const run = (celsius: string) =>
      assessRun(
        { ...p, derived: [] },
        {
          id: "r",
          attempt: 1,
          state: "valid",
          reason: null,
          readings: { x: "0.1" },
          conditions: { Tw: toSi(celsius, "°C").toString() },
        },
      );
    expect([run("25").comparable, run("25.1").comparable]).toEqual([true, false]);
  });
  test("a division by zero is said, not shown as a number", () => {
    const q: ProtocolDefinition = {
      ...p,
      constants: [{ key: "z", name: "Zero", unit: "s", value: "0" }],
      derived: [{ ...p.derived[0]!, expression: "x / z" }],
    };
    expect(
      assessRun(q, { id: "r", attempt: 1, state: "valid", reason: null, readings: { x: "0.1" }, conditions: {} }).values
        .v,
    ).toMatchObject({ value: null, working: { warnings: [expect.stringContaining("division by zero")] } });
  });
});
