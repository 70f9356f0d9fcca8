// Rubrics: from the shelf, into a spreadsheet and back, and keys that no two criteria share.
import { readRubric, rubricRows } from "@/core/sheet/rubric-table";
import { checkRubric } from "@/core/sheet/sheet";
import { rubricShelf } from "./rubric-shelf";
import { freeKey, typedCriteria } from "./typed-rubric";

test.each(rubricShelf.map((r) => [r.name, r] as const))(
  "%s from the shelf can be used, and goes through a spreadsheet",
  (_, r) => {
    const rubric = { criteria: r.criteria };
    expect(checkRubric(rubric)).toEqual([]);
    expect(readRubric(rubricRows(rubric))).toEqual(rubric);
  },
);

test("what a spreadsheet makes of it: decimal commas, empty cells, levels of different number", () => {
  const rows = [
    ["criterion", "weight", "Level 1", "Level 2", "Level 3"],
    ["Idea", "0,5", "0", "2,5: half", ""],
    ["", "", "", "", ""],
    ["Work", "", "0 no", "1 some", "3 all"],
  ];
  expect(readRubric(rows)).toEqual({
    criteria: [
      {
        key: "c1",
        name: "Idea",
        weight: "0.5",
        levels: [
          { points: "0", descriptor: "" },
          { points: "2.5", descriptor: "half" },
        ],
      },
      {
        key: "c2",
        name: "Work",
        weight: "1",
        levels: [
          { points: "0", descriptor: "no" },
          { points: "1", descriptor: "some" },
          { points: "3", descriptor: "all" },
        ],
      },
    ],
  });
});

test.each([
  [
    [
      ["Name", "Weight"],
      ["Idea", "1"],
    ],
    "The first row is Criterion, Weight, Level 1",
  ],
  [[["Criterion", "Weight"]], "a row a criterion follows"],
  [
    [
      ["Criterion", "Weight", "Level 1"],
      ["", "1", "0"],
    ],
    "Row 2: a criterion has a name.",
  ],
  [
    [
      ["Criterion", "Weight", "Level 1", "Level 2"],
      ["Idea", "1", "none", "1"],
    ],
    "“none” does not",
  ],
  [
    [
      ["Criterion", "Weight", "Level 1"],
      ["Idea", "1", "0 none"],
    ],
    "Idea: give at least two levels.",
  ],
])("%j is told what is wrong", (rows, wanted) =>
  expect(readRubric(rows)).toEqual({ wrong: expect.stringContaining(wanted) }),
);

test("a criterion added after one was removed gets a key of its own: marks of sheets hang on it", () => {
  const typed = typedCriteria(rubricShelf[0]!.criteria).filter((c) => c.key !== "c2");
  expect(typed.map((c) => c.key)).toEqual(["c1", "c3", "c4"]);
  expect(freeKey(typed)).toBe("c5");
  expect(freeKey([])).toBe("c1");
});
