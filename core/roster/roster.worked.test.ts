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
      { line: 4, message: expect.stringMatching(/^Ada Quill stands already in line 2\. .* give each an email/) },
    ]);
  });
  test("10,000 rows are refused with the limit named", () =>
    expect(
      readRoster([["name"], ...Array.from({ length: 10_000 }, (_, i) => [`S ${i}`])], ["3"]).problems[0]!.message,
    ).toContain("at most 2000"));
});

test("two of one name in one section are two students where each has an email of their own", () => {
  const twins = (a: string, b: string) =>
    readRoster(
      [
        ["Name", "Section", "Email"],
        ["Ada Quill", "3", a],
        ["ada quill", "3", b],
      ],
      ["3"],
    );
  expect(twins("a@x.org", "b@x.org").rows).toHaveLength(2);
  expect(twins("a@x.org", "").problems.map((p) => p.line)).toEqual([3]);
  expect(twins("a@x.org", "A@x.org").problems[0]!.message).toBe("a@x.org stands already in line 2.");
});
