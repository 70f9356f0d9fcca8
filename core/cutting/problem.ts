import type { CutKind, CutWay } from "@/core/vocabulary/shop";

/** Lengths here are whole nanometres: inches and their binary fractions are whole too, so that nothing is rounded. */
export type Nanometres = number;

/**
 * A length of so many metres in whole nanometres.
 * @example nanometres("0.0015875") // => 1587500
 */
export const nanometres = (metres: string | number): Nanometres => Math.round(Number(metres) * 1e9);

/** What pieces are cut from: a bar has a length, a sheet a width too. */
export interface Blank {
  readonly id: string;
  readonly length: Nanometres;
  readonly width: Nanometres;
  /** How many there are; null for as many as are needed. Beyond them some are to be bought. */
  readonly count: number | null;
}

/** A piece that is wanted so often. */
export interface Wanted {
  readonly id: string;
  readonly length: Nanometres;
  readonly width: Nanometres;
  readonly count: number;
  /** Whether it may lie the other way round; grain and print forbid it. */
  readonly turns: boolean;
}

export interface CutProblem {
  /** Bars are cut across; sheets in two directions. */
  readonly kind: CutKind;
  readonly blanks: readonly Blank[];
  readonly pieces: readonly Wanted[];
  /** The width that a cut takes away. */
  readonly kerf: Nanometres;
  /** What is left uncut along each edge of a sheet and at each end of a bar. */
  readonly border: Nanometres;
  /** How a sheet is cut; bars are cut from edge to edge always. */
  readonly way: CutWay;
}

/** A piece where it is cut from a blank, from the blank's corner. */
export interface CutPlace {
  readonly piece: string;
  readonly x: Nanometres;
  readonly y: Nanometres;
  /** Along the blank's length and across it, as it lies. */
  readonly length: Nanometres;
  readonly width: Nanometres;
  readonly turned: boolean;
}

export interface CutBlank {
  readonly blank: string;
  readonly places: readonly CutPlace[];
  /** The share of the blank that is no piece: left over, kerf and border. */
  readonly left: number;
  /** Whether it goes beyond what there is. */
  readonly bought: boolean;
}

export interface CutPlan {
  readonly blanks: readonly CutBlank[];
  /** Length of the bars, or area of the sheets, that are used: in metres or square metres. */
  readonly used: number;
  /** No plan uses less than this; the plan is proven where the two agree. */
  readonly least: number;
  readonly proven: boolean;
}

/** Pieces that go on no blank, with what they would need. */
export interface CutRefusal {
  readonly pieces: readonly string[];
}

/** How many pieces a plan is made for at most. */
export const mostPieces = 500;
