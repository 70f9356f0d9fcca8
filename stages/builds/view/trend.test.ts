import { trendView } from "./trend";

const row = (team: string, ...values: number[]) => ({ team, trend: values.map((value) => ({ value })) });
const room = { height: 240, above: 10, below: 30 };

test("the curves step by step; names of curves that end together stand apart, in the order of their ends", () => {
  const view = trendView({ limit: 5, rows: [row("Alder", 4, 4.5), row("Birch", 3), row("Cedar", 4.1, 4.52)] }, room);
  expect(view.points).toEqual([
    { step: "generation 1", Alder: 4, Birch: 3, Cedar: 4.1 },
    { step: "generation 2", Alder: 4.5, Birch: null, Cedar: 4.52 },
  ]);
  const [alder, birch, cedar] = view.names as [number, number, number];
  expect(alder - cedar).toBeCloseTo(13);
  expect(birch).toBeGreaterThan(alder);
  expect(view.axis.ticks.at(-1)).toBeGreaterThanOrEqual(5);
});

test("without a value there is an axis about the limit and no point", () => {
  expect(trendView({ limit: 5, rows: [row("Alder")] }, room)).toMatchObject({ points: [], names: [0] });
});
