// A logger's table: what is read as a time and a value, what is left out and named, what stops it.
import { guessColumns, readColumns, readNumber, readTime } from "./columns";

test.each([
  ["12", 1, 12],
  ["1,5", 60, 90],
  ["2e3", 0.001, 2],
  ["0:30", 1, 30],
  ["12:30.5", 60, 750.5],
  ["1:00:00", 1, 3600],
  ["25:00:00", 1, 90000],
  ["2027-03-02T00:00:00+01:00", 1, Date.UTC(2027, 2, 1, 23) / 1000],
  ["2027-03-02 00:00", 1, Date.UTC(2027, 2, 2) / 1000],
  ["soon", 1, Number.NaN],
  ["", 1, Number.NaN],
  ["1:2:3:4", 1, Number.NaN],
])("the time %s in units of %d s", (text, unit, wanted) => expect(readTime(text, unit)).toBe(wanted));

test.each([
  ["-4.5", -4.5],
  ["+.5", 0.5],
  ["1.5e-3", 0.0015],
  ["1 500", Number.NaN],
  ["1.2.3", Number.NaN],
  ["Infinity", Number.NaN],
  ["0x10", Number.NaN],
])("the value %s", (text, wanted) => expect(readNumber(text)).toBe(wanted));

const choice = { time: 0, value: 1, secondsPerUnit: 1 };
test("times begin with the first sample; empty lines are none, lines without a sample are named", () => {
  const read = readColumns(
    [
      ["100", "5"],
      ["", ""],
      ["101", "n/a"],
      ["x", "5"],
      ["102", "6"],
    ],
    choice,
    3,
  );
  expect([read.t, read.v, read.problem]).toEqual([[0, 2], [5, 6], null]);
  expect([read.leftCount, read.left]).toEqual([
    2,
    [
      { line: 5, why: "“n/a” is no value" },
      { line: 6, why: "“x” is no time" },
    ],
  ]);
});

test("of many lines without a sample ten are named and all are counted", () => {
  const bad = Array.from({ length: 30 }, () => ["x", "1"]);
  const read = readColumns([["0", "1"], ...bad, ["1", "2"]], choice, 1);
  expect([read.left.length, read.leftCount, read.t.length]).toEqual([10, 30, 2]);
});

test("a time that does not rise stops it, with its line and what to do; so does an empty table", () => {
  expect(
    readColumns(
      [
        ["0", "1"],
        ["2", "1"],
        ["2", "1"],
      ],
      choice,
      2,
    ).problem,
  ).toBe("Line 4: the time 2 does not come after the one before it. Choose the column of the times, or sort the file.");
  expect(readColumns([["a", "b"]], choice, 1).problem).toBe("There are no two samples in these columns.");
});

test.each([
  [
    "names above",
    [
      ["Time (s)", "T (°C)", "note"],
      ["0", "5.1", ""],
      ["1", "5.2", ""],
    ],
    1,
    0,
    1,
  ],
  [
    "a head of several lines",
    [["Logger 7"], ["Start", "10:00"], ["n", "temp", "elapsed"], ["1", "5", "0"], ["2", "4", "1"]],
    3,
    2,
    0,
  ],
  [
    "no names",
    [
      ["5", "0.0"],
      ["5", "0.5"],
      ["4", "1.0"],
    ],
    0,
    1,
    0,
  ],
  [
    "times by date",
    [
      ["when", "V"],
      ["2027-03-02 10:00:00", "1"],
      ["2027-03-02 10:00:01", "1"],
    ],
    1,
    0,
    1,
  ],
])("%s: the columns are guessed", (_, rows, start, time, value) =>
  expect(guessColumns(rows)).toMatchObject({ start, time, value }),
);

test("columns without a name are counted", () => {
  expect(
    guessColumns([
      ["0", "5"],
      ["1", "6"],
    ]).names,
  ).toEqual(["Column 1", "Column 2"]);
  expect(guessColumns([])).toEqual({ names: [], start: 0, time: 0, value: 0 });
});
