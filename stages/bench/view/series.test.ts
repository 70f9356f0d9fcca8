import type { Measure } from "@/core/run/protocol";
import { becameWords, brokenCurve, ruleWords, silentWords, takenPart, takenWords, timeScale } from "./series";

const hold: Measure = {
  key: "th",
  name: "Hold time",
  unit: "h",
  resolution: "0.1",
  take: { rule: "crossing", unit: "°C", level: "8", way: "up", stretch: "60" },
};
test("a rule is said with what it needs", () => {
  expect(ruleWords(hold)).toBe("the time at which a level is crossed: 8 °C, from below, for 60 s");
  expect(ruleWords({ take: { rule: "beyond", unit: "V", level: "3" } })).toBe(
    "the time spent beyond a level: 3 V, from below",
  );
  expect(ruleWords({ take: { rule: "mean", unit: "N", stretch: "2" } })).toBe(
    "the mean of the steadiest stretch of 2 s",
  );
  expect([ruleWords({ take: { rule: "peak", unit: "N" } }), ruleWords({})]).toEqual(["the highest sample", ""]);
});

test("what was taken is shown in the reading's unit, and drawn where it was taken", () => {
  expect([takenWords(hold, "24000"), takenWords(hold, null)]).toEqual(["6.667 h", "nothing"]);
  expect(takenPart({ value: 3, from: 1, to: 2 }, "3 N")).toEqual({ from: 1, to: 2, words: "3 N" });
  expect(takenPart(null, "")).toBeNull();
});

test.each([
  [600, "seconds"],
  [601, "minutes"],
  [10_800, "minutes"],
  [10_801, "hours"],
])("%d s are read in %s", (seconds, name) => expect(timeScale(seconds).name).toBe(name));

test("a curve is broken where nothing came, and it is said", () => {
  const curve = [0, 1, 2, 3, 40, 41].map((t) => ({ t, low: t, high: t + 1 }));
  expect(brokenCurve(curve).map((b) => [b.t, b.range === null])).toEqual([
    [0, false],
    [1, false],
    [2, false],
    [3, false],
    [21.5, true],
    [40, false],
    [41, false],
  ]);
  expect(silentWords([{ from: 3, to: 40 }])).toBe("Nothing came from 3.000 s to 40.00 s: the curve is broken there.");
  expect(silentWords([])).toBe("");
});

test("what a series became", () => {
  expect(becameWords({ attempt: null, place: null })).toBe("not an attempt yet");
  expect(becameWords({ attempt: 3, place: "bench" })).toBe("attempt 3");
  expect(becameWords({ attempt: 2, place: "pilot" })).toBe("pilot run 2");
});
