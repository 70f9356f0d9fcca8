// Peer factors by both schools, what is too few, and what is odd.
import fc from "fast-check";
import { capped, checkRatings, oddRatings, type PeerRating, peerFactors } from "./peers";

const members = ["A", "B", "C", "D"].map((id) => ({ id, name: id }));
/** Ratings as a table: who gives, then what A B C D get; a dot for oneself or nothing. */
const table = (...rows: string[]): PeerRating[] =>
  rows.flatMap((row) => {
    const [rater, ...values] = row.split(" ");
    return values.flatMap((value, i) => (value === "." ? [] : [{ rater: rater!, ratee: members[i]!.id, value }]));
  });
const whole = table("A . 4 5 4", "B 4 . 5 3", "C 4 4 . 4", "D 5 4 5 .");
const rounded = (f: readonly { factor: string | null }[]) =>
  f.map((x) => (x.factor === null ? null : Number(x.factor).toFixed(3)));

describe("factors", () => {
  test("means of 4.333 4 5 3.667 over their mean", () => {
    const factors = peerFactors("ratings", members, whole);
    expect(rounded(factors)).toEqual(["1.020", "0.941", "1.176", "0.863"]);
    expect(factors[0]!.working.steps).toEqual(["mean received over the team's mean: 4.333 ÷ 4.25 = 1.02"]);
    // What the others received is not for the student to read.
    expect(JSON.stringify(factors[0]!.working)).not.toContain("3.667");
    expect(capped(factors[2]!.factor!, { low: "0.85", high: "1.10" })).toBe("1.1");
    expect(capped("0.5", { low: "0.85", high: "1.10" })).toBe("0.85");
  });
  test("shares of 100 against an equal one, also where somebody did not rate", () => {
    const shares = table("A . 40 40 20", "B 30 . 40 30", "C 30 30 . 40", "D 40 30 30 .");
    expect(rounded(peerFactors("shares", members, shares))).toEqual(["1.000", "1.000", "1.100", "0.900"]);
    const without = shares.filter((r) => r.rater !== "D");
    expect(rounded(peerFactors("shares", members, without))).toEqual(["0.900", "1.050", "1.200", "0.900"]);
  });
  test("who was rated by one is told so; ratings of oneself and of who left the team count for nothing", () => {
    const few = [
      ...table("A . 4 . .", "B 4 . . ."),
      { rater: "A", ratee: "A", value: "5" },
      { rater: "X", ratee: "A", value: "5" },
    ];
    const factors = peerFactors("ratings", members, few);
    expect(rounded(factors)).toEqual([null, null, null, null]);
    expect(factors[0]!.working.warnings).toEqual(["Rated by 1 of 3: too few for a factor."]);
    expect(factors[2]!.working.warnings).toEqual(["Rated by 0 of 3: too few for a factor."]);
    const zeros = table("A . 0 0 .", "B 0 . 0 .", "C 0 0 . .").map((r) => ({ ...r, value: "0" }));
    expect(peerFactors("ratings", members, zeros)[0]!.working.warnings).toEqual([
      "Nobody in the team has received anything.",
    ]);
  });
  test("everybody rated by all: the factors make the number of members", () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 12, maxLength: 12 }), (values) => {
        let i = 0;
        const all = members.flatMap((a) =>
          members.flatMap((b) => (a === b ? [] : [{ rater: a.id, ratee: b.id, value: String(values[i++]) }])),
        );
        const sum = peerFactors("ratings", members, all).reduce((s, f) => s + Number(f.factor), 0);
        expect(sum).toBeCloseTo(4, 10);
      }),
    ));
});

describe("handing in", () => {
  const given = (...values: string[]) => values.map((value, i) => ({ ratee: ["b", "c"][i]!, value }));
  test.each([
    ["shares", given("60", "40"), []],
    ["shares", given("60", "30"), ["The shares make 90, not 100."]],
    ["shares", given("60.5", "39.5"), ["A share is a whole number from 0 to 100."]],
    ["ratings", given("5", "1"), []],
    ["ratings", given("6", "1"), ["A rating is a whole number from 1 to 5."]],
    ["ratings", given("5"), ["Rate everybody else in your team, and nobody else."]],
    [
      "ratings",
      [...given("5", "4"), { ratee: "x", value: "1" }],
      ["Rate everybody else in your team, and nobody else."],
    ],
  ] as const)("%s %#", (method, ratings, wrong) => expect(checkRatings(method, ["b", "c"], ratings)).toEqual(wrong));
});

describe("what is odd", () => {
  const words = (...rows: string[]) => oddRatings(members, table(...rows)).map((o) => o.words);
  test("nothing in ratings that differ a little", () =>
    expect(words("A . 4 5 4", "B 4 . 5 3", "C 4 5 . 4", "D 5 4 4 .")).toEqual([]));
  test("everybody the same", () =>
    expect(words("A . 4 4 4", "B 4 . 5 3", "C 4 4 . 5", "D 5 4 4 .")).toEqual(["A gave everybody 4."]));
  test("one who gives each teammate less than all others do", () =>
    expect(words("A . 2 1 2", "B 4 . 5 3", "C 4 4 . 3", "D 4 5 4 .")).toEqual([
      "A gave each teammate less than everybody else did.",
    ]));
  test("one to whom each teammate gives less than to anybody else", () =>
    expect(words("A . 4 5 1", "B 4 . 5 2", "C 5 4 . 3", "D 3 5 4 .")).toEqual([
      "Each teammate gave D less than anybody else.",
    ]));
  test("of two others the same says nothing, and praise that nobody else could give is not odd", () => {
    const three = members.slice(0, 3);
    const odd = (...rows: string[]) => oddRatings(three, table(...rows)).map((o) => o.words);
    expect(odd("A . 4 4", "B 5 . 3", "C 3 5 .")).toEqual([]);
    // C did not rate.
    expect(odd("A . 5 5", "B 5 . 3")).toEqual([]);
  });
  test("two who alone give each other the most", () =>
    expect(words("A . 5 3 4", "B 5 . 4 3", "C 4 3 . 4", "D 3 4 2 .")).toEqual([
      "A and B gave each other the most, and nobody else gave it to them.",
    ]));
});
