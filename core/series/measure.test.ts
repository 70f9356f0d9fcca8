import { takeRule } from "../vocabulary/runs";
import { checkTake, type Take, takenSi, takingOf } from "./measure";

const full = { stretch: "5", level: "8", way: "up" } as const;
test.each([
  ["N", { rule: "peak", unit: "kN" }, []],
  ["h", { rule: "crossing", unit: "°C", level: "8" }, []],
  ["J", { rule: "integral", unit: "W" }, []],
  ["N", { rule: "mean", unit: "N", stretch: "2.5" }, []],
  ["N", { rule: "peak", unit: "furlong" }, ["F: “furlong” is not a known unit of an instrument."]],
  ["N", { rule: "mean", unit: "N" }, ["F: say how long the steadiest stretch is, in seconds, for example 5."]],
  [
    "N",
    { rule: "mean", unit: "N", stretch: "0" },
    ["F: say how long the steadiest stretch is, in seconds, for example 5."],
  ],
  [
    "s",
    { rule: "crossing", unit: "°C", level: "8", towards: "warm" },
    ["F: “warm” is no value in °C for the curve to tend to."],
  ],
  ["s", { rule: "beyond", unit: "V", level: "" }, ["F: say which level is passed, in V."]],
  [
    "N",
    { rule: "crossing", unit: "N", level: "3" },
    ["F: the time of a crossing of a series in N is a time, but a force is declared (N)."],
  ],
] as [string, Take, string[]][])("a reading in %s by %j", (unit, take, problems) =>
  expect(checkTake({ name: "F", unit }, take)).toEqual(problems),
);

test("a count is the highest or the lowest sample, a level none; a channel is one word", () => {
  const strokes = { name: "Strokes", unit: "1", kind: "count" } as const;
  expect(checkTake(strokes, { rule: "peak", unit: "1", channel: "strokes" })).toEqual([]);
  expect(checkTake(strokes, { rule: "mean", unit: "1", stretch: "5" })[0]).toContain("a count is taken as the highest");
  expect(checkTake({ ...strokes, kind: "level" }, { rule: "peak", unit: "1" })[0]).toContain(
    "only a number or a count",
  );
  expect(checkTake(strokes, { rule: "low", unit: "1", channel: "two words" })[0]).toContain("a channel's name is one");
});

test("every rule is checked, read and stored", () => {
  for (const rule of takeRule.values) {
    const take = { rule, unit: "kW", ...full };
    const time = rule === "crossing" || rule === "beyond";
    expect(checkTake({ name: "P", unit: time ? "min" : rule === "integral" ? "J" : "W" }, take)).toEqual([]);
    expect(takingOf(take)).toEqual({ rule, stretch: 5, level: 8, way: "up", towards: undefined });
    expect(takenSi(take, 2)).toBe(time ? "2" : "2000");
  }
  expect(takingOf({ rule: "crossing", unit: "V" })).toMatchObject({ level: undefined, way: "up" });
});

test("temperatures keep their offset, an area over them does not; noise of doubles is left behind", () => {
  expect(takenSi({ rule: "peak", unit: "°C" }, 8)).toBe("281.15");
  expect(takenSi({ rule: "integral", unit: "°C" }, 8)).toBe("8");
  expect(takenSi({ rule: "peak", unit: "N" }, 0.1 + 0.2)).toBe("0.3");
});
