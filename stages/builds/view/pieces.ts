import { type Making, missingBeforeCut, stackUp } from "@/core/builds/making";
import { formatSi, fromSi } from "@/core/quantity/quantity";
import { type PieceStep, pieceStep } from "@/core/vocabulary/builds";
import { stillMeans } from "@/platform/schema/entered";
import type { PartRow } from "../queries/parts";
import type { Piece } from "../queries/pieces";
import { writeLines } from "./lines";

/** Of a line with more pieces than this nobody follows each. */
const mostOfALine = 24;

/** Whether a piece was cut. */
const isCut = (p: Pick<Piece, "steps">): boolean => p.steps.some((s) => s.step === "cut");

/** A piece as the rules see it. */
export const makingOf = (p: Pick<Piece, "oneChance" | "material" | "steps">): Making => ({
  oneChance: p.oneChance,
  material: p.material,
  steps: Object.fromEntries(p.steps.map((s) => [s.step, s.person])) as Making["steps"],
});

/** A length as its form shows it: as it was typed where that still means it, else in the project's unit. */
function typedLength(p: Piece, key: "nominal" | "tolerance" | "measured", unit: string): string {
  const si = p[key];
  if (si === null) return "";
  return stillMeans((p.entered as Record<string, string>)[key], unit, si) ?? `${fromSi(si, unit)} ${unit}`;
}

/** The steps that a piece goes through: trial and release are asked of those that are cut once. */
export const stepsOf = (p: Pick<Piece, "oneChance" | "steps">): PieceStep[] =>
  pieceStep.values.filter(
    (s) => p.oneChance || (s !== "trial" && s !== "released") || p.steps.some((done) => done.step === s),
  );

/** A build's pieces worked out: how far each is, how far off, and how the chains add up. */
export function piecesView(pieces: readonly Piece[], side: string) {
  const chains = [...new Set(pieces.map((p) => p.chain).filter(Boolean))];
  return {
    rows: pieces.map((p) => {
      const off = p.nominal !== null && p.measured !== null ? Number(p.measured) - Number(p.nominal) : null;
      const outside = off !== null && p.tolerance !== null && Math.abs(off) > Number(p.tolerance) + 1e-12;
      const done = p.steps.length;
      return {
        piece: p,
        steps: stepsOf(p),
        missing: isCut(p) ? [] : missingBeforeCut(makingOf(p)),
        done,
        length: p.nominal === null ? null : formatSi(p.nominal, side, 2),
        tolerance: p.tolerance === null ? null : formatSi(p.tolerance, side, 2),
        off,
        offShown: off === null ? null : `${off > 0 ? "+" : ""}${formatSi(String(off), side, 2)}`,
        outside,
        typed: {
          nominal: typedLength(p, "nominal", side),
          tolerance: typedLength(p, "tolerance", side),
          measured: typedLength(p, "measured", side),
          settings: writeLines(p.settings as Record<string, string>),
        },
      };
    }),
    chains: chains.map((name) => {
      const own = pieces.flatMap((p) => (p.chain === name && p.nominal !== null ? [{ ...p, nominal: p.nominal }] : []));
      const { value, working } = stackUp(own, side);
      return {
        name,
        working,
        length: formatSi(value.length, side, 2),
        nominal: formatSi(value.nominal, side, 2),
        deviation: `${Number(value.deviation) > 0 ? "+" : ""}${formatSi(value.deviation, side, 2)}`,
        likely: formatSi(value.likely, side, 2),
        worst: formatSi(value.worst, side, 2),
        says: value.corrections.length
          ? `${value.corrections
              .map((c) => {
                const by = formatSi(c.by.replace("-", ""), side, 2);
                return c.by.startsWith("-")
                  ? `Take ${by} ${side} off ${c.name}`
                  : `${c.name} is ${by} ${side} too short: a shim, or a new piece`;
              })
              .join(". ")}.`
          : value.unmeasured.length === own.length
            ? "Nothing is measured yet."
            : "Within what its tolerances make likely: nothing to correct.",
      };
    }),
  };
}

/**
 * The pieces that a parts list says are made here and that are not listed yet: as many as its count, numbered where
 * there are several; a name that a piece bears already is passed over.
 */
export function piecesOfParts(
  parts: readonly Pick<PartRow, "id" | "name" | "count" | "source">[],
  pieces: readonly Pick<Piece, "name" | "partId">[],
): { name: string; partId: PartRow["id"] }[] {
  const named = new Set(pieces.map((p) => p.name.toLowerCase()));
  return parts
    .filter((l) => l.source === "made" && !pieces.some((p) => p.partId === l.id))
    .flatMap((l) =>
      Array.from({ length: Math.min(l.count, mostOfALine) }, (_, i) => ({
        name: l.count > 1 ? `${l.name} ${i + 1}` : l.name,
        partId: l.id,
      })),
    )
    .filter((p) => !named.has(p.name.toLowerCase()));
}

/** What of each line of the parts list is made: its pieces and how many of them are cut. */
export function madeOf(pieces: readonly Pick<Piece, "partId" | "steps">[]): Map<string, { of: number; cut: number }> {
  const made = new Map<string, { of: number; cut: number }>();
  for (const p of pieces) {
    if (!p.partId) continue;
    const at = made.get(p.partId) ?? { of: 0, cut: 0 };
    made.set(p.partId, { of: at.of + 1, cut: at.cut + (isCut(p) ? 1 : 0) });
  }
  return made;
}

/** How far a build's pieces are, in a sentence or two. */
export function madeWords(pieces: readonly Pick<Piece, "name" | "makerId" | "steps" | "oneChance" | "material">[]) {
  if (!pieces.length) return "None listed. A list says who makes which piece, and what is seen to before it is cut.";
  const has = (step: PieceStep) => pieces.filter((p) => p.steps.some((s) => s.step === step)).length;
  const nobody = pieces.filter((p) => !p.makerId).map((p) => p.name);
  const waits = pieces.filter((p) => !isCut(p) && missingBeforeCut(makingOf(p)).length > 0);
  return [
    `${pieces.length} ${pieces.length === 1 ? "piece" : "pieces"}: ${has("drawn")} drawn, ${has("checked")} checked, ` +
      `${has("cut")} cut, ${has("fitted")} fitted.`,
    ...(nobody.length ? [`Nobody makes ${nobody.join(", ")}.`] : []),
    ...(waits.length ? [`Not to be cut yet: ${waits.map((p) => p.name).join(", ")}.`] : []),
  ].join(" ");
}
