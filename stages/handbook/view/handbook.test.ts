import type { FormulaCalculator } from "@/core/handbook/calculator";
import { calculatorOf } from "@/core/handbook/calculators";
import { fieldsOfCalculator, outcomeOf, plotOf } from "@/core/handbook/outcome";
import { formulaPieces } from "./formula";
import { bySubject, changedInputs, comparedResults, handbookHref, inputsAt, type StoredUse, toldUse } from "./handbook";
import { plotView } from "./plot";
import { drawingOf } from "./shape";

const lever = calculatorOf("lever")!;
const use: StoredUse = {
  id: "u",
  calculator: "lever",
  inputs: { F1: "10 lbf", a: "24" },
  units: "us",
  note: "",
  madeBy: "Ada",
  madeAt: "2027-02-01T10:00:00Z",
  version: 1,
  kind: "build",
  targetId: "b",
  target: "Alder G1",
};

test("the address holds what was typed and nothing that stands there anyway, and gives it back", () => {
  const fields = fieldsOfCalculator(lever, "metric");
  const changed = changedInputs(fields, { F1: "50 ± 5", a: "700 mm", b: "150" });
  expect(changed).toEqual({ a: "700 mm" });
  const href = handbookHref("/p/x", "lever", { inputs: { a: "7 ± 1 mm" }, for: "build 1" });
  expect(inputsAt(new URLSearchParams(href.split("?")[1]))).toEqual({ a: "7 ± 1 mm" });
  expect([handbookHref("", ""), new URLSearchParams(href.split("?")[1]).get("for")]).toEqual(["/handbook", "build 1"]);
});

test("a kept calculation is told in the units that it was typed in, with what was left as it stood", () => {
  const told = toldUse("/p/x", use);
  expect([told.name, told.results.map((r) => `${r.name} ${r.text} ${r.unit}`), told.more]).toEqual([
    "Lever",
    ["mechanical advantage 4.064 ", "force at the load 40.64 lbf", "travel of the load 2.906 in"],
    "",
  ]);
  expect(told.inputs).toBe("F1 = 10 lbf, a = 24 in, b = 5.906 in, s1 = 11.81 in");
  expect(told.working!.result).toBe("2.906");
});

test("one of which the calculator is gone, or whose inputs come to nothing any more, says so", () => {
  expect(toldUse("", { ...use, calculator: "gone" })).toMatchObject({ name: "gone", results: [], href: "" });
  expect(toldUse("", { ...use, inputs: { a: "0" } })).toMatchObject({
    more: "It comes to nothing: This is more than 0.",
    working: null,
  });
});

test("two settings beside each other: by how much, or within what is not known", () => {
  const of = (typed: Record<string, string>) => {
    const o = outcomeOf(lever, typed, "metric");
    return o.ok ? o.results : [];
  };
  const rows = comparedResults(of({}), of({ a: "660" }));
  expect(rows.map((r) => [r.symbol, r.first, r.second, r.by])).toEqual([
    ["MA", "4.000", "4.400", "+0.4000, +10 %"],
    ["F2", "200 ± 20", "220 ± 22", "within their ±"],
    ["s2", "75.00", "68.18", "−6.818, −9 %"],
  ]);
  expect(comparedResults(of({}), of({})).map((r) => r.by)).toEqual(["the same", "the same", "the same"]);
});

test("calculators are found by the words of their name, use and subject", () => {
  const names = (words: string) => bySubject(words).flatMap((s) => s.found.map((c) => c.id));
  expect(names("gear train")).toEqual(["gear-train"]);
  expect(names("BETZ")).toEqual([]);
  expect(names("canopy")).toEqual(["canopy-size"]);
  expect(names("").length).toBeGreaterThan(40);
  expect(bySubject("battery").map((s) => s.subject)).toEqual(["electricity"]);
});

test("a picture of a result over an entry: whole axes, the point where it stands, rows as a table", () => {
  const c = lever as FormulaCalculator;
  const typed = { a: "600 mm", F1: "50" };
  const points = plotOf(c, typed, "metric")!;
  expect([points.length, points[0], points.at(-1)!.y.toFixed(3)]).toEqual([60, { x: 150, y: 50 }, "333.333"]);
  const outcome = outcomeOf(c, typed, "metric");
  const v = plotView(c, points, outcome.ok ? outcome : null, typed, "metric");
  expect(v.title).toBe("Force at the load, N");
  expect([v.here, v.xLabel, v.yLabel, v.rows[0]]).toEqual([
    { x: 600, y: 200 },
    "arm from pivot to handle, mm",
    "force at the load, N",
    { x: 150, y: 50 },
  ]);
  expect(plotView(c, points, null, typed, "metric").here).toBeNull();
  expect(plotView(c, points, outcome.ok ? outcome : null, { a: "9 m" }, "metric").here).toBeNull();
  expect(plotOf(calculatorOf("gear-train")!, {}, "metric")).toBeNull();
  expect(plotOf(c, { F1: "-1" }, "metric")).toBeNull();
});

test("a formula is printed as in a book: names with low numbers, powers high, functions upright", () => {
  const told = (f: string) => formulaPieces(f).map((p) => `${p.kind[1]}${p.text}${p.low ? `_${p.low}` : ""}`);
  expect(told("A1 = π × d1^2 ÷ 4")).toEqual(["aA_1", "l = ", "lπ", "l × ", "ad_1", "o2", "l ÷ 4"]);
  expect(told("whole(U)^(1 ÷ 3)")).toEqual(["lwhole", "l(", "aU", "l)", "o1 ÷ 3"]);
  expect(told("η^count(r)")).toEqual(["aη", "onumber of r"]);
  expect(told("sum(R)")).toEqual(["lΣ", "l(", "aR", "l)"]);
});

test("a truss and a part are drawn as typed; what cannot be read is not", () => {
  const truss = drawingOf(
    calculatorOf("truss")!,
    Object.fromEntries(fieldsOfCalculator(calculatorOf("truss")!, "metric").map((f) => [f.symbol, f.value])),
    "metric",
  )!;
  expect(truss.bars.map((b) => [b.way, b.text])).toEqual([
    ["pulled", "20.00"],
    ["pulled", "20.00"],
    ["pressed", "40.00"],
    ["pressed", "36.06"],
    ["pulled", "36.06"],
    ["pulled", "36.06"],
    ["pressed", "36.06"],
  ]);
  // The highest joint stands highest: y goes down on the screen.
  const y = (name: string) => truss.dots.find((d) => d.name === name)!.y;
  expect(y("D")).toBeLessThan(y("A"));
  expect(drawingOf(calculatorOf("truss")!, { joints: "A" }, "metric")).toBeNull();
  const part = drawingOf(calculatorOf("outline")!, { corners: "0 0\n40 0\n0 20" }, "metric")!;
  expect([part.outline.split(" ").length, part.dots[0]!.name]).toEqual([3, "centre"]);
  expect(drawingOf(calculatorOf("outline")!, { corners: "0 0" }, "metric")).toBeNull();
  expect(drawingOf(lever, {}, "metric")).toBeNull();
});
