import { formatNumber } from "@/core/quantity/quantity";
import { headed } from "@/core/run/reading";
import Link from "@/ui/link";
import { LinkChoice } from "@/ui/link-choice";
import { Empty } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import type { ComparePart } from "../view/compare";
import { variableView } from "../view/factors";
import { Besides } from "./besides";
import { GroupsTable } from "./comparison-tables";
import { LazyGenerationsChart } from "./lazy-charts";

/** One design variable against the result, build by build, with what else differs. */
export function CompareVariable({ slug, chosen, builds, valuesOf, wanted, link }: ComparePart) {
  const view = variableView(builds, valuesOf, wanted);
  const { channel, digits, protocol } = chosen;
  if (view.x === undefined)
    return (
      <Empty title="A design variable is needed">
        Builds whose runs count must differ in a design variable. They are written with each build, one a line:{" "}
        <em>stroke = 0.25 m</em>.
      </Empty>
    );
  return (
    <div className="grid gap-4">
      <LinkChoice
        label="Design variable"
        options={view.names.map((n) => ({ value: n, label: n }))}
        chosen={view.x}
        hrefOf={(x) => link({ x })}
      />
      <Besides what={view.besides} />
      <div className="grid items-start gap-5 xl:grid-cols-2">
        <LazyGenerationsChart
          name={channel.name}
          by={view.x}
          legend="builds, mean and 95 % interval"
          unit={channel.unit}
          generations={view.groups}
          axis={view.axis}
        />
        <div className="grid gap-4">
          <GroupsTable slug={slug} groups={view.groups} channel={channel} digits={digits} name={view.x} />
          <DataTable
            caption="Builds"
            columns={[
              { key: "build", text: "Build" },
              { key: "level", text: view.x },
              { key: "mean", text: headed({ name: "Mean", unit: channel.unit }), num: true },
              { key: "n", text: "Runs", num: true },
            ]}
            rows={view.builds.map((l) => ({
              id: l.build.id,
              cells: {
                build: {
                  value: `${l.build.team} G${l.build.number}`,
                  show: (
                    <Link href={`/p/${slug}/builds/${l.build.id}`} className="font-[600] hover:text-iron">
                      {l.build.team} G{l.build.number}
                    </Link>
                  ),
                },
                level: { value: l.level },
                mean: {
                  value: l.mean,
                  show: (
                    <Figure
                      working={workingAt(slug, "summary", {
                        build: l.build.id,
                        protocol: protocol.id,
                        key: channel.key,
                      })}
                    >
                      {formatNumber(l.mean, digits)}
                    </Figure>
                  ),
                },
                n: { value: l.runs },
              },
            }))}
          />
        </div>
      </div>
    </div>
  );
}
