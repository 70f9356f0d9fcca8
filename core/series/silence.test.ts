import { silences } from "./silence";

test("a silence stands out from what usually lies between two samples", () => {
  const t = Array.from(
    { length: 200 },
    (_, i) => i / 50 + (i >= 60 ? 3 : 0) + (i >= 120 ? 0.19 : 0) + (i > 150 ? 9 : 0),
  );
  expect(silences(t).map((s) => Number((s.to - s.from).toFixed(2)))).toEqual([9.02, 3.02, 0.21]);
  expect(silences(t.slice(0, 60))).toEqual([]);
  expect([silences([]), silences([1]), silences([1, 2])]).toEqual([[], [], []]);
  const ticks = Array.from({ length: 100 }, (_, i) => Math.floor(i / 10) * 100 + (i % 10));
  expect(silences(ticks)).toHaveLength(5);
});
