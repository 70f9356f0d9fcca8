import { decimalsFor, formatNumber } from "@/core/quantity/quantity";
import { readTo } from "@/core/run/protocol";
import { headed } from "@/core/run/reading";
import Link from "@/ui/link";
import { Empty } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import { type Facts, predictionsView } from "../view/compare";

const signed = (share: number) => `${share < 0 ? "−" : "+"}${formatNumber(Math.abs(100 * share), 0)} %`;

/** What was expected before the test against what it gave: the class, each team, each build. */
export function ComparePredictions({ slug, facts }: { slug: string; facts: Facts }) {
  const view = predictionsView(facts);
  if (!view || view.lines.length === 0)
    return (
      <Empty title="No prediction has been tested yet">
        A team writes what it expects when it records a build, before the first run. Here it is held against the result.
      </Empty>
    );
  const { channel, protocol } = view;
  const digits = decimalsFor(readTo(protocol.definition, channel.key));
  return (
    <div className="grid gap-4">
      <p className="rounded-md bg-spine px-4 py-2.5">
        <Figure working={view.all.working} className="text-left">
          {view.all.value!.sentence}
        </Figure>
      </p>
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <DataTable
          caption="Predictions and results"
          columns={[
            { key: "build", text: "Build" },
            { key: "predicted", text: headed({ name: "Predicted", unit: channel.unit }), num: true },
            { key: "measured", text: headed({ name: "Measured", unit: channel.unit }), num: true },
            { key: "miss", text: "Predicted over measured", num: true },
          ]}
          rows={view.lines.map((l) => ({
            id: l.build.id,
            cells: {
              build: {
                value: l.name,
                show: (
                  <Link href={`/p/${slug}/builds/${l.build.id}`} className="font-[600] hover:text-iron">
                    {l.name}
                  </Link>
                ),
              },
              predicted: { value: l.predicted, show: formatNumber(l.predicted, digits) },
              measured: {
                value: l.measured,
                show: (
                  <Figure
                    working={workingAt(slug, "summary", { build: l.build.id, protocol: protocol.id, key: channel.key })}
                  >
                    {formatNumber(l.measured, digits)}
                  </Figure>
                ),
              },
              miss: { value: l.miss, show: l.miss === null ? "–" : signed(l.miss) },
            },
          }))}
        />
        <DataTable
          caption="Team by team"
          columns={[
            { key: "team", text: "Team" },
            { key: "n", text: "Predictions", num: true },
            { key: "miss", text: "Usual miss", num: true },
            { key: "lean", text: "On average", num: true },
          ]}
          rows={view.teams.map((t) => ({
            id: t.team.id,
            cells: {
              team: { value: t.team.name, show: <span className="font-[600]">{t.team.name}</span> },
              n: { value: t.value!.n },
              miss: {
                value: t.value!.typicalMiss,
                show: <Figure working={t.working}>{`${formatNumber(100 * t.value!.typicalMiss, 0)} %`}</Figure>,
              },
              lean: { value: t.value!.lean, show: signed(t.value!.lean) },
            },
          }))}
        />
      </div>
    </div>
  );
}
