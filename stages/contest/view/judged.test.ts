import type { StoredSheet } from "../queries/judged-facts";
import { agreementWords, judgedRows, judging } from "./judged";
import { judgedFace, toJudge } from "./judged-face";
import { runOffs } from "./run-off";

const rules = {
  criteria: [{ key: "m", name: "Whole", weight: "1" }],
  most: 10,
  method: "adjusted",
  tie: "shared",
  full: "",
  placePoints: [],
} as const;
const entry = (team: string, seed: number | null = null) => ({ id: team, team, seed, build: 2 });
const sheet = (entryId: string, judge: string, m: number | null, more: object = {}) => ({
  id: `${entryId} ${judge}`,
  entryId,
  judgeId: judge,
  judge,
  state: m === null ? "stepped" : "marked",
  marks: m === null ? {} : { m },
  note: "",
  version: 1,
  ...more,
});
const event = (sheets: object[], ...teams: string[]) =>
  ({
    name: "Design",
    state: "running",
    rules,
    entries: teams.map((t, i) => entry(t, i + 1)),
    sheets: sheets as StoredSheet[],
    standings: [],
    orderSeed: "77",
  }) as unknown as Parameters<typeof judgedFace>[0];

test("a judge's teams: those without a sheet first, each with the judge's own marks and no other's", () => {
  const e = event([sheet("Alder", "J1", 7, { version: 3 }), sheet("Gully", "J2", 4)], "Alder", "Gully", "Weir");
  expect(judgedRows(e, "J1").map((r) => [r.team, r.state, r.version, r.marks])).toEqual([
    ["Gully", null, 0, {}],
    ["Weir", null, 0, {}],
    ["Alder", "marked", 3, { m: 7 }],
  ]);
});

describe("how the judging stands", () => {
  test("who has marked whom, and how severe each is; a link that has not begun is there too", () => {
    const e = event([sheet("Alder", "J1", 7), sheet("Alder", "J2", 5), sheet("Gully", "J2", null)], "Alder", "Gully");
    const { judges, says } = judging(e, [{ id: "J3", name: "Parent" }]);
    expect(judges).toEqual([
      { id: "J1", name: "J1", marked: 1, stepped: [], missing: "Gully", severity: "10.0 above the average judge" },
      { id: "J2", name: "J2", marked: 1, stepped: ["Gully"], missing: "–", severity: "10.0 below the average judge" },
      { id: "J3", name: "Parent", marked: 0, stepped: [], missing: "everybody", severity: "–" },
    ]);
    expect(says).toEqual([]);
  });
  test("teams that no judge connects are named, also those that never will be, and whom nobody may mark", () => {
    const apart = [sheet("Alder", "J1", 7), sheet("Gully", "J2", 5)];
    expect(judging(event(apart, "Alder", "Gully"), []).says).toEqual([
      "No judge connects Alder with Gully: their adjusted marks cannot be compared, and nobody has a place until a " +
        "judge has marked a team of each.",
    ]);
    const never = [...apart, sheet("Gully", "J1", null), sheet("Alder", "J2", null)];
    expect(judging(event(never, "Alder", "Gully"), []).says[0]).toMatch(/^Even when everything is marked: No judge/);
    const nobody = [sheet("Alder", "J1", 7), sheet("Gully", "J1", null)];
    expect(judging(event(nobody, "Alder", "Gully"), []).says).toEqual([
      "Every judge steps back from Gully: another judge is needed.",
    ]);
  });
  test("a sheet that was set aside does not count, and one that stands out is to be asked about", () => {
    const teams = [..."ABCDEFGH"];
    const all = teams.flatMap((t, i) =>
      ["J1", "J2", "J3"].map((j) => sheet(t, j, t === "A" && j === "J1" ? 10 : i + 1)),
    );
    const { says, agreement } = judging(event(all, ...teams), []);
    expect(says).toEqual([expect.stringMatching(/^J1 marked A \d+\.\d higher than the other sheets let expect/)]);
    expect(agreementWords(agreement)).toMatch(/^Of the 3 judges who marked every team, W = 0\.\d\d: they agree/);
    const without = all.map((s) => (s.judge === "J1" ? { ...s, state: "aside" } : s));
    expect(agreementWords(judging(event(without, ...teams), []).agreement)).toContain("W = 1.00: they agree well");
    expect(agreementWords({ w: null, judges: 0 })).toContain("once two judges");
    expect(agreementWords({ w: null, judges: 2 })).toContain("the same");
    expect(agreementWords({ w: 0.2, judges: 2 })).toContain("hardly");
  });
});

test("the board names who is next and keeps the marks back until the result is confirmed", () => {
  const e = event(
    [sheet("Alder", "J1", 7), sheet("Alder", "J2", 7), sheet("Gully", "J2", 3)],
    "Alder",
    "Gully",
    "Weir",
  );
  expect(toJudge(e)).toEqual(["Weir", "Gully"]);
  const open = judgedFace(e);
  expect(open.says.map((s) => s.text).join("")).toBe("Design · the judges are at work · next: Weir");
  expect(open.face).toMatchObject({
    heads: ["", "Team", "Sheets in"],
    rows: [{ cells: ["1", "Alder", "2"] }, {}, { on: true }],
  });
  const standing = { id: "Alder", name: "Alder", place: 1, shown: "70.00", sheets: 2 };
  const done = judgedFace({ ...e, state: "confirmed", standings: [standing] as never });
  expect(done.face).toMatchObject({ rows: [{ on: true, cells: ["1", "Alder", "2", "70.00"] }] });
  expect(done.says.map((s) => s.text).join("")).toBe("Design · final result");
});

describe("ties that a run-off breaks", () => {
  const standing = (id: string, counted: string | null, shared: boolean) => ({
    id,
    name: id,
    counted,
    shown: counted,
    shared,
  });
  const of = (tieBreaks: string[], standings: object[], runOff: Record<string, number> = {}, state = "running") =>
    runOffs({
      definition: { tieBreaks, resolution: "0.1" },
      standings,
      state,
      entries: ["a", "b", "c"].map((id) => ({ id, runOff: runOff[id] ?? null })),
    } as never);
  const two = [standing("a", "8.91", true), standing("b", "8.93", true), standing("c", null, false)];
  test("are those that are still shared, where the rules know a run-off and the result is open", () => {
    expect(of(["runoff"], two)).toEqual([
      {
        entries: [
          { value: "a", label: "a" },
          { value: "b", label: "b" },
        ],
        broken: false,
        says: "a and b are tied at 8.91: a run-off breaks it.",
      },
    ]);
    expect(of(["lot"], two)).toEqual([]);
    expect(of(["runoff"], two, {}, "confirmed")).toEqual([]);
    expect(of(["second", "runoff"], [standing("a", "8.9", false), standing("b", "8.9", false)])).toEqual([]);
  });
  test("and those whose run-off is on record", () => {
    const broken = [standing("a", "8.91", false), standing("b", "8.93", false)];
    expect(of(["runoff"], broken, { a: 2, b: 1 })).toMatchObject([
      { broken: true, says: expect.stringContaining("on record") },
    ]);
  });
});
