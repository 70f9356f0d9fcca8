import { coreLog } from "./corelog";

describe("core log", () => {
  test("a week without a record after the first build is a gap; weeks before it are not", () => {
    const weeks = [1, 2, 3, 4, 5].map((number) => ({ number, monday: "" }));
    const cells = coreLog(
      {
        from: "2027-01-18",
        today: "2027-02-11",
        weeks,
        teams: [{ id: "a" }],
        builds: [{ team: "a", date: "2027-01-26", label: "G1" }],
        runs: [],
        reviews: [],
        checks: [],
      },
      "more",
    ).get("a")!;
    expect(cells.map((c) => c.gap)).toEqual([false, false, true, true, false]);
  });
});
