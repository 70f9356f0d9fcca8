import { judgedRules, matchRules, matchSheet, measuredRules } from "./papers";
import { resultsOf, rulesOnPaper, sheetsOf } from "./papers-of";

const definition = {
  channel: "V",
  unit: "L",
  better: "less",
  policy: { school: "best", n: 2, foul: "out" },
  resolution: "0.005",
  tieBreaks: ["second", "runoff"],
  target: "2.000",
  care: "mean",
  penalties: [{ key: "rim", name: "Water over the rim", each: "0.05" }],
  points: null,
};
const fill = {
  id: "fill",
  name: "Exact fill",
  state: "running",
  protocol: "Exact fill",
  needed: ["V"],
  definition,
  protocolDefinition: { measures: [{ key: "V", name: "In the vessel", unit: "L", resolution: "0.005" }] },
  entries: ["Alder", "Gully", "Out"].map((team) => ({
    id: team,
    team,
    seed: null,
    inspection: team === "Out" ? "turned away" : "passed",
  })),
  standings: [
    { name: "Alder", place: 1, counted: "0.01", shown: "0.010", points: "99" },
    { name: "Gully", place: null, counted: null, shown: "–", points: null },
  ],
};
const rules = {
  format: "double",
  decides: "games",
  games: 3,
  secondFinal: true,
  third: false,
  rounds: 3,
  points: { win: "2", draw: "1", loss: "0" },
  placePoints: ["40", "20"],
};
const race = {
  id: "race",
  name: "Tank race",
  state: "confirmed",
  rules,
  entries: ["Alder", "Gully"].map((team, i) => ({ id: team, team, seed: i + 1, inspection: "passed" })),
  results: [],
  drawn: [],
  standings: [{ name: "Gully", place: 1, won: 2, lost: 1, points: null }],
};
const design = {
  id: "design",
  name: "Design",
  state: "confirmed",
  rules: {
    criteria: [
      { key: "c1", name: "Use", weight: "3" },
      { key: "c2", name: "Work", weight: "1" },
    ],
    most: 5,
    method: "trimmed",
    tie: "shared",
    full: "60",
    placePoints: [],
  },
  entries: [{ id: "Alder", team: "Alder" }],
  standings: [{ name: "Alder", place: 1, shown: "80.00", points: "48" }],
};
const contest = { events: [fill], judged: [design], races: [race] } as unknown as Parameters<typeof sheetsOf>[0];

describe("rules on paper", () => {
  test("of a measured event: what counts, the target, fouls, charges, readers, ties", () => {
    expect(measuredRules(fill as never)).toEqual([
      "Measured as in Exact fill. 2 attempts each: best of 2.",
      "Exactly 2.000 L is best: the distance from it is ranked.",
      "A foul or no finish: left out.",
      "Water over the rim: 0.05 L each time.",
      "Two people read; the mean of both is taken.",
      "Values that agree at 0.005 L are tied; then decides: second-best attempt, run-off between those who are tied.",
    ]);
    const plain = { ...definition, target: undefined, resolution: null, care: undefined, penalties: undefined };
    const kept = { ...plain, policy: { school: "best-k", n: 1, k: 2, foul: "zero" }, better: "more" };
    expect(measuredRules({ ...fill, definition: kept } as never)).toEqual([
      "Measured as in Exact fill. 1 attempt each: best 2 of 1.",
      "More is better.",
      "A foul or no finish: counts as zero.",
      "The recorded digits decide.",
    ]);
  });
  test("of matches: how it is played and won, and what a place or a match earns", () => {
    expect(matchRules({ rules } as never)).toEqual([
      "Double elimination: who has lost twice is out; one bad start is forgiven.",
      "A match is won by the best of several games, at most 3.",
      "There is a second final where the unbeaten one loses the first.",
      "Points of the places: 40, 20.",
    ]);
    const robin = { ...rules, format: "robin", decides: "first", placePoints: [] };
    expect(matchRules({ rules: robin } as never).at(-1)).toBe("A win earns 2, a draw 1, a loss 0.");
    const single = { ...robin, format: "single", third: true };
    expect(matchRules({ rules: single } as never).at(-1)).toContain("third place");
  });
  test("of judges: the criteria, the method, and what full marks earn", () => {
    expect(judgedRules(design as never)).toEqual([
      "Each judge marks Use (counts 3), Work (counts 1) from 0 to 5.",
      "The highest and the lowest left out: the mean of the rest, of three sheets or more.",
      "Where marks agree, the place is shared.",
      "Full marks earn 60 points.",
    ]);
    const places = { ...design.rules, placePoints: ["10", "5"] };
    expect(judgedRules({ rules: places } as never).at(-1)).toBe("Points of the places: 10, 5.");
  });
  test("stand with their time, their turns and what is dangerous", () => {
    const turns = [{ key: "a", at: "9:00", lane: 2, team: "Alder", attempt: 1, made: false }];
    const lanes = [{ team: "Alder", counts: [0, 1] }];
    const planned = [{ id: "fill", from: "9:00", until: "9:30", turns, lanes, late: "" }];
    const [first, second] = rulesOnPaper(contest, planned, new Map([["fill", { cautions: ["On a mat."] }]]));
    expect([first!.when, first!.turns, first!.cautions]).toEqual([
      "9:00 to 9:30",
      "9:00 Alder (lane 2)",
      ["On a mat."],
    ]);
    expect([second!.when, second!.turns, second!.cautions]).toEqual(["", "", []]);
    const [sheet] = sheetsOf(contest, planned);
    expect(sheet!.sheet.columns.slice(0, 4)).toEqual(["Time", "Lane", "Team", "Attempt"]);
    expect(sheet!.sheet.rows[0]!.cells.slice(0, 4)).toEqual(["9:00", "2", "Alder", "1"]);
  });
});

describe("sheets to score by hand", () => {
  const [attempts, judges, matches] = sheetsOf(contest, []).map((s) => s.sheet);
  test("have the columns in the order of the keys, and a row for every attempt of who may start", () => {
    expect(attempts!.columns).toEqual([
      ...["Time", "Team", "Attempt", "In the vessel, L", "In the vessel, second reader"],
      ...["Water over the rim", "Foul, no finish", "Scorer"],
    ]);
    expect(attempts!.rows.map((r) => r.cells.slice(1, 3))).toEqual([
      ["Alder", "1"],
      ["Gully", "1"],
      ["Alder", "2"],
      ["Gully", "2"],
    ]);
  });
  test("for judges a row a team; for matches a line each, also those whose teams are not known yet", () => {
    expect(judges!.columns).toEqual(["Team", "Use, 0 to 5", "Work, 0 to 5", "What you saw"]);
    expect(judges!.rows.map((r) => r.cells[0])).toEqual(["Alder"]);
    expect(matches!.columns).toEqual(["Match", "Between", "and", "Score", "Score", "Winner", "Scorer"]);
    expect(matches!.rows.map((r) => r.cells.slice(0, 3))).toEqual([
      ["round 1", "Alder", "Gully"],
      ["the final", "", ""],
      ["the second final", "", ""],
    ]);
    const plain = { rules: { ...rules, decides: "first" } } as never;
    expect(matchSheet(plain, []).columns).toEqual(["Match", "Between", "and", "Winner", "Scorer"]);
  });
});

test("results: every event with its places, whether it is confirmed, and the overall ranking", () => {
  const overall = { rows: [{ team: "Gully", place: 1, shown: "120" }] } as never;
  const { events, overall: all } = resultsOf(contest, overall);
  expect(events.map((e) => [e.name, e.note, e.rows.map((r) => [r.place, r.name, r.shown, r.points])])).toEqual([
    [
      "Exact fill",
      "not confirmed yet",
      [
        [1, "Alder", "0.010 L", "99.0"],
        [null, "Gully", "–", "–"],
      ],
    ],
    ["Design", "confirmed", [[1, "Alder", "80.00", "48.0"]]],
    ["Tank race", "confirmed", [[1, "Gully", "2, 1", "–"]]],
  ]);
  expect(all).toEqual([{ name: "Gully", place: 1, shown: "120", points: "" }]);
});
