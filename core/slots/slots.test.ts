import fc from "fast-check";
import { slotProblem } from "@/core/testing/slot-problems";
import { checkSlots } from "./check";
import { clashWords } from "./clash";
import { clockWarning, slotClock } from "./clock";
import { hoursText, readHours, within } from "./hours";
import { matchTeams } from "./match";
import { type SlotProblem, slotGround, slotTimes } from "./problem";
import { planAtOnce, planSlots } from "./solver";

const on = (from: number, to: number) => [{ day: "2027-03-09", hours: [{ from, to }] }];
const small: SlotProblem = {
  days: on(480, 560),
  minutes: 20,
  change: 0,
  rooms: 1,
  panel: { least: 2, most: 2 },
  reviewers: [
    { name: "Ida", days: on(480, 560) },
    { name: "Ben", days: on(480, 560) },
    { name: "Cleo", days: on(480, 500) },
  ],
  teams: [
    { id: "a", name: "A", days: on(480, 560) },
    { id: "b", name: "B", days: on(480, 560) },
  ],
};

describe("hours as people write them", () => {
  const day = [{ from: 480, to: 960 }];
  test.each([
    ["", day],
    ["all", day],
    ["–", []],
    ["no", []],
    ["8:30–10", [{ from: 510, to: 600 }]],
    [
      "8.30-10.15, 13-14",
      [
        { from: 510, to: 615 },
        { from: 780, to: 840 },
      ],
    ],
    ["23-23:59", [{ from: 1380, to: 1439 }]],
  ])("%j", (text, hours) => expect(readHours(text, day)).toEqual(hours));
  test.each([
    ["8:30", "“8:30” is not a stretch of hours"],
    ["8-9-10", "is not a stretch of hours"],
    ["8:60-9", "is not a stretch of hours"],
    ["8-24", "is not a stretch of hours"],
    ["morning", "“morning” is not a stretch of hours"],
    ["10-9", "“10-9” ends before it begins"],
    ["9-9", "ends before it begins"],
    ["8-10, 9-11", "“9-11” begins before the stretch in front of it ends"],
  ])("%j is refused", (text, words) => expect(() => readHours(text, day)).toThrow(words));
  test("what is written can be read again", () => {
    const stretches = fc
      .uniqueArray(fc.integer({ min: 0, max: 1439 }), { minLength: 2, maxLength: 8 })
      .map((at) => at.sort((a, b) => a - b))
      .map((at) => at.flatMap((from, i) => (i % 2 || at[i + 1] === undefined ? [] : [{ from, to: at[i + 1]! }])));
    fc.assert(fc.property(stretches, (hours) => expect(readHours(hoursText(hours), [])).toEqual(hours)));
  });
  test("a stretch may lie in two that touch, not in two with a hole between them", () => {
    expect(
      within({ from: 500, to: 520 }, [
        { from: 510, to: 530 },
        { from: 480, to: 510 },
      ]),
    ).toBe(true);
    expect(
      within({ from: 500, to: 520 }, [
        { from: 480, to: 510 },
        { from: 511, to: 530 },
      ]),
    ).toBe(false);
  });
});

test("times fill each stretch, the change between them, and a new stretch is a new block", () => {
  const days = [
    { day: "2027-03-10", hours: [{ from: 480, to: 519 }] },
    {
      day: "2027-03-09",
      hours: [
        { from: 600, to: 645 },
        { from: 480, to: 525 },
      ],
    },
  ];
  expect(slotTimes({ days, minutes: 20, change: 5 }).map((t) => [t.day, t.from, t.to, t.block])).toEqual([
    ["2027-03-09", 480, 500, 0],
    ["2027-03-09", 505, 525, 0],
    ["2027-03-09", 600, 620, 1],
    ["2027-03-09", 625, 645, 1],
    ["2027-03-10", 480, 500, 2],
  ]);
});

test("reviews that go on at once are limited by rooms and by whole panels", () => {
  expect(slotGround({ ...small, rooms: 2 }).capacity).toEqual([1, 1, 1, 1]);
  expect(slotGround({ ...small, rooms: 2, panel: { least: 1, most: 1 } }).capacity).toEqual([2, 2, 2, 2]);
  expect(slotGround({ ...small, rooms: 4, panel: { least: 1, most: 1 } }).capacity).toEqual([3, 2, 2, 2]);
});

describe("a plan", () => {
  test("is over as soon as it can be, and nobody waits", () => {
    const plan = planAtOnce(small);
    expect(plan).toMatchObject({ ok: true, gaps: 0 });
    expect(plan.ok && plan.places.map((p) => [p.from, p.team])).toEqual([
      [480, "a"],
      [500, "b"],
    ]);
  });
  test("lets somebody wait where it must: both teams' hours have a hole between them", () => {
    const apart = {
      ...small,
      reviewers: small.reviewers.slice(0, 2),
      teams: [
        { id: "a", name: "A", days: on(480, 500) },
        { id: "b", name: "B", days: on(540, 560) },
      ],
    };
    const plan = planAtOnce(apart);
    // Two reviewers, each two times long.
    expect(plan).toMatchObject({ ok: true, gaps: 4 });
    expect(plan.ok && [...checkSlots(apart, plan.places).waits]).toEqual([
      ["Ida", 2],
      ["Ben", 2],
    ]);
  });
  test("a break between two stretches of hours is no waiting", () => {
    const two = {
      ...small,
      days: [
        {
          day: "2027-03-09",
          hours: [
            { from: 480, to: 500 },
            { from: 540, to: 560 },
          ],
        },
      ],
    };
    expect(planAtOnce({ ...two, reviewers: two.reviewers.slice(0, 2) })).toMatchObject({ ok: true, gaps: 0 });
  });
  test("who would only wait sits in where a panel may be larger", () => {
    const wide = { ...small, panel: { least: 1, most: 3 }, teams: small.teams };
    const plan = planAtOnce(wide);
    expect(plan.ok && checkSlots(wide, plan.places)).toMatchObject({ breaches: [], gaps: 0 });
  });
  test("tells its progress", () => {
    const run = planSlots(small);
    expect(run.next()).toEqual({ done: false, value: { share: 1, round: 0 } });
    expect(run.next()).toMatchObject({ done: true, value: { ok: true } });
  });
  test("reviewers keep their room where they can, and no plan breaks a rule", () => {
    for (let i = 0; i < 40; i++) {
      const p = slotProblem({ seed: `rooms ${i}`, teams: 12, reviewers: 8, days: 2, perDay: 6, rooms: 2, busy: 0.2 });
      const plan = planAtOnce(p);
      if (plan.ok) expect(checkSlots(p, plan.places)).toMatchObject({ breaches: [], gaps: plan.gaps });
    }
    const p = { ...small, rooms: 2, panel: { least: 1, most: 1 }, reviewers: small.reviewers.slice(0, 2) };
    const plan = planAtOnce({ ...p, teams: [..."abcd"].map((id) => ({ id, name: id, days: on(480, 560) })) });
    expect(plan.ok && plan.places.map((x) => `${x.room} ${x.reviewers}`)).toEqual(["0 Ida", "1 Ben", "0 Ida", "1 Ben"]);
  });
});

describe("why there is none", () => {
  const why = (p: SlotProblem) => {
    const plan = planAtOnce(p);
    return plan.ok ? [] : clashWords(plan.clash, { teams: p.teams.length, least: p.panel.least });
  };
  test("no stretch is long enough", () => expect(why({ ...small, minutes: 90 })[0]).toMatch("as long as one review"));
  test("never enough reviewers", () =>
    expect(why({ ...small, panel: { least: 4, most: 4 } })[0]).toMatch(
      "At no time are 4 reviewers there; at most 3 are",
    ));
  test("one team has no time", () =>
    expect(why({ ...small, teams: [...small.teams, { id: "c", name: "C", days: on(485, 500) }] })).toEqual([
      "C needs 1 place, and can come to 0 times, with 0 places: 1 too few.",
    ]));
  test("some teams share too few, and reviewers are why", () => {
    const p = { ...small, rooms: 2, teams: ["a", "b", "c"].map((id) => ({ id, name: id, days: on(480, 520) })) };
    expect(why({ ...p, teams: [...p.teams, { id: "d", name: "d", days: on(480, 560) }] })).toEqual([
      "a, b, c need 3 places, and can come only to 2 times, with 2 places: 1 too few.",
      "At 2 of these times reviewers are too few for every room.",
    ]);
  });
  test("all of them, and another room would help", () => {
    const p = {
      ...small,
      panel: { least: 1, most: 1 },
      teams: [..."abcde"].map((id) => ({ id, name: id, days: on(0, 1440) })),
    };
    expect(why(p)).toEqual([
      "All 5 teams need 5 places, and there are 4 times with 4 places: 1 too few.",
      "At 4 of these times there are reviewers for another room.",
    ]);
  });
});

test("teams are seated by moving others on, and who is stuck is no more than needed", () => {
  expect(matchTeams([[0, 1], [0, 2], [0]], [1, 1, 1])).toEqual({ ok: true, at: [1, 2, 0] });
  expect(matchTeams([[0], [0, 1, 2], [0]], [1, 1, 1])).toEqual({ ok: false, stuck: [0, 2] });
  expect(matchTeams([[0], [0]], [2])).toEqual({ ok: true, at: [0, 0] });
  expect(matchTeams([[0]], [0])).toEqual({ ok: false, stuck: [0] });
});

test("what a plan changed by hand breaks is told", () => {
  const at = (team: string, from: number, reviewers: string[], room = 0) => ({
    team,
    day: "2027-03-09",
    from,
    room,
    reviewers,
  });
  expect(checkSlots(small, [at("a", 500, ["Ida", "Cleo"]), at("b", 540, ["Ida"])])).toMatchObject({
    breaches: [
      { kind: "reviewer away", team: "a", reviewer: "Cleo" },
      { kind: "small panel", team: "b", reviewers: 1 },
    ],
    gaps: 1,
  });
  expect(checkSlots(small, [at("a", 480, ["Ida", "Ben"]), at("b", 480, ["Ida", "Ben", "Cleo"])]).breaches).toEqual([
    { kind: "room twice", team: "b", room: 0 },
    { kind: "large panel", team: "b", reviewers: 3 },
    { kind: "reviewer twice", team: "b", reviewer: "Ida" },
    { kind: "reviewer twice", team: "b", reviewer: "Ben" },
  ]);
  expect(
    checkSlots({ ...small, teams: [{ id: "a", name: "A", days: on(520, 560) }] }, [
      at("a", 480, ["Ida", "Ben"]),
      at("b", 490, []),
    ]).breaches,
  ).toEqual([
    { kind: "team away", team: "a" },
    { kind: "no time", team: "b" },
  ]);
});

describe("the clock on the day", () => {
  const slot = (id: string, planned: number, began: number | null = null, ended: number | null = null) => ({
    id,
    planned,
    minutes: 20,
    began,
    ended,
  });
  const begins = (slots: Parameters<typeof slotClock>[0], now: number) =>
    slotClock(slots, now, 5).slots.map((s) => [s.id, s.state, s.begins, s.late]);
  test("before the first everything stands as planned, in order", () => {
    expect(begins([slot("b", 565), slot("a", 540)], 500)).toEqual([
      ["a", "to come", 540, 0],
      ["b", "to come", 565, 0],
    ]);
    expect(slotClock([slot("a", 540)], 500, 5)).toMatchObject({ on: null, left: null, next: "a", behind: 0 });
  });
  test("a late beginning pushes the rest on, a hole in the plan takes it up", () => {
    expect(begins([slot("a", 540, 552), slot("b", 565), slot("c", 640)], 553)).toEqual([
      ["a", "on", 552, 12],
      ["b", "to come", 577, 12],
      ["c", "to come", 640, 0],
    ]);
  });
  test("one that runs over pushes on with every minute; seconds count", () => {
    const clock = slotClock([slot("a", 540, 540), slot("b", 565)], 563.5, 5);
    expect(clock).toMatchObject({ on: "a", left: -210, next: "b", behind: 3.5 });
  });
  test("who is over early lets nobody begin before the planned time", () => {
    expect(begins([slot("a", 540, 540, 550), slot("b", 565)], 551)[1]).toEqual(["b", "to come", 565, 0]);
  });
  test("when all are over, what the last was late stays", () => {
    expect(slotClock([slot("a", 540, 543, 560)], 600, 5)).toMatchObject({ on: null, next: null, behind: 3 });
    expect(slotClock([], 600, 5)).toMatchObject({ slots: [], behind: 0 });
  });
  test("warnings come in the last quarter, at most five minutes", () => {
    expect([301, 300, 60, 59, 0, -1].map((left) => clockWarning(left, 20))).toEqual([
      "none",
      "soon",
      "soon",
      "last minute",
      "last minute",
      "over",
    ]);
    expect([151, 150].map((left) => clockWarning(left, 10))).toEqual(["none", "soon"]);
  });
});
