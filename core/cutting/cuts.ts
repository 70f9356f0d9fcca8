import type { CutBlank, CutPlace, CutProblem, Nanometres } from "./problem";

/** A cut from edge to edge of what is left then. */
export interface CutStep {
  /** Along the blank's length; else across it. */
  readonly along: boolean;
  /** Where the kept side ends, from the blank's corner. */
  readonly at: Nanometres;
  /** Pieces that come off whole with this cut. */
  readonly gives: readonly string[];
}

interface Part {
  readonly at: Nanometres;
  readonly low: readonly CutPlace[];
  readonly high: readonly CutPlace[];
}

/** The first cut that parts the pieces along an axis, beside the one nearest to the corner. */
function partAt(places: readonly CutPlace[], kerf: number, from: "x" | "y", side: "length" | "width"): Part | null {
  const ends = [...new Set(places.map((p) => p[from] + p[side]))].sort((a, b) => a - b);
  for (const at of ends) {
    const low = places.filter((p) => p[from] + p[side] <= at);
    const high = places.filter((p) => p[from] + p[side] > at);
    if (high.length && high.every((p) => p[from] >= at + kerf)) return { at, low, high };
  }
  return null;
}

/**
 * The cuts of a blank in their order, each from edge to edge of what is left then; null where its pieces cannot be cut
 * so. Cuts along the borders and at the far ends are not counted: they part pieces from what is left over.
 * @example
 * cutSteps({ kerf: 1 }, { blank: "b", left: 0, bought: false, places: [
 *   { piece: "leg", x: 0, y: 0, length: 9, width: 1, turned: false },
 *   { piece: "rail", x: 10, y: 0, length: 5, width: 1, turned: false },
 * ] })
 * // => [{ along: false, at: 9, gives: ["leg"] }]
 */
export function cutSteps({ kerf }: Pick<CutProblem, "kerf">, blank: CutBlank): CutStep[] | null {
  const steps: CutStep[] = [];
  const cut = (places: readonly CutPlace[]): boolean => {
    if (places.length < 2) return true;
    const across = partAt(places, kerf, "x", "length");
    const along = partAt(places, kerf, "y", "width");
    const first = across ?? along;
    if (!first) return false;
    steps.push({ along: !across, at: first.at, gives: first.low.length === 1 ? [first.low[0]!.piece] : [] });
    return cut(first.low) && cut(first.high);
  };
  return cut(blank.places) ? steps : null;
}
