import { planCutsAtOnce } from "@/core/cutting/plan";
import { piecesAsLines, stockAsLines } from "./cut-lines";
import { cutSheets, exampleCuts, planWords, readCuts, type TypedCuts } from "./cutting";

const typed: TypedCuts = {
  kind: "sheets",
  way: "edge",
  kerf: "2",
  border: "",
  blanks: "Ply; 600 × 400; 1",
  pieces: "Side; 299 × 199; 4; grain\nFoot; 10 × 8 cm",
};
const problem = (more: Partial<TypedCuts> = {}, unit = "mm") => {
  const read = readCuts({ ...typed, ...more }, unit);
  if (!read.ok) throw new Error(read.message);
  return read.problem;
};

test("a list is read as it is typed or pasted, in its unit", () => {
  expect(problem()).toMatchObject({
    kerf: 2e6,
    border: 0,
    blanks: [{ id: "Ply", length: 600e6, width: 400e6, count: 1 }],
    pieces: [
      { id: "Side", length: 299e6, width: 199e6, count: 4, turns: false },
      { id: "Foot", length: 100e6, width: 80e6, count: 1, turns: true },
    ],
  });
  const pasted = problem({ kind: "bars", kerf: "1/8", blanks: "Strip\t96\t", pieces: "Leg\t31 1/2\t6" }, "in");
  expect(pasted).toMatchObject({
    kerf: 3175e3,
    way: "edge",
    blanks: [{ length: 2438.4e6, count: null }],
    pieces: [{ length: 800.1e6, count: 6 }],
  });
});

test.each<[keyof TypedCuts, string, string]>([
  ["kerf", "wide", "Write the width of a cut"],
  ["border", "-3", "Write the border"],
  ["blanks", "", "Write what it is cut from"],
  ["blanks", "Ply", "cannot be read"],
  ["pieces", "Side; 300; 2", "is no size"],
  ["pieces", "Side; 300 × 0; 2", "is no size"],
  ["pieces", "Side; 300 × 200; some", "is no count"],
  ["pieces", "Side; 300 × 200\nside; 3 × 2", "stands in the list twice"],
  ["pieces", "Side; 3 × 2; 501", "at most 500"],
])("%s %j is refused at its field, in words", (field, text, words) => {
  expect(readCuts({ ...typed, [field]: text }, "mm")).toMatchObject({
    ok: false,
    field,
    message: expect.stringContaining(words),
  });
});

test("blanks that are cut alike are drawn once, to scale, with their cuts in order", () => {
  const p = problem({ kind: "bars", kerf: "3", blanks: "Pine; 2400; 1", pieces: "Leg; 798; 6" });
  const plan = planCutsAtOnce(p);
  if (!plan.ok) throw new Error("no plan");
  const sheets = cutSheets(p, plan, "mm");
  expect(sheets.map((s) => [s.often, s.bought, s.cuts, s.length])).toEqual([
    [1, false, ["at 798 mm: Leg", "at 1599 mm: Leg"], 2400],
    [1, true, ["at 798 mm: Leg", "at 1599 mm: Leg"], 2400],
  ]);
  expect(sheets[0]!.places.map((x) => [x.x, x.size])).toEqual([
    [0, "798"],
    [801, "798"],
    [1602, "798"],
  ]);
  expect(planWords(p, plan, "mm")).toEqual([
    "6 pieces from 2 bars, 4.80 m in all.",
    "No plan uses less.",
    "1 of them is more than there are: buy 1.",
  ]);
  const two = planCutsAtOnce({ ...p, blanks: [{ ...p.blanks[0]!, count: null }] });
  if (two.ok) expect(cutSheets(p, two, "mm").map((s) => s.often)).toEqual([2]);
});

test("a plan that is not proven says how much it may be above the least", () => {
  const p = problem({ blanks: "Ply; 600 × 400" });
  const words = planWords(p, { blanks: [], used: 1.05, least: 1, proven: false }, "mm");
  expect(words[1]).toBe("At most 5 % more than any plan must use.");
});

test("every example can be planned", () => {
  for (const unit of ["mm", "in"])
    for (const kind of ["bars", "sheets"] as const) {
      const read = readCuts(exampleCuts({ kind, way: "edge" }, unit), unit);
      if (!read.ok) throw new Error(read.message);
      expect(planCutsAtOnce(read.problem).ok).toBe(true);
    }
});

test("pieces of a build and the stock become lines", () => {
  const pieces = [
    { name: "Side 1", nominal: "0.3" },
    { name: "Felt", nominal: null },
  ];
  expect(piecesAsLines(pieces, "mm")).toBe("Side 1; 300 mm; 1");
  const stock = [
    { name: "Ply; birch", form: "sheets", sizeText: "600 × 400 mm", there: "2.5" },
    { name: "Pine", form: "bars", sizeText: "2400 mm", there: "0.5" },
    { name: "Glue", form: "litres", sizeText: "", there: "3" },
  ];
  expect(stockAsLines(stock as never)).toEqual({ bars: "", sheets: "Ply, birch; 600 × 400 mm; 2" });
});
