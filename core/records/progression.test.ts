import fc from "fast-check";
import { bestOfEach, recordSteps } from "./progression";

const r = (id: string, value: number, at: string) => ({ id, value, at });

test("a record is strictly better than all before it, and knows what it beat and until when it stood", () => {
  const steps = recordSteps([r("c", 9.3, "3"), r("a", 8.1, "1"), r("b", 8.1, "2"), r("d", 9.5, "4")], "more");
  expect(steps.map((s) => [s.id, s.by === null ? null : Number(s.by.toFixed(6)), s.until])).toEqual([
    ["a", null, "3"],
    ["c", 1.2, "4"],
    ["d", 0.2, null],
  ]);
  expect(recordSteps([], "less")).toEqual([]);
});

test("where less is better the smaller wins; of one moment the best; within the resolution nothing is new", () => {
  expect(recordSteps([r("a", 12, "1"), r("b", 11, "1"), r("c", 10, "2")], "less").map((s) => s.id)).toEqual(["b", "c"]);
  const close = [r("a", 10, "1"), r("b", 10.05, "2"), r("c", 10.1, "3")];
  expect(recordSteps(close, "more", 0.1).map((s) => s.id)).toEqual(["a", "c"]);
  expect(recordSteps(close, "more").map((s) => s.id)).toEqual(["a", "b", "c"]);
});

test("the best of each group, and the last record is the best of all", () => {
  const values = fc.array(
    fc.record({ id: fc.uuid(), value: fc.integer({ min: -9, max: 9 }), at: fc.constantFrom("1", "2", "3", "4") }),
    { minLength: 1 },
  );
  fc.assert(
    fc.property(values, fc.constantFrom("more" as const, "less" as const), (list, better) => {
      const top = (better === "more" ? Math.max : Math.min)(...list.map((x) => x.value));
      const steps = recordSteps(list, better);
      expect(steps.at(-1)!.value).toBe(top);
      expect(bestOfEach(list, better, () => "all")).toMatchObject([{ best: { value: top } }]);
      for (const [i, s] of steps.entries()) if (i) expect(s.by).toBeGreaterThan(0);
      expect(bestOfEach(list, better, (x) => x.at).length).toBe(new Set(list.map((x) => x.at)).size);
    }),
  );
  const tie = [r("b", 5, "2"), r("a", 5, "1")];
  expect(bestOfEach(tie, "more", () => "all")[0]!.best.id).toBe("a");
});
