import { around, atOnePlace, type FittingStep, fittedParts, withinSides } from "@/core/records/guide";
import type { PartRow } from "@/stages/builds/queries/parts";
import type { GuideRow, StepRow } from "../queries/kept";

type Place = readonly [number, number, number];

const placeOf = (s: Pick<StepRow, "at">): Place | null => {
  const [x, y, z] = (s.at ?? []).map(Number);
  return x === undefined || y === undefined || z === undefined ? null : [x, y, z];
};

/** What is wrong with a guide before somebody builds from it: parts left over, two things in one place. */
export function guideFaults({
  guide,
  steps,
  parts,
}: {
  readonly guide: Pick<GuideRow, "sides">;
  readonly steps: readonly StepRow[];
  readonly parts: readonly PartRow[];
}) {
  const fitting: FittingStep[] = steps.map((s) => ({ partId: s.partId, count: s.count, at: placeOf(s) }));
  const placed = fitting.flatMap((s) => (s.at ? [s.at] : []));
  const fitted = fittedParts(
    parts.map((p) => ({ id: p.id as string, name: p.name, count: p.count })),
    fitting,
  );
  const [a, b, c] = (guide.sides ?? []).map(Number);
  const outside = a !== undefined && b !== undefined && c !== undefined && !withinSides(placed, [a, b, c]);
  return {
    fitted,
    says: [
      ...fitted.filter((p) => p.left > 0).map((p) => `${p.left} × ${p.name} of the parts list is fitted by no step.`),
      ...fitted
        .filter((p) => p.left < 0)
        .map((p) => `${p.name} is fitted ${p.fitted} times, and the parts list has ${p.count}.`),
      ...atOnePlace(
        fitting.map((s) => s.at),
        0.0005,
      ).map(([i, k]) => `Steps ${i + 1} and ${k + 1} are at the same place.`),
      ...(outside ? ["The places are further apart than the build is large."] : []),
    ],
  };
}

/** Where the steps put things, seen from above, for a drawing as wide as 100; null where no step has a place. */
export function planOf(steps: readonly StepRow[]) {
  const placed = steps.flatMap((s, i) => {
    const at = placeOf(s);
    return at ? [{ number: i + 1, at }] : [];
  });
  const box = around(placed.map((p) => p.at));
  if (!box) return null;
  const margin = 9;
  const long = Math.max(box.sides[0], box.sides[1]) || 1;
  const scale = (100 - 2 * margin) / long;
  const width = box.sides[0] * scale + 2 * margin;
  const height = box.sides[1] * scale + 2 * margin;
  const marks = new Map<string, { x: number; y: number; numbers: number[] }>();
  for (const { number, at } of placed) {
    const x = margin + (at[0] - box.least[0]) * scale;
    // y goes away from who looks, up on the paper.
    const y = height - margin - (at[1] - box.least[1]) * scale;
    const key = `${x.toFixed(1)} ${y.toFixed(1)}`;
    const mark = marks.get(key) ?? { x, y, numbers: [] };
    mark.numbers.push(number);
    marks.set(key, mark);
  }
  const datum = { x: margin - box.least[0] * scale, y: height - margin + box.least[1] * scale };
  const inside = datum.x >= 0 && datum.x <= width && datum.y >= 0 && datum.y <= height;
  return { width, height, marks: [...marks.values()], datum: inside ? datum : null };
}

/** Cautions as they are listed: one a line. */
export const cautionLines = (text: string): string[] =>
  text
    .split("\n")
    .map((l) => l.trim())
    .filter(Boolean);
