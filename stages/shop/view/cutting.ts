import { cutSteps } from "@/core/cutting/cuts";
import {
  type Blank,
  type CutBlank,
  type CutPlan,
  type CutProblem,
  mostPieces,
  nanometres,
  type Wanted,
} from "@/core/cutting/problem";
import { settled } from "@/core/quantity/number";
import { formatSi, parseQuantity } from "@/core/quantity/quantity";
import { linesOf } from "@/core/text/lines";
import type { CutKind, CutWay } from "@/core/vocabulary/shop";
import { plural } from "@/platform/registry/words";
import { readLengths } from "@/platform/schema/entered";

/** A list of pieces as it is typed. */
export interface TypedCuts {
  readonly kind: CutKind;
  readonly way: CutWay;
  readonly kerf: string;
  readonly border: string;
  readonly blanks: string;
  readonly pieces: string;
}

export type ReadCuts =
  | { readonly ok: true; readonly problem: CutProblem }
  | { readonly ok: false; readonly field: keyof TypedCuts; readonly message: string };

interface Line {
  readonly name: string;
  readonly sides: readonly string[];
  readonly count: number | null;
  readonly rest: string;
}

/** A line of a list: name, size, how many, and a word; by semicolons, or pasted from a spreadsheet. */
function readLine(line: string, unit: string, sides: number): Line | string {
  const [name = "", size = "", count = "", ...rest] = line.split(/\t|;/).map((x) => x.trim());
  const example = sides === 2 ? `Side panel; 300 × 200 ${unit}; 4` : `Leg; 798 ${unit}; 6`;
  if (!name || !size) return `“${line}” cannot be read. Write name; size; how many, for example ${example}.`;
  const read = readLengths(size, unit);
  if (!read || read.length !== sides || read.some((s) => Number(s) <= 0))
    return `“${size}” of ${name} is no size. Write for example ${example}.`;
  if (count && !/^\d{1,4}$/.test(count)) return `“${count}” of ${name} is no count. Write a whole number.`;
  return { name, sides: read, count: count ? Number(count) : null, rest: rest.join(" ").toLowerCase() };
}

function readList(text: string, unit: string, sides: number): Line[] | string {
  const lines = linesOf(text).map((l) => readLine(l, unit, sides));
  const wrong = lines.find((l) => typeof l === "string");
  if (wrong) return wrong as string;
  const read = lines as Line[];
  const twice = read.find((l, i) => read.findIndex((x) => x.name.toLowerCase() === l.name.toLowerCase()) < i);
  return twice ? `${twice.name} stands in the list twice. Give one another name.` : read;
}

const length = (text: string, unit: string): number | null => {
  if (!text.trim()) return 0;
  const read = parseQuantity(text, unit);
  return read.ok && Number(read.quantity.si) >= 0 ? nanometres(read.quantity.si) : null;
};

/** The problem that was typed, or what of it cannot be read and at which field. */
export function readCuts(typed: TypedCuts, unit: string): ReadCuts {
  const sides = typed.kind === "bars" ? 1 : 2;
  const wrong = (field: keyof TypedCuts, message: string): ReadCuts => ({ ok: false, field, message });
  const kerf = length(typed.kerf, unit);
  if (kerf === null)
    return wrong("kerf", `Write the width of a cut, for example ${unit === "in" ? "1/8" : "3"} ${unit}.`);
  const border = length(typed.border, unit);
  if (border === null) return wrong("border", `Write the border, for example ${unit === "in" ? "1/4" : "5"} ${unit}.`);
  const blanks = readList(typed.blanks, unit, sides);
  if (typeof blanks === "string") return wrong("blanks", blanks);
  const pieces = readList(typed.pieces, unit, sides);
  if (typeof pieces === "string") return wrong("pieces", pieces);
  if (!blanks.length) return wrong("blanks", "Write what it is cut from, one kind a line.");
  if (!pieces.length) return wrong("pieces", "Write the pieces, one kind a line.");
  const number = pieces.reduce((n, p) => n + (p.count ?? 1), 0);
  if (number > mostPieces) return wrong("pieces", `These are ${number} pieces; a plan is for at most ${mostPieces}.`);
  return {
    ok: true,
    problem: {
      kind: typed.kind,
      way: typed.kind === "bars" ? "edge" : typed.way,
      kerf,
      border,
      blanks: blanks.map(
        (b): Blank => ({
          id: b.name,
          length: nanometres(b.sides[0]!),
          width: sides === 2 ? nanometres(b.sides[1]!) : 1,
          count: b.count,
        }),
      ),
      pieces: pieces.map(
        (p): Wanted => ({
          id: p.name,
          length: nanometres(p.sides[0]!),
          width: sides === 2 ? nanometres(p.sides[1]!) : 1,
          count: p.count ?? 1,
          turns: !/grain|print|fixed/.test(p.rest),
        }),
      ),
    },
  };
}

/** Blanks that are cut alike, drawn once. */
export interface CutSheet {
  readonly key: string;
  readonly blank: string;
  readonly bar: boolean;
  readonly often: number;
  readonly bought: boolean;
  /** Share of it that is left, in words. */
  readonly left: string;
  readonly length: number;
  readonly width: number;
  readonly places: readonly {
    readonly key: string;
    readonly piece: string;
    readonly x: number;
    readonly y: number;
    readonly length: number;
    readonly width: number;
    readonly size: string;
    readonly turned: boolean;
  }[];
  /** Its cuts in order, in words; empty where it is cut along each piece. */
  readonly cuts: readonly string[];
}

const alike = (b: CutBlank) => JSON.stringify([b.blank, b.bought, b.places]);

/** A plan as it is drawn and told, lengths in the project's unit. */
export function cutSheets(p: CutProblem, plan: CutPlan, unit: string): CutSheet[] {
  const shown = (nm: number) => formatSi(String(nm / 1e9), unit, unit === "mm" ? 1 : 3).replace(/\.0+$/, "");
  // Drawn in millimetres: browsers do not draw coordinates of a thousand million.
  const drawn = (nm: number) => Math.round(nm / 1e5) / 10;
  const groups = new Map<string, CutBlank[]>();
  for (const b of plan.blanks) groups.set(alike(b), [...(groups.get(alike(b)) ?? []), b]);
  return [...groups].map(([key, list], i): CutSheet => {
    const b = list[0]!;
    const blank = p.blanks.find((x) => x.id === b.blank)!;
    const steps = p.way === "edge" ? (cutSteps(p, b) ?? []) : [];
    return {
      key: `${i} ${key.length}`,
      blank: b.blank,
      bar: p.kind === "bars",
      often: list.length,
      bought: b.bought,
      left: `${Math.round(b.left * 100)} %`,
      length: drawn(blank.length),
      width: drawn(p.kind === "bars" ? blank.length / 24 : blank.width),
      places: b.places.map((x, k) => ({
        key: `${k}`,
        piece: x.piece,
        x: drawn(x.x),
        y: p.kind === "bars" ? 0 : drawn(x.y),
        length: drawn(x.length),
        width: drawn(p.kind === "bars" ? blank.length / 24 : x.width),
        size: p.kind === "bars" ? shown(x.length) : `${shown(x.length)} × ${shown(x.width)}`,
        turned: x.turned,
      })),
      cuts: steps.map((s) => {
        const gives = s.gives.length ? `: ${s.gives.join(", ")}` : "";
        return p.kind === "bars"
          ? `at ${shown(s.at)} ${unit}${gives}`
          : `${s.along ? "along" : "across"} at ${shown(s.at)} ${unit}${gives}`;
      }),
    };
  });
}

/** What a plan comes to, in words. */
export function planWords(p: CutProblem, plan: CutPlan, unit: string): string[] {
  const n = plan.blanks.length;
  const bought = plan.blanks.filter((b) => b.bought).length;
  const blanks = plural(n, p.kind === "bars" ? "bar" : "sheet");
  const pieces = plan.blanks.reduce((s, b) => s + b.places.length, 0);
  const used =
    p.kind === "bars"
      ? formatSi(String(plan.used), unit === "in" ? "ft" : "m", 2) + (unit === "in" ? " ft" : " m")
      : formatSi(String(plan.used), unit === "in" ? "ft²" : "m²", 2) + (unit === "in" ? " ft²" : " m²");
  const above = Math.ceil(settled((plan.used / plan.least - 1) * 1000)) / 10;
  return [
    `${plural(pieces, "piece")} from ${blanks}, ${used} in all.`,
    plan.proven ? "No plan uses less." : `At most ${above} % more than any plan must use.`,
    ...(bought ? [`${bought} of them ${bought === 1 ? "is" : "are"} more than there are: buy ${bought}.`] : []),
  ];
}

/** An example of a list, in the unit and way that are chosen. */
export function exampleCuts({ kind, way }: Pick<TypedCuts, "kind" | "way">, unit: string): TypedCuts {
  const inch = unit === "in";
  const cuts = { kind, way, kerf: inch ? "1/8" : "3", border: inch ? "1/4" : "5" };
  if (kind === "bars")
    return {
      ...cuts,
      blanks: inch ? "Strip; 96" : "Strip; 2400",
      pieces: inch ? "Leg; 30; 4\nRail; 20; 4" : "Leg; 760; 4\nRail; 500; 4",
    };
  return inch
    ? { ...cuts, blanks: "Sheet; 24 × 16", pieces: "Side; 14 × 6; 2\nLid; 8 × 6; 2\nFoot; 4 × 3; 4" }
    : { ...cuts, blanks: "Sheet; 600 × 400", pieces: "Side; 360 × 150; 2\nLid; 210 × 160; 2\nFoot; 100 × 80; 4" };
}
