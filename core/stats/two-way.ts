import { mean } from "./describe";
import { upperF } from "./distributions";

/** Values measured at one level of each of two factors. */
export interface Cell {
  readonly row: string;
  readonly column: string;
  readonly values: readonly number[];
}

export interface Effect {
  readonly sumOfSquares: number;
  readonly df: number;
  /** Null where nothing is left to tell the scatter. */
  readonly F: number | null;
  readonly p: number | null;
}

export interface TwoWay {
  readonly rows: readonly string[];
  readonly columns: readonly string[];
  /** Mean of each cell by row and column; null for a cell without a value. */
  readonly cells: readonly (readonly (number | null)[])[];
  /** Mean of the cell means of each row, over the columns; null where a cell is missing. */
  readonly rowMeans: readonly (number | null)[];
  readonly columnMeans: readonly (number | null)[];
  readonly row: Effect;
  readonly column: Effect;
  /** Null where no cell repeats: the scatter is then taken from what the main effects leave. */
  readonly interaction: Effect | null;
  readonly residual: { readonly sumOfSquares: number; readonly df: number };
}

/** What is left of `y` after it is explained by the columns: orthogonal, one after another; how many told anything. */
function leftOver(y: readonly number[], columns: readonly (readonly number[])[]) {
  const basis: number[][] = [];
  const without = (v: readonly number[]) => {
    let out = [...v];
    // Twice, so that what rounding left of the first time goes too.
    for (let pass = 0; pass < 2; pass++)
      for (const b of basis) {
        const share = out.reduce((s, x, i) => s + x * b[i]!, 0);
        out = out.map((x, i) => x - share * b[i]!);
      }
    return out;
  };
  for (const column of columns) {
    const rest = without(column);
    const length = Math.hypot(...rest);
    if (length > 1e-9 * Math.max(1, Math.hypot(...column))) basis.push(rest.map((x) => x / length));
  }
  return { sumOfSquares: without(y).reduce((s, x) => s + x * x, 0), rank: basis.length };
}

/**
 * Two factors crossed: means of the cells, main effects, interaction, and the two-way analysis of variance. Where cells
 * hold unequal numbers of values each factor is judged after the other (type II sums of squares, Yates 1934), which is
 * the usual analysis where they are equal. Where no cell repeats, the interaction cannot be told from the scatter and
 * the main effects are judged against it (Tukey's additive model). A cell may be given in parts. Null with fewer than
 * two levels of a factor.
 * @example
 * twoWay([
 *   { row: "flap", column: "short", values: [6, 6.4] },
 *   { row: "flap", column: "long", values: [7, 7.4] },
 *   { row: "ball", column: "short", values: [7, 7.2] },
 *   { row: "ball", column: "long", values: [8.1, 8.3] },
 * ])?.row.p?.toFixed(4)
 * // => "0.0039"
 */
export function twoWay(given: readonly Cell[]): TwoWay | null {
  const joined = new Map<string, { row: string; column: string; values: number[] }>();
  for (const c of given.filter((x) => x.values.length > 0)) {
    const key = JSON.stringify([c.row, c.column]);
    const cell = joined.get(key) ?? { row: c.row, column: c.column, values: [] };
    joined.set(key, { ...cell, values: [...cell.values, ...c.values] });
  }
  const cells = [...joined.values()];
  const rows = [...new Set(cells.map((c) => c.row))];
  const columns = [...new Set(cells.map((c) => c.column))];
  if (rows.length < 2 || columns.length < 2) return null;
  const data = cells.flatMap((c) => c.values.map((y) => ({ ...c, y })));
  // Taken from the mean first: a large common height would cost digits.
  const middle = mean(data.map((x) => x.y));
  const y = data.map((x) => x.y - middle);
  const one = data.map(() => 1);
  const marks = (of: (x: Cell) => boolean) => data.map((x) => (of(x) ? 1 : 0));
  const byRow = rows.map((r) => marks((x) => x.row === r));
  const byColumn = columns.map((c) => marks((x) => x.column === c));
  const byCell = cells.map((c) => marks((x) => x.row === c.row && x.column === c.column));
  const onlyRow = leftOver(y, [one, ...byRow]);
  const onlyColumn = leftOver(y, [one, ...byColumn]);
  const both = leftOver(y, [one, ...byRow, ...byColumn]);
  const full = leftOver(y, [one, ...byCell]);
  const repeats = data.length > full.rank;
  const base = repeats ? full : both;
  const residual = { sumOfSquares: base.sumOfSquares, df: data.length - base.rank };
  // What rounding leaves of a sum of squares is none.
  const total = leftOver(y, [one]).sumOfSquares;
  const clean = (s: number) => (s < 1e-12 * total ? 0 : s);
  const effect = (less: typeof both, more: typeof both): Effect => {
    const [sumOfSquares, df] = [clean(less.sumOfSquares - more.sumOfSquares), more.rank - less.rank];
    const scatter = residual.df > 0 ? clean(residual.sumOfSquares) / residual.df : 0;
    const F = df > 0 && scatter > 0 ? sumOfSquares / df / scatter : null;
    return { sumOfSquares, df, F, p: F === null ? null : upperF(F, df, residual.df) };
  };
  const at = (r: string, c: string) => {
    const cell = cells.find((x) => x.row === r && x.column === c);
    return cell ? mean(cell.values) : null;
  };
  const table = rows.map((r) => columns.map((c) => at(r, c)));
  const average = (list: readonly (number | null)[]) =>
    list.every((v) => v !== null) ? mean(list as readonly number[]) : null;
  return {
    rows,
    columns,
    cells: table,
    rowMeans: table.map(average),
    columnMeans: columns.map((_, k) => average(table.map((r) => r[k]!))),
    row: effect(onlyColumn, both),
    column: effect(onlyRow, both),
    interaction: repeats && full.rank > both.rank ? effect(both, full) : null,
    residual: { ...residual, sumOfSquares: clean(residual.sumOfSquares) },
  };
}
