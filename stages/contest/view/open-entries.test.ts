import type { ContestEvent } from "../queries/events";
import { openEntries } from "./open-entries";

const field = (n: number) =>
  ({
    definition: { policy: { n: 3 } },
    entries: Array.from({ length: n }, (_, i) => ({
      id: `e${i + 1}`,
      team: `Team ${i + 1}`,
      runOrder: i + 1,
      taken: i < 2 ? 1 : 0,
      inspection: "passed",
    })),
  }) as unknown as ContestEvent;

test("of a small field every entry stands open", () => {
  expect(openEntries(field(10))).toBeUndefined();
});

test("of a large one those who are next; the others unfold", () => {
  expect(openEntries(field(11))).toEqual(["e3", "e4", "e5", "e6"]);
});
