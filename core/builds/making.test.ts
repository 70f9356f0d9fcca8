import fc from "fast-check";
import { pieceStep } from "../vocabulary/builds";
import { redo } from "../working/redo";
import { type ChainPiece, keptStep, type Making, missingBeforeCut, refusedStep, stackUp } from "./making";

const piece = (more: Partial<Making> = {}): Making => ({
  oneChance: true,
  material: "3 mm plywood",
  steps: {},
  ...more,
});

test("a piece of one chance is cut when all was seen to, by two people", () => {
  const steps = { drawn: "ana", checked: "ben", trial: "ana", released: "mara" };
  expect(missingBeforeCut(piece({ steps }))).toEqual([]);
  expect(missingBeforeCut(piece({ steps, material: " " }))).toEqual(["Its sheet or stock is not chosen yet."]);
  expect(missingBeforeCut(piece({ steps: { ...steps, checked: "ana" } }))[0]).toContain("Somebody else");
  expect(missingBeforeCut(piece())).toHaveLength(4);
  for (const step of ["drawn", "checked", "trial", "released"] as const)
    expect(missingBeforeCut(piece({ steps: { ...steps, [step]: undefined } }))).not.toEqual([]);
});

test("steps go in their order where it matters, and what was cut keeps its checks", () => {
  expect(refusedStep("checked", piece())).toEqual(["It is not drawn yet."]);
  expect(refusedStep("trial", piece())).toEqual([]);
  expect(refusedStep("cut", piece({ oneChance: false }))).toEqual([]);
  expect(refusedStep("released", piece({ oneChance: false, steps: { drawn: "a", checked: "b" } }))).toEqual([
    "No trial in cheap material was seen yet.",
  ]);
  expect(refusedStep("released", piece({ steps: { drawn: "a", checked: "b", trial: "a" } }))).toEqual([]);
  expect(refusedStep("fitted", piece({ steps: { cut: "a" } }))).toEqual([]);
  const cut = piece({ steps: { drawn: "a", checked: "b", cut: "a" } });
  expect(pieceStep.values.filter((s) => keptStep(s, cut).length)).toEqual(["drawn", "checked", "trial", "released"]);
  expect(keptStep("drawn", { ...cut, oneChance: false })).toEqual([]);
  expect(keptStep("cut", { ...cut, steps: { ...cut.steps, fitted: "a" } })).toEqual([
    "It is fitted already: take that back first.",
  ]);
});

const chain = (...rows: [string, string | null, string | null][]): ChainPiece[] =>
  rows.map(([nominal, tolerance, measured], i) => ({ name: `P${i + 1}`, nominal, tolerance, measured }));

test("inside what is likely nothing is corrected; outside the furthest piece is, by no more than needed", () => {
  const right = stackUp(chain(["0.1", "0.0003", "0.1004"], ["0.1", "0.0004", "0.1001"]), "mm").value;
  expect(right).toMatchObject({ deviation: "0.0005", likely: "0.0005", corrections: [] });
  const off = stackUp(chain(["0.1", "0.0003", "0.1012"], ["0.1", "0.0004", "0.0998"], ["0.05", null, null]), "mm");
  expect(off.value).toMatchObject({
    deviation: "0.001",
    corrections: [{ name: "P1", by: "-0.001" }],
    unmeasured: ["P3"],
  });
  expect(off.working.steps).toEqual(["1.2 + (−0.2) = 1.00"]);
  expect(off.working.warnings).toEqual(["Not measured, so taken as they should be: P3."]);
  const short = stackUp(chain(["0.1", "0", "0.0994"], ["0.1", "0", "0.0999"]), "mm").value;
  expect(short.corrections).toEqual([
    { name: "P1", by: "0.0006" },
    { name: "P2", by: "0.0001" },
  ]);
  expect(stackUp(chain(["0.1", null, null]), "mm").working.steps).toEqual([]);
});

test("the corrections bring a chain to its length, whatever it is", () => {
  const length = fc.integer({ min: 1000, max: 100_000 });
  const row = fc.tuple(length, fc.integer({ min: 0, max: 20 }), fc.option(fc.integer({ min: -50, max: 50 })));
  const metres = (hundredths: number) => (hundredths / 1e5).toFixed(5);
  fc.assert(
    fc.property(fc.array(row, { minLength: 1, maxLength: 8 }), (rows) => {
      const pieces = chain(
        ...rows.map(([n, tol, off]): [string, string, string | null] => [
          metres(n),
          metres(tol),
          off === null ? null : metres(n + off),
        ]),
      );
      const { value, working } = stackUp(pieces, "mm");
      const corrected = value.corrections.reduce((s, c) => s + Number(c.by), Number(value.deviation));
      if (value.corrections.length) expect(Math.abs(corrected)).toBeLessThan(1e-9);
      else expect(Math.abs(Number(value.deviation))).toBeLessThanOrEqual(Number(value.likely) + 1e-12);
      expect(Number(value.likely)).toBeLessThanOrEqual(Number(value.worst) + 1e-12);
      for (const step of working.steps) {
        const [left, right] = step.split(" = ");
        expect(Math.abs(Number(redo(left!)) - Number(redo(right!)))).toBeLessThan(0.0051);
      }
    }),
  );
});
