// The worked examples of the front of the work: concepts, plan, brief, needs, gates and parts.
import { flipsOf } from "./concepts/fragility";
import { weightedTotals } from "./concepts/matrix";
import { adjustForSeverity, concordance } from "./concepts/raters";
import { rulesWithNumbers, ruleDiffers } from "./brief/brief";
import { gateStates, mayBuild } from "./gates/gate";
import { clashingStatements } from "./needs/conflicts";
import { measureDuplicates } from "./needs/duplicates-report";
import { groupAlike } from "./needs/similarity";
import { addDays } from "./sessions/date";
import { countTasks, replayLost, scheduleTasks } from "./sessions/network";
import { classSessions } from "./sessions/sessions";
import { shareOfParts } from "./teams/parts";
import { labelledPairs } from "./testing/labelled-pairs";

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

describe("the plan in class sessions", () => {
  const sessions = Array.from({ length: 12 }, (_, i) => ({ number: i + 1, date: addDays("2027-01-18", i * 2) }));
  const tasks = [
    { id: "d", name: "Drawing", length: 2, after: [], deadline: sessions[2]!.date },
    { id: "m", name: "Model", length: 3, after: ["d"] },
    { id: "b", name: "Buy", length: 1, after: ["d"] },
    { id: "t", name: "Test", length: 2, after: ["m", "b"], deadline: sessions[6]!.date },
  ];
  test("slack and the critical chain back from the event", () => {
    const n = scheduleTasks(countTasks(tasks, sessions), 8);
    expect(n.ok && n.tasks.map((t) => [t.id, t.early, t.earlyEnd, t.slack])).toEqual([
      ["d", 0, 2, 0],
      ["m", 2, 5, 0],
      ["b", 2, 3, 2],
      ["t", 5, 7, 0],
    ]);
    expect(n.ok && n.chain).toEqual(["d", "m", "t"]);
  });
  test("a lost day replays the plan and lists what slips", () => {
    const slips = replayLost(tasks, sessions, [sessions[1]!.date], sessions[7]!.date);
    expect(slips.map((s) => [s.name, s.was, s.now, s.late])).toEqual([
      ["Drawing", sessions[1]!.date, sessions[2]!.date, false],
      ["Model", sessions[4]!.date, sessions[5]!.date, false],
      ["Buy", sessions[2]!.date, sessions[3]!.date, false],
      ["Test", sessions[6]!.date, sessions[7]!.date, true],
    ]);
  });
  test("double periods, alternating days and extra sessions", () => {
    expect(
      classSessions({
        pattern: { kind: "weekdays", days: [1, 4], double: [4] },
        from: "2027-01-18",
        to: "2027-01-22",
        daysOff: new Set(),
        extra: ["2027-01-20"],
      }).map((s) => [s.number, s.date]),
    ).toEqual([
      [1, "2027-01-18"],
      [2, "2027-01-20"],
      [3, "2027-01-21"],
      [4, "2027-01-21"],
    ]);
    expect(
      classSessions({
        pattern: { kind: "cycle", length: 2, meets: [1], startsOn: "2027-01-18" },
        from: "2027-01-18",
        to: "2027-01-26",
        daysOff: new Set(["2027-01-20"]),
      }).map((s) => s.date),
    ).toEqual(["2027-01-18", "2027-01-21", "2027-01-25"]);
  });
});

describe("brief, needs and gates", () => {
  test("a changed number shows both places, a changed unit does not", () => {
    const [mass, size, temperature, cost] = rulesWithNumbers(
      "## Rules\n\n- At most **11 lb**\n- Fits 600 × 400 × 400 mm\n- Kept at 2–8 °C\n- Parts at most " +
        "45.00\n- One operator\n",
    );
    const limit = (comparator: "≤" | "between" | "fits", target: string | null, unit: string, more: object = {}) => ({
      comparator,
      target,
      second: null,
      sides: null,
      unit,
      ...more,
    });
    expect(ruleDiffers(mass!, limit("≤", "5", "kg"))).toBe("the rule says 11 lb, the requirement ≤ 5 kg");
    expect(ruleDiffers(mass!, limit("≤", "4.98951607", "kg"))).toBeNull();
    expect(ruleDiffers(size!, limit("fits", null, "mm", { sides: ["0.4", "0.6", "0.4"] }))).toBeNull();
    expect(ruleDiffers(size!, limit("fits", null, "mm", { sides: ["0.4", "0.5", "0.4"] }))).toContain(
      "600 × 400 × 400 mm",
    );
    expect(ruleDiffers(temperature!, limit("between", "275.15", "°C", { second: "281.15" }))).toBeNull();
    expect(ruleDiffers(temperature!, limit("between", "275.15", "°C", { second: "283.15" }))).toContain("2 to 10 °C");
    expect(ruleDiffers(cost!, limit("≤", "45", "1"))).toBeNull();
  });
  test("the labelled pairs are told apart well enough to be worth a person's look", () => {
    const r = measureDuplicates(labelledPairs);
    expect(r.pairs).toBeGreaterThanOrEqual(60);
    expect(r.precision).toBeGreaterThan(0.8);
    expect(r.recall).toBeGreaterThan(0.85);
  });
  test("what a person told apart is never joined again", () => {
    const list = ["Quiet near readers", "Not noisy near the readers", "Readers near the pump want it quiet"];
    expect(groupAlike(list)[0]!.members).toEqual([0, 1, 2]);
    expect(
      groupAlike(list, { apart: new Set(["0/1"]) }).flatMap((g) => [g.members.includes(0) && g.members.includes(1)]),
    ).not.toContain(true);
  });
  test("conflicts are found across units, and only where both speak of the same", () => {
    expect(
      clashingStatements([
        "The box weighs at most 4 kg",
        "Filled, the box may weigh 12 lb or more",
        "It holds at most 4 L",
        "Cold for at least 10 h",
        "Runs at least 12 h cold",
      ]).map((c) => [c.a, c.b]),
    ).toEqual([[0, 1]]);
  });
  test("gates by school", () => {
    const items = [
      { id: "d", kind: "each" as const, label: "Own drawing", needs: 0 },
      { id: "t", kind: "tool" as const, label: "Drill", needs: 1 },
      { id: "c", kind: "coverage" as const, label: "Musts", needs: 80 },
    ];
    const states = gateStates(items, {
      members: [
        { id: "a", name: "Ada" },
        { id: "b", name: "Ben" },
      ],
      have: { d: ["a", "b"], t: [] },
      ticked: {},
      musts: 5,
      answered: 4,
    });
    expect(states.map((s) => s.met)).toEqual([true, false, true]);
    expect(mayBuild("block", false, states)).toMatchObject({ allowed: false });
    expect(mayBuild("block", true, states)).toEqual({ allowed: true, says: null });
    expect(mayBuild("warn", false, states)).toMatchObject({
      allowed: true,
      says: "Before material is cut: drill (nobody is signed; 1 must be).",
    });
    expect(mayBuild("none", false, states)).toEqual({ allowed: true, says: null });
  });
  test("equal shares by number and by role", () => {
    const [a, b] = [
      { id: "a", name: "Ada", role: "electrical" },
      { id: "b", name: "Ben", role: "mechanical" },
    ];
    const part = (id: string, role: string, ...owners: string[]) => ({ id, name: id, role, owners });
    expect(
      shareOfParts([part("1", "", "a"), part("2", "", "a"), part("3", "", "a"), part("4", "", "b")], [a, b], "number"),
    ).toMatchObject({ fair: false, says: ["Ada has 3 parts, Ben 1: move one."] });
    expect(shareOfParts([part("1", "", "a", "b"), part("2", "", "a"), part("3", "", "b")], [a, b], "number").fair).toBe(
      true,
    );
    expect(shareOfParts([part("Wiring", "electrical", "b")], [a, b], "role").says).toEqual([
      "Ada has no part.",
      "Wiring asks for electrical, but Ben is mechanical.",
    ]);
  });
});
