// Lateness as a rule and as it is typed, word by word; scales at their bounds.
import { afterLate, checkLateRule } from "./late";
import { checkScale, type MarkScale, readMark, typedMark } from "./mark";

const percent: MarkScale = { kind: "percent" };
const read = (typed: string, computed = false) => readMark(typed, percent, computed);
const letters = (...rows: [letter: string, percent: string][]): MarkScale => ({
  kind: "letters",
  table: rows.map(([letter, p]) => ({ letter, percent: p })),
});

describe("a late rule", () => {
  const rule = { perSession: "10", grace: 1, floor: "50" };
  const [take, grace, floor] = [
    "What is taken off a class session late is a percent above zero.",
    "The grace is a whole number of class sessions.",
    "The floor of what is late is a percent from 0 to 100.",
  ];
  test.each([
    [{}, []],
    [{ perSession: "100", floor: "100" }, []],
    [{ perSession: "12.25" }, []],
    [{ floor: "0" }, []],
    [{ perSession: "100.1" }, [take]],
    [{ perSession: "x10" }, [take]],
    [{ perSession: "10x" }, [take]],
    [{ perSession: "0" }, [take]],
    [{ perSession: "-5" }, [take]],
    [{ floor: "101" }, [floor]],
    [{ floor: "1e1" }, [floor]],
    [{ floor: "" }, [floor]],
    [{ grace: 0 }, []],
    [{ grace: 1.5 }, [grace]],
    [{ grace: -1 }, [grace]],
    [{ perSession: "", grace: Number.NaN, floor: "no" }, [take, grace, floor]],
  ])("%j says %j", (over, says) => {
    expect(checkLateRule({ ...rule, ...over })).toEqual(says);
  });
  test("one class session late is one, within the grace nothing is taken", () => {
    expect(afterLate("0.8", 1, rule).step).toBe("1 class session late, 1 of grace: nothing is taken off");
    expect(afterLate("0.8", 2, { ...rule, grace: 0 })).toEqual({
      share: "0.6",
      step: "2 class sessions late: 80 − 2 × 10 = 60 %",
    });
  });
  test("the floor holds, and what was earned below it stays", () => {
    expect(afterLate("0.8", 9, rule)).toEqual({
      share: "0.5",
      step: "9 class sessions late, 1 of grace: 80 − 8 × 10 = 0 %, but not below 50 %",
    });
    expect(afterLate("0.3", 3, rule).step).toBe(
      "3 class sessions late, 1 of grace: 30 − 2 × 10 = 10 %, but what was earned lies below the floor and stays",
    );
    expect(afterLate("0.7", 3, rule).step).toBe("3 class sessions late, 1 of grace: 70 − 2 × 10 = 50 %");
  });
});

describe("late as it is typed", () => {
  test.each([
    ["85 late 2", 2, ""],
    ["85, late 2", 2, ""],
    ["85late 2", null, null],
    ["85 % late 12 glue", 12, "glue"],
    ["17 of 20late 3", 3, ""],
    ["85  late  3 : paint", 3, "paint"],
    ["85 LATE 1", 1, ""],
    ["85 late 0 neat", undefined, "neat"],
    ["85 neat, was late 2 days", undefined, "neat, was late 2 days"],
    ["85 lateral bracing", undefined, "lateral bracing"],
  ])("%s", (typed, late, reason) => {
    const mark = read(typed);
    if (late === null) return expect("wrong" in mark).toBe(true);
    expect(mark).toEqual({ kind: "mark", share: "0.85", reason, ...(late && { late }) });
  });
  test.each(["85 late", "85, late: paint", "85 late 2x", "85 late 123", "85 late x"])(
    "%s asks by how many",
    (typed) => {
      expect(read(typed)).toEqual({ wrong: "Late by how many class sessions? Write for example 85 late 2." });
    },
  );
  test("what is set by hand is not late: the words are its reason", () => {
    expect(read("85 late 2 because", true)).toEqual({ kind: "override", share: "0.85", reason: "late 2 because" });
    expect(read("85 late", true)).toEqual({ kind: "override", share: "0.85", reason: "late" });
  });
  test("what nobody typed is written so that it reads the same", () => {
    expect(typedMark({ kind: "mark", share: "0.8", reason: "" })).toBe("80 %");
    expect(typedMark({ kind: "mark", share: "0.8", reason: "", late: 2 })).toBe("80 % late 2");
    expect(typedMark({ kind: "missing", share: null, reason: "gone" })).toBe("miss gone");
  });
});

describe("marks and scales at their edges", () => {
  test("of two letters that fit the longer is meant, whichever stands first; what follows it is the remark", () => {
    for (const rows of [
      [
        ["A", "95"],
        ["A B", "70"],
      ],
      [
        ["A B", "70"],
        ["A", "95"],
      ],
    ] as [string, string][][])
      expect(readMark("a b neat", letters(...rows), false)).toEqual({ kind: "mark", share: "0.7", reason: "neat" });
  });
  test("a remark is told without what joins it, and only that", () => {
    expect(read(" 85 :– neat; very  ")).toEqual({ kind: "mark", share: "0.85", reason: "neat; very" });
    expect(read("17/20 - ok")).toEqual({ kind: "mark", share: "0.85", reason: "ok" });
    expect("wrong" in read("complex")).toBe(true);
  });
  test("what is no mark is told in its first twenty letters, with an example on the scale", () => {
    const wrong = (typed: string, scale: MarkScale) => (readMark(typed, scale, false) as { wrong: string }).wrong;
    expect(wrong("abcdefghijklmnopqrstuvwxyz", percent)).toBe(
      "“abcdefghijklmnopqrst” is no mark. Write 85, ex or miss with the reason.",
    );
    expect(wrong("soon", { kind: "points", of: "20" })).toContain("Write 20 or 85 %, ex");
    expect(wrong("soon", letters())).toContain("Write 85 %, ex");
  });
  test.each<[MarkScale, string[]]>([
    [{ kind: "points", of: "0.5" }, []],
    [{ kind: "points", of: "0" }, ["Of how many points is a mark? Write a number above zero."]],
    [letters(), ["Write at least one letter with its percent."]],
    [letters(["A", "120"], ["B", "80.25"]), []],
    [letters(["A", "120.1"]), ["A: write its percent, from 0 to 120."]],
    [letters(["A", "x90"]), ["A: write its percent, from 0 to 120."]],
    [letters(["A", "90x"]), ["A: write its percent, from 0 to 120."]],
    [letters(["a", "90"], ["A", "80"]), ["A stands twice."]],
    [letters(["A", "90"], ["1b", "80"]), ["A letter begins with a letter."]],
  ])("%j says %j", (scale, says) => {
    expect(checkScale(scale)).toEqual(says);
  });
});
