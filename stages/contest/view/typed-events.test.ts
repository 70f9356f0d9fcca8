// The rules of events as their forms send them: what was saved is what is typed again.
import { typedEvent, typedJudged, typedMatches } from "./typed-events";

test("an event of attempts: what is not said of it stands at what is usual", () => {
  const definition = {
    channel: "Q",
    better: "more",
    policy: { school: "best", n: 3, foul: "zero" },
    ranking: "1224",
    resolution: null,
    tieBreaks: ["second"],
    seed: "7",
  } as never;
  expect(typedEvent(definition)).toEqual({
    channel: "Q",
    better: "more",
    school: "best",
    n: 3,
    k: 2,
    foul: "zero",
    ranking: "1224",
    ties: "digits",
    resolution: "0.1",
    tieBreaks: ["second"],
    seed: "7",
    target: "",
    care: "",
    penalties: "",
  });
  expect(typedEvent({ ...(definition as object), resolution: "0.05", target: "20" } as never)).toMatchObject({
    ties: "resolution",
    resolution: "0.05",
    target: "20",
  });
});

test("an event of matches: one game is no series, and what is measured has its unit", () => {
  const rules = {
    format: "single",
    decides: "measured",
    games: 1,
    secondFinal: false,
    third: true,
    rounds: 3,
    points: { win: "3", draw: "1", loss: "0" },
    measured: { name: "time", unit: "s", better: "less", resolution: "0.01" },
  } as never;
  expect(typedMatches(rules)).toMatchObject({
    games: "3",
    rounds: "3",
    win: "3",
    placePoints: "",
    measure: "time",
    unit: "s",
    resolution: "0.01",
  });
  const bare = { ...(rules as object), games: 5, measured: null, placePoints: ["10", "8"] } as never;
  expect(typedMatches(bare)).toMatchObject({ games: "5", measure: "", unit: "", better: "less", placePoints: "10, 8" });
});

test("a judged event: its criteria are copies, so that typing in the form changes no rules", () => {
  const rules = {
    criteria: [{ key: "c", name: "Idea", weight: "2" }],
    most: 10,
    method: "mean",
    tie: "shared",
    full: "10",
    placePoints: ["5", "3"],
  } as never;
  const typed = typedJudged(rules);
  expect(typed).toMatchObject({ most: "10", placePoints: "5, 3", criteria: [{ key: "c", name: "Idea", weight: "2" }] });
  expect(typed.criteria[0]).not.toBe((rules as { criteria: unknown[] }).criteria[0]);
});
