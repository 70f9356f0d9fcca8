import { assessRun } from "./assess";
import { channelsOf, checkProtocol, type Measure } from "./protocol";
import { parseReading } from "./reading";
import { shelf } from "./shelf";

const runOf = (key: string) => {
  const t = shelf.find((x) => x.key === key)!;
  const d = t.definition;
  const read = (m: Measure) => {
    const parsed = parseReading(m, t.example[m.key]!);
    return parsed.ok ? parsed.quantity.si : parsed.message;
  };
  const readings = Object.fromEntries(d.measures.map((m) => [m.key, read(m)]));
  return assessRun(d, { id: "r", attempt: 1, state: "valid", reason: null, readings, conditions: {} });
};

test("there are twelve kinds of test or more, each with a name and a symbol of its own", () => {
  expect(shelf.length).toBeGreaterThanOrEqual(12);
  for (const part of ["key", "name", "fits"] as const)
    expect(new Set(shelf.map((t) => t[part])).size).toBe(shelf.length);
});

test.each(shelf.map((t) => t.key))("%s can be used as it stands, and says what can hurt", (key) => {
  const { definition } = shelf.find((t) => t.key === key)!;
  expect(checkProtocol(definition)).toEqual([]);
  expect(definition.safety.length).toBeGreaterThan(0);
  const run = runOf(key);
  expect([run.alarms, run.reasons]).toEqual([[], []]);
  for (const c of channelsOf(definition)) expect(run.values[c.key]!.value).not.toBeNull();
});

// Redone by hand from the examples.
test.each([
  ["speed", "v", 5 / 4.2],
  ["target", "off", 0.14],
  ["load", "ratio", 34.5 / 0.086],
  ["flow", "Q", (8.2 / 998) * 1000],
  ["flow", "eta", (100 * 8.2 * 9.81 * 1.5) / (34 * 0.25 * 60)],
  ["drop", "v", Math.sqrt(2 * 9.81 * 3.5)],
  ["drop", "E", 0.148 * 9.81 * 3.5],
  ["generator", "eta", (100 * 3.2 * 0.145 * 6.5) / (2 * 9.81)],
  ["heat", "tau", 1 / Math.log(26 / 23)],
  ["pull", "k", 12.5 / (1.42 * 9.81)],
  ["battery", "E", (7.2 * 0.64 * 42.5) / 60],
  ["fit", "dev", 0.4],
  ["damage", "damage", 1],
  ["damage", "whole", 1],
  ["look", "match", 2],
])("%s: %s", (key, channel, wanted) => expect(runOf(key).values[channel]!.value!.value).toBeCloseTo(wanted, 9));
