import { asOf, type Moment, replayAt } from "./replay";

const moment = (at: string, act = "scoreAttempt", subjectId = "x"): Moment => ({
  at: `2027-03-26T${at}:00`,
  act,
  label: `${act} ${at}`,
  subjectId,
});
const day = [
  moment("09:05"),
  moment("09:40"),
  moment("10:15"),
  moment("10:15"),
  moment("11:00", "confirmEvent", "lift"),
];

describe("where a replay stands", () => {
  test("at the end, unless another time is asked for; hours go to their last moment", () => {
    const end = replayAt(day, undefined)!;
    expect([end.clock, end.before, end.after]).toEqual(["11:00", "2027-03-26T10:15:00", null]);
    expect(end.hours.map((h) => [h.label, h.at.slice(11, 16)])).toEqual([
      ["9 h", "09:40"],
      ["10 h", "10:15"],
      ["11 h", "11:00"],
    ]);
    const early = replayAt(day, "2027-03-26T09:50:00")!;
    expect([early.clock, early.before?.slice(11, 16), early.after?.slice(11, 16)]).toEqual(["9:40", "09:05", "10:15"]);
    expect(early.happened.map((h) => h.clock)).toEqual(["9:05", "9:40"]);
  });
  test("before everything at the first moment; what is no time is the end; without moments nowhere", () => {
    expect(replayAt(day, "2027-03-26T07:00:00")).toMatchObject({ clock: "9:05", before: null });
    expect(replayAt(day, "soon")!.clock).toBe("11:00");
    expect(replayAt([], undefined)).toBeNull();
  });
});

test("what boards showed: only what was recorded by then, and states as they were", () => {
  const attempts = [{ text: "8.4", counts: true }];
  const at = (clock: string) => `2027-03-26T${clock}:00`;
  const source = {
    boards: [{}],
    halts: new Map([["lift", "wet"]]),
    call: "Alder",
    contest: {
      events: [
        {
          id: "lift",
          state: "confirmed",
          entries: [{ id: "a", taken: 3, inspection: "passed", inspectedAt: at("08:10") }],
          standings: [],
        },
      ],
      races: [{ id: "race", state: "confirmed", results: [{ at: at("10:15") }, { at: at("10:50") }], standings: [] }],
      judged: [{ id: "design", state: "confirmed", sheets: [{ at: at("10:20") }], standings: [] }],
    },
  } as unknown as Parameters<typeof asOf>[0];
  const standings = new Map([["lift", [{ id: "a", attempts }]]]) as unknown as Parameters<typeof asOf>[1];
  const then = asOf(source, standings, day, at("10:30"));
  expect(then.contest.events[0]).toMatchObject({ state: "running", entries: [{ taken: 1, inspection: "passed" }] });
  expect(then.contest.races[0]).toMatchObject({ state: "running", results: [{ at: at("10:15") }] });
  expect(then.contest.judged[0]).toMatchObject({ state: "running", sheets: [{}] });
  expect([then.boards, then.halts.size, then.call]).toEqual([[], 0, ""]);
  const early = asOf(source, new Map(), day, at("08:00"));
  expect(early.contest.events[0]).toMatchObject({ state: "set up", entries: [{ taken: 0, inspection: "waiting" }] });
  expect(asOf(source, standings, day, at("11:00")).contest.events[0]!.state).toBe("confirmed");
});
