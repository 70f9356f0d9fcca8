import { settled } from "../quantity/number";
import { decimalsFor, formatNumber } from "../quantity/quantity";
import { equation } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";
import { type Cell, type Effect, type TwoWay, twoWay } from "./two-way";

export interface Crossing {
  readonly table: TwoWay;
  /** What can be said of each factor, of both together, and of what is missing. */
  readonly sentences: readonly string[];
}

/** The level with the highest mean. */
const top = (levels: readonly string[], means: readonly (number | null)[]) => {
  const best = means.reduce<number>((at, m, i) => ((m ?? -Infinity) > (means[at] ?? -Infinity) ? i : at), 0);
  return levels[best]!;
};

const sure = (e: Effect | null) => e?.p !== null && e?.p !== undefined && e.p < 0.05;

/**
 * Two factors crossed, with what it says in words and its working; the value is null with fewer than two levels of a
 * factor. `names` are those of the factor in rows and of the one in columns.
 * @example
 * crossFactors(
 *   [
 *     { row: "flap", column: "short", values: [6, 6.4] },
 *     { row: "flap", column: "long", values: [7, 7.4] },
 *     { row: "ball", column: "short", values: [7, 7.2] },
 *     { row: "ball", column: "long", values: [8.1, 8.3] },
 *   ],
 *   ["valve", "stroke"],
 * ).value?.sentences[0]
 * // => "valve: “ball” is highest, by more than the scatter between runs."
 */
export function crossFactors(
  cells: readonly Cell[],
  names: readonly [string, string],
  { unit = "", resolution = 0 }: { unit?: string; resolution?: number } = {},
): Computed<Crossing | null> {
  const [rowName, columnName] = names;
  const title = `${rowName} × ${columnName}`;
  const rule =
    "Two-way analysis of variance: each factor after the other, its mean square over that of the scatter; " +
    "larger than the scatter when p is below 5 %.";
  const table = twoWay(cells);
  if (!table) {
    const sentence = `Runs at two levels or more of ${rowName} and of ${columnName} are needed.`;
    return { value: null, working: makeWorking({ title, result: "–", rule, warnings: [sentence] }) };
  }
  const { row, column, interaction, residual } = table;
  const missing = table.cells.flatMap((r, i) =>
    r.flatMap((v, k) => (v === null ? [`${table.rows[i]} with ${table.columns[k]}`] : [])),
  );
  const silent = residual.df === 0 || row.F === null || column.F === null;
  const one = (name: string, effect: Effect, levels: readonly string[], means: readonly (number | null)[]) =>
    sure(effect) && means.every((m) => m !== null)
      ? `${name}: “${top(levels, means)}” is highest, by more than the scatter between runs.`
      : sure(effect)
        ? `${name} makes a difference larger than the scatter between runs.`
        : `${name}: no difference can be told from the scatter.`;
  const sentences = [
    ...(silent
      ? ["The runs leave no scatter to judge by: measure each combination at least twice."]
      : [
          one(rowName, row, table.rows, table.rowMeans),
          one(columnName, column, table.columns, table.columnMeans),
          interaction === null
            ? "No combination was measured twice with all of them there: whether one factor depends on the other " +
              "cannot be told."
            : sure(interaction)
              ? `What ${rowName} does depends on ${columnName}: read the table cell by cell.`
              : `No sign that what ${rowName} does depends on ${columnName}.`,
        ]),
    ...(missing.length ? [`Not measured: ${missing.join(", ")}.`] : []),
  ];
  const scatter = residual.df > 0 ? residual.sumOfSquares / residual.df : 0;
  const digits = Math.min(10, Math.max(4, 4 - Math.floor(Math.log10(scatter || 1))));
  const line = (name: string, e: Effect) =>
    e.F === null
      ? `${name}: sum of squares ${formatNumber(settled(e.sumOfSquares), digits)}, ${e.df} degrees of freedom`
      : `${name}: F = ${equation(
          [
            "(",
            { of: settled(e.sumOfSquares), digits },
            ` ÷ ${e.df}) ÷ (`,
            { of: settled(residual.sumOfSquares), digits },
            ` ÷ ${residual.df})`,
          ],
          formatNumber(settled(e.F), 3),
        )}`;
  const told = (name: string, e: Effect) => (e.p === null ? [] : [`p of ${name}: ${e.p.toPrecision(3)}`]);
  const shown = resolution > 0 ? decimalsFor(resolution) + 1 : 3;
  const effects: [string, Effect][] = [
    [rowName, row],
    [columnName, column],
    ...(interaction ? [["both together", interaction] as [string, Effect]] : []),
  ];
  return {
    value: { table, sentences },
    working: makeWorking({
      title,
      result: sentences[0]!,
      rule,
      steps: effects.flatMap(([name, e]) => [line(name, e), ...told(name, e)]),
      inputs: table.rows.flatMap((r, i) =>
        table.columns.flatMap((c, k) => {
          const mean = table.cells[i]![k];
          return mean === null || mean === undefined
            ? []
            : [{ label: `${r}, ${c}`, value: formatNumber(settled(mean), shown), unit, note: "mean of the cell" }];
        }),
      ),
      warnings: missing.length ? [`Not measured: ${missing.join(", ")}.`] : [],
    }),
  };
}
