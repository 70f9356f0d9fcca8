import { readRoster } from "./roster";

describe("roster", () => {
  test("row errors are named, nothing is guessed", () => {
    const r = readRoster(
      [
        ["First name", "Last name", "Class"],
        ["Ada", "Quill", "3"],
        ["Ben", "", "9"],
        ["Ada", "Quill", "3"],
        ["", "", ""],
      ],
      ["3", "5"],
    );
    expect(r.rows).toHaveLength(1);
    expect(r.problems).toEqual([
      { line: 3, message: "There is no section “9”. Sections: 3, 5." },
      { line: 4, message: "Ada Quill stands already in line 2." },
    ]);
  });
  test("10,000 rows are refused with the limit named", () =>
    expect(
      readRoster([["name"], ...Array.from({ length: 10_000 }, (_, i) => [`S ${i}`])], ["3"]).problems[0]!.message,
    ).toContain("at most 2000"));
});
