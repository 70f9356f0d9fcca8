import { type ResultNote, resultVersions } from "./versions";

const confirm = (at: string, ...result: object[]): ResultNote => ({
  at,
  by: "Mara",
  act: "confirmEvent",
  result: result as never,
  reason: null,
});
const reopen = (reason: string): ResultNote => ({ at: "", by: "Mara", act: "reopenEvent", result: null, reason });
const place = (team: string, at: number | null, counted: string | null) => ({ team, place: at, counted });

test("a result that was confirmed once has one version, and nothing that it changed", () => {
  expect(resultVersions([confirm("10:00", place("Alder", 1, "8.4"))])).toEqual([
    { number: 1, at: "10:00", by: "Mara", reason: "", changed: [] },
  ]);
  expect(resultVersions([])).toEqual([]);
});

test("each later version names why it was opened and what is otherwise, team by team", () => {
  const versions = resultVersions([
    confirm("10:00", place("Alder", 1, "8.4"), place("Gully", 2, "8.1"), place("Weir", 3, "7")),
    reopen("A scale was read wrongly"),
    confirm("11:00", place("Gully", 1, "8.9"), place("Alder", 2, "8.4"), place("Brook", null, null)),
    reopen("Looked at once more"),
    confirm("12:00", place("Gully", 1, "8.9"), place("Alder", 2, "8.4"), place("Brook", null, null)),
  ]);
  expect(versions.map((v) => [v.number, v.reason, v.changed])).toEqual([
    [3, "Looked at once more", []],
    [
      2,
      "A scale was read wrongly",
      [
        "Alder: place 1 → 2",
        "Gully: place 2 → 1, counted 8.1 → 8.9",
        "Weir is not in it any more, before place 3",
        "Brook is new, place –",
      ],
    ],
    [1, "", []],
  ]);
});
