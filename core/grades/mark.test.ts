import fc from "fast-check";
import { checkScale, type MarkScale, readMark, typedMark } from "./mark";

const percent: MarkScale = { kind: "percent" };
const points: MarkScale = { kind: "points", of: "20" };
const letters: MarkScale = {
  kind: "letters",
  table: [
    { letter: "A", percent: "95" },
    { letter: "A-", percent: "91" },
    { letter: "B+", percent: "87" },
    { letter: "Ex", percent: "100" },
  ],
};
const share = (typed: string, scale: MarkScale = percent) => {
  const read = readMark(typed, scale, false);
  return "share" in read ? read.share : "wrong" in read ? read.wrong : read.kind;
};

test.each([
  ["85", percent, "0.85"],
  ["85 %", points, "0.85"],
  ["7,5", points, "0.375"],
  ["17 of 20", percent, "0.85"],
  ["17/25", points, "0.68"],
  ["0", percent, "0"],
  ["120", percent, "1.2"],
  ["a", letters, "0.95"],
  ["A-", letters, "0.91"],
  ["b+ well argued", letters, "0.87"],
  ["ex", letters, "1"],
  ["80%", letters, "0.8"],
  ["  ", percent, "none"],
] as const)("%s on %o is %s", (typed, scale, wanted) => {
  expect(share(typed, scale)).toBe(wanted);
});

test.each([
  ["120.01", percent, /^That is 120.01 %: from 0 to 120 %/],
  ["25", points, /^That is 125 %/],
  ["17/0", percent, /^Of nothing/],
  ["85", letters, /^Write one of A, A-, B\+, Ex, or 85 % for a percent\.$/],
  ["soon", percent, /^“soon” is no mark\. Write 85, ex or miss/],
  ["C", letters, /is no mark\. Write A,/],
  ["A+", letters, /is no mark/],
  ["1.2.3", percent, /is no mark/],
  ["85kg", percent, /is no mark/],
  ["-5", percent, /is no mark/],
  ["ex", percent, /^Write why after it, for example: ex was ill\.$/],
  ["missing:", percent, /^Write why after it/],
  ["extra", percent, /is no mark/],
] as const)("%s on %o is not taken, and why is said", (typed, scale, why) => {
  expect(share(typed, scale)).toMatch(why);
});

test("a remark follows a mark, a reason what is set by hand, excused or missing", () => {
  expect(readMark("17 - neat joints", points, false)).toEqual({ kind: "mark", share: "0.85", reason: "neat joints" });
  expect(readMark("80: mended late", percent, true)).toEqual({ kind: "override", share: "0.8", reason: "mended late" });
  expect(readMark("Excused – trip", percent, true)).toEqual({ kind: "excused", share: null, reason: "trip" });
  expect(readMark("MISS never came", points, false)).toEqual({ kind: "missing", share: null, reason: "never came" });
  expect(readMark("80", percent, true)).toEqual({ wrong: expect.stringContaining("80 because") });
  expect(readMark("", percent, true)).toEqual({ kind: "none" });
});

test("what is kept is read again as what it is", () => {
  const kinds = fc.constantFrom("mark", "override", "excused", "missing" as const);
  fc.assert(
    fc.property(kinds, fc.integer({ min: 0, max: 12_000 }), fc.constantFrom("", "was ill"), (kind, n, reason) => {
      const valued = kind === "mark" || kind === "override";
      const mark = { kind, share: valued ? String(n / 10_000) : null, reason: kind === "mark" ? reason : "was ill" };
      expect(readMark(typedMark(mark), points, kind === "override")).toEqual(mark);
    }),
  );
});

test("a scale can be used or says why not", () => {
  expect([percent, points, letters].flatMap(checkScale)).toEqual([]);
  const table = (...rows: [string, string][]): MarkScale => ({
    kind: "letters",
    table: rows.map(([letter, percent]) => ({ letter, percent })),
  });
  expect(checkScale({ kind: "points", of: "many" })).toHaveLength(1);
  expect(checkScale(table(["A", "90"], ["a", "80"]))).toEqual(["A stands twice."]);
  expect(checkScale(table(["A", "120"]))).toEqual([]);
  expect(checkScale(table(["A", "121"]))).toEqual(["A: write its percent, from 0 to 120."]);
  expect(checkScale(table(["A", "good"]))).toHaveLength(1);
  expect(checkScale(table(["1", "90"]))).toEqual(["A letter begins with a letter."]);
});
