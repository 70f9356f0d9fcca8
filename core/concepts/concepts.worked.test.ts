import { flipsOf } from "./fragility";
import { weightedTotals } from "./matrix";
import { adjustForSeverity, concordance } from "./raters";

describe("concepts", () => {
  const criteria = [
    ["a", 0.5],
    ["b", 0.3],
    ["c", 0.2],
  ].map(([key, weight]) => ({ key: String(key), name: String(key), weight: Number(weight) }));
  const options = ["A", "B", "C"].map((key) => ({ key, name: key }));
  const scores = [
    [7, 6, 9],
    [8, 5, 7],
    [6, 9, 5],
  ];
  test("an option that draws level exactly where a weight falls to nothing is found", () => {
    // Without the first criterion both have 0.1 + 0.2 and 0.3, which floats do not call equal.
    const flip = flipsOf({
      criteria: [
        { key: "a", name: "a", weight: 1 },
        { key: "b", name: "b", weight: 1 },
        { key: "c", name: "c", weight: 1 },
      ],
      options: [
        { key: "X", name: "X" },
        { key: "Y", name: "Y" },
      ],
      scores: [
        [2, 0.1, 0.2],
        [1, 0.3, 0],
      ],
    })[0]!;
    expect([flip.at, flip.winner]).toEqual([0, "Y"]);
  });
  test("weighted matrix and the weight that flips it", () => {
    const table = Object.fromEntries(
      options.map((o, i) => [o.key, { a: scores[i]![0], b: scores[i]![1], c: scores[i]![2] }]),
    );
    expect(weightedTotals(criteria, options, table).map((t) => t.total.value)).toEqual([7.1, 6.9, 6.7]);
    const flips = flipsOf({ criteria, options, scores });
    expect([flips[0]!.at!.toFixed(3), flips[0]!.winner]).toEqual(["0.583", "B"]);
    // At the flip itself both totals agree.
    const w = [flips[0]!.at!, (0.3 * (1 - flips[0]!.at!)) / 0.5, (0.2 * (1 - flips[0]!.at!)) / 0.5];
    const total = (row: number[]) => row.reduce((s, x, i) => s + x * w[i]!, 0);
    expect(total(scores[0]!)).toBeCloseTo(total(scores[1]!), 12);
  });
  test("raw and severity-adjusted scores", () => {
    const ratings = [
      ["A", "J1", 7],
      ["A", "J2", 8],
      ["B", "J1", 6],
      ["B", "J3", 9],
      ["C", "J2", 8],
      ["C", "J3", 9.5],
      ["D", "J1", 5],
      ["D", "J2", 6.5],
      ["E", "J3", 8.5],
      ["E", "J1", 6],
    ].map(([option, rater, score]) => ({ option: String(option), rater: String(rater), score: Number(score) }));
    const m = adjustForSeverity(ratings);
    expect(m.options.map((o) => [o.option, o.raw.value, Number(o.adjusted.value!.toFixed(2))])).toEqual([
      ["A", 7.5, 8.21],
      ["B", 7.5, 7.46],
      ["C", 8.75, 8.08],
      ["D", 5.75, 6.46],
      ["E", 7.25, 7.21],
    ]);
    expect(m.groups).toHaveLength(1);
    const split = adjustForSeverity([
      { option: "A", rater: "J1", score: 7 },
      { option: "B", rater: "J2", score: 9 },
    ]);
    expect(split.options[0]!.adjusted.working.warnings[0]).toBe(
      "No rater connects A with B: scores of different groups cannot be compared.",
    );
  });
  test("concordance with ties, against the textbook formula", () => {
    expect(
      concordance([
        [1, 2, 3, 4],
        [1, 2, 4, 3],
        [2, 1, 3, 4],
      ]),
    ).toBeCloseTo(37 / 45, 12);
    expect(
      concordance([
        [1, 1, 2],
        [1, 2, 2],
      ]),
    ).toBeCloseTo(0.75, 12);
    expect(
      concordance([
        [5, 5],
        [5, 5],
      ]),
    ).toBeNull();
  });
  test("a rating far from what the model expects is pointed at", () => {
    const ratings = ["A", "B", "C", "D", "E", "F"].flatMap((option, i) =>
      ["J1", "J2", "J3"].map((rater) => ({ option, rater, score: option === "F" && rater === "J3" ? 1 : i + 3 })),
    );
    expect(adjustForSeverity(ratings).odd.map((o) => [o.option, o.rater])).toEqual([["F", "J3"]]);
  });
});
