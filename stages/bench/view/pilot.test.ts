import { definition } from "@/stages/testing/definition";
import { aProtocol } from "@/stages/testing/rows";
import type { StoredRun } from "../queries/runs";
import { pilotView } from "./pilot";

const run = (attempt: number, h: string, m: string, more: Partial<StoredRun> = {}) =>
  ({
    id: `r${attempt}`,
    attempt,
    state: "valid",
    reason: null,
    readings: { m },
    conditions: { h },
    ...more,
  }) as StoredRun;

test("each run with what its conditions were, and what they say together", () => {
  const view = pilotView(aProtocol(definition), [
    run(1, "1.60", "8"),
    run(2, "1.63", "8.3"),
    run(3, "1.61", "8.1"),
    run(4, "1.62", "8.2"),
    run(6, "1.60", "8", { state: "void", reason: "spilt" }),
  ]);
  expect(view.next).toBe(7);
  expect(view.rows.map((r) => r.words)).toEqual([
    "",
    "Lift 1.63 m, outside 1.59 to 1.61 m",
    "",
    "Lift 1.62 m, outside 1.59 to 1.61 m",
    "set aside",
  ]);
  expect(view.conditions[0]).toMatchObject({
    range: "1.600 to 1.630",
    shownSd: "0.013",
    shownShare: "258 %",
    outside: 2,
    link: "goes closely with the result (r 1.00)",
  });
});

test("before the first run there is nothing to say but what to do", () => {
  const view = pilotView(aProtocol(definition), []);
  expect([view.next, view.conditions]).toEqual([1, []]);
  expect(view.sentence).toContain("measure them");
});
