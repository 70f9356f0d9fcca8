import fc from "fast-check";
import { cutProblem } from "@/core/testing/cut-problems";
import { cutSteps } from "./cuts";
import { planCutsAtOnce } from "./plan";
import type { CutBlank, CutPlace, CutProblem } from "./problem";

const mm = 1e6;

/** What is wrong with a plan: pieces that lie beyond the border, too near to each other, or too often or too seldom. */
function faults(p: CutProblem, blanks: readonly CutBlank[]): string[] {
  const wrong: string[] = [];
  const apart = (a: CutPlace, b: CutPlace) =>
    a.x + a.length + p.kerf <= b.x ||
    b.x + b.length + p.kerf <= a.x ||
    (p.kind === "sheets" && (a.y + a.width + p.kerf <= b.y || b.y + b.width + p.kerf <= a.y));
  for (const b of blanks) {
    const blank = p.blanks.find((x) => x.id === b.blank)!;
    for (const [i, a] of b.places.entries()) {
      if (a.x < p.border || a.x + a.length > blank.length - p.border) wrong.push(`${a.piece} beyond the end`);
      if (p.kind === "sheets" && (a.y < p.border || a.y + a.width > blank.width - p.border))
        wrong.push(`${a.piece} beyond the edge`);
      for (const c of b.places.slice(i + 1)) if (!apart(a, c)) wrong.push(`${a.piece} and ${c.piece} meet`);
      const piece = p.pieces.find((x) => x.id === a.piece)!;
      const sides = a.turned ? [piece.width, piece.length] : [piece.length, piece.width];
      if (a.length !== sides[0] || a.width !== sides[1] || (a.turned && !piece.turns))
        wrong.push(`${a.piece} lies wrong`);
    }
  }
  for (const w of p.pieces) {
    const often = blanks.flatMap((b) => b.places).filter((x) => x.piece === w.id).length;
    if (often !== w.count) wrong.push(`${w.id} ${often} times`);
  }
  for (const b of p.blanks) {
    const there = blanks.filter((x) => x.blank === b.id && !x.bought).length;
    if (b.count !== null && there > b.count) wrong.push(`${b.id} ${there} times`);
  }
  return wrong;
}

const problems = fc.record({
  seed: fc.string({ minLength: 1, maxLength: 6 }),
  kind: fc.constantFrom("bars" as const, "sheets" as const),
  way: fc.constantFrom("edge" as const, "free" as const),
  pieces: fc.integer({ min: 1, max: 14 }),
  blanks: fc.integer({ min: 1, max: 3 }),
  big: fc.constantFrom(0.3, 0.6, 0.95),
});

test("every piece lies once, within the borders, a cut apart; a sheet from edge to edge can be cut so", () => {
  fc.assert(
    fc.property(problems, fc.integer({ min: 0, max: 3 }), (drawn, few) => {
      const made = cutProblem(drawn);
      const p = { ...made, blanks: made.blanks.map((b, k) => ({ ...b, count: k ? few : null })) };
      const plan = planCutsAtOnce(p);
      if (!plan.ok) return expect(plan.pieces.length).toBeGreaterThan(0);
      expect(faults(p, plan.blanks)).toEqual([]);
      expect(plan.least).toBeLessThanOrEqual(plan.used * (1 + 1e-9));
      expect(planCutsAtOnce(p)).toEqual(plan);
      for (const b of plan.blanks) {
        const steps = cutSteps(p, b);
        if (p.kind === "bars" || p.way === "edge") expect(steps).not.toBeNull();
      }
    }),
    { numRuns: process.env.IRONSTONE_PROOFS === "all" ? 40 : 8 },
  );
});

const bars: CutProblem = {
  kind: "bars",
  way: "edge",
  kerf: 3 * mm,
  border: 0,
  blanks: [{ id: "pine", length: 2400 * mm, width: 44 * mm, count: null }],
  pieces: [
    { id: "leg", length: 798 * mm, width: 44 * mm, count: 6, turns: false },
    { id: "rail", length: 597.75 * mm, width: 44 * mm, count: 4, turns: false },
  ],
};

test("the last cut may fall on the end, the others take their width", () => {
  // Three legs and two cuts are 2400; four rails and three cuts are 2400.
  const plan = planCutsAtOnce(bars);
  expect(plan).toMatchObject({ ok: true, used: 7.2, least: 7.2, proven: true });
  const wider = planCutsAtOnce({ ...bars, kerf: 3.1 * mm });
  expect(wider).toMatchObject({ ok: true, used: 9.6, proven: true });
});

test("what is there comes first; beyond it the plan says what is to be bought", () => {
  const plan = planCutsAtOnce({
    ...bars,
    blanks: [
      { id: "pine", length: 2400 * mm, width: 44 * mm, count: 2 },
      { id: "offcut", length: 800 * mm, width: 44 * mm, count: 1 },
    ],
  });
  if (!plan.ok) throw new Error("no plan");
  // Six legs fill the two bars; one bar more for the rails is less than the three offcuts that they would take.
  expect(plan.blanks.map((b) => [b.blank, b.bought, b.places.length])).toEqual(
    expect.arrayContaining([
      ["pine", false, 3],
      ["pine", false, 3],
      ["pine", true, 4],
    ]),
  );
  expect(plan.blanks).toHaveLength(3);
});

test("a piece that no blank holds is named, and nothing is planned", () => {
  const long = { id: "mast", length: 2401 * mm, width: 44 * mm, count: 1, turns: false };
  expect(planCutsAtOnce({ ...bars, pieces: [...bars.pieces, long] })).toEqual({ ok: false, pieces: ["mast"] });
  // Turned it would go on; its grain forbids it.
  const sheet = { id: "ply", length: 600 * mm, width: 300 * mm, count: null };
  const tall = { id: "side", length: 280 * mm, width: 500 * mm, count: 1, turns: false };
  const p: CutProblem = { kind: "sheets", way: "free", kerf: 0, border: 0, blanks: [sheet], pieces: [tall] };
  expect(planCutsAtOnce(p)).toEqual({ ok: false, pieces: ["side"] });
  expect(planCutsAtOnce({ ...p, pieces: [{ ...tall, turns: true }] })).toMatchObject({ ok: true, used: 0.18 });
});

test("nothing to cut uses nothing", () => {
  expect(planCutsAtOnce({ ...bars, pieces: [] })).toEqual({ ok: true, blanks: [], used: 0, least: 0, proven: true });
});

test("the cuts of a bar and of a sheet, in their order", () => {
  const plan = planCutsAtOnce({ ...bars, pieces: [bars.pieces[0]!] });
  if (!plan.ok) throw new Error("no plan");
  expect(cutSteps(bars, plan.blanks[0]!)).toEqual([
    { along: false, at: 798 * mm, gives: ["leg"] },
    { along: false, at: 1599 * mm, gives: ["leg"] },
  ]);
  const sheet = {
    blank: "ply",
    left: 0,
    bought: false,
    places: [
      { piece: "base", x: 0, y: 0, length: 300 * mm, width: 200 * mm, turned: false },
      { piece: "side", x: 301 * mm, y: 0, length: 299 * mm, width: 100 * mm, turned: false },
      { piece: "lid", x: 301 * mm, y: 101 * mm, length: 299 * mm, width: 99 * mm, turned: false },
    ],
  };
  const p: CutProblem = {
    ...bars,
    kind: "sheets",
    kerf: mm,
    blanks: [{ id: "ply", length: 600 * mm, width: 200 * mm, count: null }],
  };
  expect(cutSteps(p, sheet)).toEqual([
    { along: false, at: 300 * mm, gives: ["base"] },
    { along: true, at: 100 * mm, gives: ["side"] },
  ]);
  // A pinwheel can be cut by no cut from edge to edge.
  const wheel = [
    [0, 0, 400, 100],
    [401, 0, 100, 300],
    [101, 301, 400, 100],
    [0, 101, 100, 300],
    [101, 101, 299, 199],
  ].map(([x, y, length, width], i) => ({
    piece: `${i}`,
    x: x! * mm,
    y: y! * mm,
    length: length! * mm,
    width: width! * mm,
    turned: false,
  }));
  expect(cutSteps(p, { ...sheet, places: wheel })).toBeNull();
});
