import { headed } from "@/core/run/reading";
import { LinkChoice } from "@/ui/link-choice";
import { Empty, Sheet } from "@/ui/page";
import { Figure } from "@/ui/working";
import type { ComparePart } from "../view/compare";
import { factorsView } from "../view/factors";
import { Besides } from "./besides";
import { FactorsTable, VarianceTable } from "./factors-table";
import { LazyInteractionChart } from "./lazy-charts";

/** Two design variables crossed: what each does, whether one depends on the other, and the table behind it. */
export function CompareFactors({ chosen, builds, valuesOf, wanted, link }: ComparePart) {
  const view = factorsView(chosen, builds, valuesOf, wanted);
  const { names, x, y, crossed } = view;
  const options = (other: string | undefined) => names.filter((n) => n !== other).map((n) => ({ value: n, label: n }));
  if (crossed === null || x === undefined || y === undefined)
    return (
      <Empty title="Two design variables are needed">
        Builds whose runs count must differ in at least two design variables. They are written with each build, one a
        line: <em>stroke = 0.25 m</em>.
      </Empty>
    );
  const { value, working } = crossed;
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap gap-x-6 gap-y-1">
        <LinkChoice label="First factor" options={options(y)} chosen={x} hrefOf={(v) => link({ x: v, y })} />
        <span className="text-soft">×</span>
        <LinkChoice label="Second factor" options={options(x)} chosen={y} hrefOf={(v) => link({ x, y: v })} />
      </div>
      {value === null ? (
        <Empty title={`${x} × ${y} cannot be crossed yet`}>{working.warnings.join(" ")}</Empty>
      ) : (
        <>
          <div className="rounded-md bg-spine px-4 py-2.5">
            {value.sentences.map((s, i) => (
              <p key={s}>
                {i === 0 ? (
                  <Figure working={working} className="text-left">
                    {s}
                  </Figure>
                ) : (
                  s
                )}
              </p>
            ))}
            <Besides what={view.besides} />
          </div>
          <div className="grid items-start gap-5 lg:grid-cols-2">
            <div className="grid gap-4">
              <FactorsTable
                table={value.table}
                counts={view.counts}
                names={[x, y]}
                channel={chosen.channel}
                digits={chosen.digits}
              />
              <VarianceTable table={value.table} names={[x, y]} />
            </div>
            <Sheet title={`${headed(chosen.channel)} along ${y}`} aside={`a line for each ${x}`}>
              <LazyInteractionChart
                label={`${chosen.channel.name} along ${y}, a line for each ${x}; the table holds the same numbers`}
                rows={value.table.rows}
                columns={value.table.columns}
                cells={value.table.cells}
                axis={view.axis}
              />
            </Sheet>
          </div>
        </>
      )}
    </div>
  );
}
