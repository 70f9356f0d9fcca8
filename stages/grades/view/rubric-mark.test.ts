import { readMark } from "@/core/grades/mark";
import { lowest, type NotebookRubric, typedByRubric } from "./rubric-mark";

const level = (points: string) => ({ points, descriptor: "" });
const rubric: NotebookRubric = {
  id: "r",
  name: "Notebook",
  definition: {
    criteria: [
      { key: "reasons", name: "Reasons", weight: "2", levels: [level("1"), level("2"), level("4")] },
      { key: "dates", name: "Dates", weight: "1", levels: [level("0"), level("3")] },
    ],
  },
};

test("levels by their weights, and how they came", () =>
  expect(typedByRubric(rubric, { reasons: "2", dates: "3" })).toBe("66.7 % by Notebook: Reasons 2, Dates 3"));

test("the gradebook takes it on every scale, with how it came as the remark", () => {
  const typed = typedByRubric(rubric, { reasons: "4", dates: "3" });
  for (const scale of [
    { kind: "percent" as const },
    { kind: "points" as const, of: "20" },
    { kind: "letters" as const, table: [{ letter: "A", percent: "95" }] },
  ])
    expect(readMark(typed, scale, false)).toMatchObject({
      kind: "mark",
      share: "1",
      reason: expect.stringMatching(/Reasons 4/),
    });
});

test("it begins with the lowest level of each criterion, and never longer than a cell holds", () => {
  expect(lowest(rubric)).toEqual({ reasons: "1", dates: "0" });
  const long = { ...rubric, name: "x".repeat(500) };
  expect(typedByRubric(long, lowest(long)).length).toBe(440);
});
