import { formatNumber } from "@/core/quantity/quantity";
import type { Channel } from "@/core/run/protocol";
import type { TwoWay } from "@/core/stats/two-way";

/** Cell means of two crossed factors with the means of rows and columns; below each the number of its runs. */
export function FactorsTable({
  table,
  counts,
  names,
  channel,
  digits,
}: {
  table: TwoWay;
  counts: readonly (readonly number[])[];
  /** Of the factor in rows and of the one in columns. */
  names: readonly [string, string];
  channel: Channel;
  digits: number;
}) {
  const mean = (m: number | null) => (m === null ? "–" : formatNumber(m, digits));
  return (
    <div className="table-room" tabIndex={0} role="region" aria-label="Means of the combinations">
      <table className="table">
        <caption className="sr-only">{`${channel.name} in ${channel.unit} by ${names[0]} and ${names[1]}`}</caption>
        <thead>
          <tr>
            <th scope="col">
              {names[0]} <span className="font-normal text-soft">down</span>, {names[1]}{" "}
              <span className="font-normal text-soft">across</span>
            </th>
            {table.columns.map((c) => (
              <th key={c} scope="col" className="num">
                {c}
              </th>
            ))}
            <th scope="col" className="num">
              mean
            </th>
          </tr>
        </thead>
        <tbody>
          {table.rows.map((r, i) => (
            <tr key={r}>
              <th scope="row" className="text-left align-top font-[600]">
                {r}
              </th>
              {table.columns.map((c, k) => (
                <td key={c} className="num" data-label={c}>
                  {mean(table.cells[i]![k]!)}
                  <span className="block text-xs text-soft">n = {counts[i]![k]}</span>
                </td>
              ))}
              <td className="num font-[600]" data-label="mean">
                {mean(table.rowMeans[i]!)}
              </td>
            </tr>
          ))}
          <tr>
            <th scope="row" className="text-left font-normal text-soft">
              mean
            </th>
            {table.columnMeans.map((m, k) => (
              <td key={table.columns[k]} className="num font-[600]" data-label={table.columns[k]}>
                {mean(m)}
              </td>
            ))}
            <td />
          </tr>
        </tbody>
      </table>
    </div>
  );
}

/** The analysis of variance: each effect's sum of squares, degrees of freedom, F and p. */
export function VarianceTable({ table, names }: { table: TwoWay; names: readonly [string, string] }) {
  const lines = [
    { name: names[0], ...table.row },
    { name: names[1], ...table.column },
    ...(table.interaction ? [{ name: "both together", ...table.interaction }] : []),
    { name: "scatter", ...table.residual, F: null, p: null },
  ];
  return (
    <div className="table-room" tabIndex={0} role="region" aria-label="Analysis of variance">
      <table className="table">
        <caption className="sr-only">Analysis of variance</caption>
        <thead>
          <tr>
            <th scope="col">Analysis of variance</th>
            <th scope="col" className="num">
              Sum of squares
            </th>
            <th scope="col" className="num">
              df
            </th>
            <th scope="col" className="num">
              F
            </th>
            <th scope="col" className="num">
              p
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((l) => (
            <tr key={l.name}>
              <td>{l.name}</td>
              <td className="num" data-label="Sum of squares">
                {formatNumber(l.sumOfSquares, 4)}
              </td>
              <td className="num" data-label="df">
                {l.df}
              </td>
              <td className="num" data-label="F">
                {l.F === null ? "" : formatNumber(l.F, 2)}
              </td>
              <td className="num" data-label="p">
                {l.p === null ? "" : l.p < 0.001 ? "< 0.001" : formatNumber(l.p, 3)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
