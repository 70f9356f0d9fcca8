import Decimal from "decimal.js";
import fc from "fast-check";
import { combineMethod } from "../vocabulary/contest";
import { type CountedEvent, overall, type Reached, whatIf } from "./overall";

const at = (place: number | null, value: string | null, points: string | null = null, sharing = 1): Reached => ({
  place,
  sharing,
  points,
  value,
});
const lift: CountedEvent = {
  id: "lift",
  name: "Timed lift",
  weight: "2",
  better: "more",
  by: new Map([
    ["Alder", at(1, "9.4", "100")],
    ["Bramble", at(2, "8.0", "85")],
    ["Cistern", at(3, "4.7", "20")],
  ]),
};
const fill: CountedEvent = {
  id: "fill",
  name: "Fill",
  weight: "1",
  better: "less",
  by: new Map([
    ["Alder", at(3, "80", "10")],
    ["Bramble", at(1, "20", "96")],
    ["Cistern", at(2, "40", "90")],
  ]),
};
const race: CountedEvent = {
  id: "race",
  name: "Tank race",
  weight: "1",
  better: "more",
  by: new Map([
    ["Alder", at(2, null, null, 2)],
    ["Bramble", at(2, null, null, 2)],
    ["Cistern", at(1, null)],
  ]),
};
const three = ["Alder", "Bramble", "Cistern"];
const totals = (...of: Parameters<typeof overall>) => Object.fromEntries(overall(...of).map((o) => [o.entry, o.total]));

test.each([
  // 2 × 100 + 10; 2 × 85 + 96; 2 × 20 + 90
  ["points", { Alder: "210", Bramble: "266", Cistern: "130" }],
  // 2 × 1 + 3 + 2.5; 2 × 2 + 1 + 2.5; 2 × 3 + 2 + 1
  ["places", { Alder: "7.5", Bramble: "7.5", Cistern: "9" }],
  // 2 × 1 + 20/80 + 1.5/3; 2 × 8/9.4 + 1 + 1.5/3; 2 × 0.5 + 0.5 + 1
  ["ratio", { Alder: "2.75", Bramble: "3.202127660", Cistern: "2.5" }],
  // 2 × 1 + 0 + 0; 2 × 3.3/4.7 + 1 + 0; 0 + 40/60 + 1
  ["range", { Alder: "2", Bramble: "2.404255319", Cistern: "1.666666667" }],
] as const)("%s", (method, expected) => {
  const found = totals(method, [lift, fill, race], three);
  for (const [e, total] of Object.entries(expected)) expect(Number(found[e])).toBeCloseTo(Number(total), 8);
});

test("standard scores add up to nothing, and less is turned round", () => {
  const found = overall("score", [fill], three);
  expect(found.map((o) => o.entry)).toEqual(["Bramble", "Cistern", "Alder"]);
  expect(found.reduce((sum, o) => sum.plus(o.total), new Decimal(0)).toNumber()).toBeCloseTo(0, 8);
  // (20 − 46.667) / 30.551 = −0.8729, turned round.
  expect(Number(found[0]!.total)).toBeCloseTo(0.87287, 4);
});

test("who reached nothing: no points, the last place, nothing, or the lowest score", () => {
  const four = [...three, "Downpour"];
  expect(totals("points", [lift], four).Downpour).toBe("0");
  expect(totals("places", [lift], four).Downpour).toBe("8");
  expect(totals("ratio", [lift], four).Downpour).toBe("0");
  const scores = totals("score", [lift], four);
  expect(scores.Downpour).toBe(scores.Cistern);
});

test("the method can change the winner, and equal sums share the place", () => {
  const first = Object.fromEntries(whatIf([{ ...lift, weight: "1" }, fill], three).map((w) => [w.method, w.first]));
  expect(first).toMatchObject({ points: ["Bramble"], places: ["Bramble"], ratio: ["Bramble"] });
  const [a, b, c] = overall("places", [lift, fill, race], three);
  expect([a!.place, a!.sharing, b!.place, c!.place]).toEqual([1, 2, 1, 3]);
  expect(a!.working.warnings).toEqual(["Shares its place: the sums are equal."]);
  const flat = overall("range", [{ ...lift, by: new Map(three.map((e) => [e, at(1, "5", null, 3)])) }], three);
  expect(flat.map((o) => o.total)).toEqual(["2", "2", "2"]);
  expect(totals("ratio", [{ ...fill, by: new Map([["Alder", at(1, "0")]]) }], ["Alder"]).Alder).toBe("1");
});

test("whatever the values: parts add up to the total, and who is better everywhere is never behind", () => {
  const reached = fc.array(fc.integer({ min: 0, max: 1000 }), { minLength: 2, maxLength: 6 });
  fc.assert(
    fc.property(reached, reached, fc.constantFrom(...combineMethod.values), (x, y, method) => {
      const n = Math.min(x.length, y.length);
      const names = Array.from({ length: n }, (_, i) => `e${i}`);
      const event = (id: string, values: number[], less: boolean): CountedEvent => ({
        id,
        name: id,
        weight: less ? "1" : "1.5",
        better: less ? "less" : "more",
        by: new Map(
          names.map((e, i) => {
            const ahead = values.slice(0, n).filter((v) => (less ? v < values[i]! : v > values[i]!)).length;
            const same = values.slice(0, n).filter((v) => v === values[i]).length;
            return [e, at(ahead + 1, String(values[i]), String(n - ahead), same)];
          }),
        ),
      });
      const rows = overall(method, [event("x", x, false), event("y", y, true)], names);
      for (const o of rows) {
        const sum = [...o.parts.values()].reduce((s, p) => s.plus(p), new Decimal(0));
        expect(sum.minus(o.total).abs().lte("3e-9")).toBe(true);
      }
      const place = new Map(rows.map((o) => [o.entry, o.place]));
      for (let i = 0; i < n; i++)
        for (let k = 0; k < n; k++)
          if (x[i]! > x[k]! && y[i]! < y[k]!) expect(place.get(`e${i}`)!).toBeLessThan(place.get(`e${k}`)!);
    }),
    { numRuns: 200 },
  );
});
