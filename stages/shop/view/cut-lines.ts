import { fromSi } from "@/core/quantity/quantity";
import type { CutKind } from "@/core/vocabulary/shop";
import type { Piece } from "@/stages/builds/queries/pieces";
import type { StockItem } from "../queries/stock";

/** Pieces of a build that have a length, as lines of a cut list. */
export const piecesAsLines = (pieces: readonly Pick<Piece, "name" | "nominal">[], unit: string): string =>
  pieces.flatMap((p) => (p.nominal === null ? [] : [`${p.name}; ${fromSi(p.nominal, unit)} ${unit}; 1`])).join("\n");

/** Bars and sheets of the stock that are there, as lines of a cut list. */
export function stockAsLines(items: readonly StockItem[]): { bars: string; sheets: string } {
  const lines = (form: CutKind) =>
    items
      .filter((i) => i.form === form && Number(i.there) >= 1)
      .map((i) => `${i.name.replaceAll(";", ",")}; ${i.sizeText}; ${Math.floor(Number(i.there))}`)
      .join("\n");
  return { bars: lines("bars"), sheets: lines("sheets") };
}
