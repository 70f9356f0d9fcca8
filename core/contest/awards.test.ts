import fc from "fast-check";
import { bestRecords, favourite, mostImproved } from "./awards";

const team = (name: string, first: string | null, now: string | null, build: number | null = 1) => ({
  name,
  build,
  first,
  now,
});

describe("most improved", () => {
  test("more or less is better, who has no first build or no value is not ranked, and the working says both", () => {
    const teams = [team("A", "4", "8.8"), team("B", "5", "5"), team("C", null, "7", null), team("D", "3", null)];
    expect(mostImproved("more", "L/min", teams).map((r) => [r.name, r.place, r.shown])).toEqual([
      ["A", 1, "2.20 times"],
      ["B", 2, "1.00 times"],
      ["C", null, "–"],
      ["D", null, "–"],
    ]);
    const [best] = mostImproved("less", "s", [team("A", "30", "12", 2)]);
    expect(best).toMatchObject({
      shown: "2.50 times",
      working: {
        title: "A: improvement since the first build",
        steps: ["30 ÷ 12 = 2.50"],
        inputs: [
          { label: "First build, G2", value: "30 s" },
          { label: "Contest", value: "12 s" },
        ],
      },
    });
    expect(best!.working.rule).toContain("turned round");
  });
  test("what is alike to two decimals shares its place; zero has no ratio", () => {
    const rows = mostImproved("more", "m", [team("A", "3", "4"), team("B", "6", "8.001"), team("C", "0", "4")]);
    expect(rows.map((r) => r.place)).toEqual([1, 1, null]);
    expect(rows[2]!.working.warnings).toEqual(["A value of zero or below has no ratio."]);
    expect(mostImproved("more", "m", [team("A", null, "4", null)])[0]!.working.warnings).toEqual([]);
  });
  test("does not depend on the unit", () => {
    const value = fc.integer({ min: 1, max: 10_000 });
    fc.assert(
      fc.property(value, value, value, value, (a, b, c, d) => {
        const of = (k: number) =>
          mostImproved("more", "", [
            team("A", String(a * k), String(b * k)),
            team("B", String(c * k), String(d * k)),
          ]).map((r) => [r.name, r.place]);
        expect(of(60)).toEqual(of(1));
      }),
    );
  });
});

test("best records: days a member, not days in all; nobody's record is no record", () => {
  const rows = bestRecords([
    { name: "Four", members: 4, days: 20 },
    { name: "Three", members: 3, days: 18 },
    { name: "None", members: 3, days: 0 },
    { name: "Empty", members: 0, days: 0 },
  ]);
  expect(rows.map((r) => [r.name, r.place, r.shown])).toEqual([
    ["Three", 1, "6.00 days a member"],
    ["Four", 2, "5.00 days a member"],
    ["None", null, "–"],
    ["Empty", null, "–"],
  ]);
  expect(rows[0]!.working.steps).toEqual(["18 ÷ 3 = 6.00"]);
});

test("the favourite has most votes; a tie is shared, no vote gives no place", () => {
  const rows = favourite([
    { name: "A", votes: 7 },
    { name: "B", votes: 7 },
    { name: "C", votes: 0 },
  ]);
  expect(rows.map((r) => [r.name, r.place, r.shown])).toEqual([
    ["A", 1, "7 of 14 votes"],
    ["B", 1, "7 of 14 votes"],
    ["C", null, "–"],
  ]);
  expect(rows[0]!.working.rule).toContain("a vote and not a measurement");
});
