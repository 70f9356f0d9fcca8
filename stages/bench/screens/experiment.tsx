import { formatNumber } from "@/core/quantity/quantity";
import { headed } from "@/core/run/reading";
import { proposedSeed } from "@/platform/draw/seed";
import { projectPage } from "@/platform/pages/page";
import { projectState } from "@/stages/needs/queries/state";
import { Empty, PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { BenchTabs } from "../parts/bench-tabs";
import { ExperimentForm } from "../parts/experiment-form";
import { benchValues } from "../queries/runs";
import { addressOf, valuesByBuild } from "../view/compare";
import { type Asked, experimentView, howLong } from "../view/experiment";

/** A small experiment planned: its runs in a drawn order, the time it takes, and what it will be able to tell. */
export async function ExperimentScreen({ slug, asked }: { slug: string; asked: Asked }) {
  const { frame } = await projectPage(slug);
  const facts = await projectState(frame.project.id);
  const protocol = facts.protocols.find((p) => p.id === asked.protocol) ?? facts.protocols[0];
  const head = (
    <>
      <PageHead title="Plan an experiment" note="Change what you choose, in a drawn order, and nothing else." />
      <BenchTabs slug={slug} />
    </>
  );
  if (!protocol)
    return (
      <>
        {head}
        <Empty title="No protocol yet">An experiment is made under a protocol. It is written on the bench.</Empty>
      </>
    );
  const tested = facts.builds.filter((b) => facts.tested.has(b.id));
  const { values } = await benchValues(
    tested.map((b) => b.id),
    protocol.id,
    protocol.definition.primary,
  );
  const valuesOf = valuesByBuild(values);
  const { plan, channel, sd, known, digits } = experimentView(
    asked,
    protocol,
    tested.map((b) => valuesOf(b.id)),
  );
  return (
    <>
      {head}
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
        <div className="grid gap-4">
          <Sheet title={protocol.name} className="no-print">
            <ExperimentForm
              base={addressOf(`/p/${slug}/bench/experiment`, { protocol: asked.protocol })}
              defaults={{
                factors: asked.factors ?? "",
                repeats: asked.repeats ?? "2",
                minutes: asked.minutes ?? "4",
                seed: asked.seed ?? proposedSeed(),
              }}
            />
          </Sheet>
          {plan && (
            <Sheet title="What it will be able to tell">
              {sd === null ? (
                <p className="text-soft">
                  No build has two runs that count yet, so nothing is known of the scatter. Measure one build three
                  times first.
                </p>
              ) : (
                <>
                  <ul className="grid gap-1">
                    {plan.tells.map((t) => (
                      <li key={t.factor}>
                        <span className="font-[600]">{t.factor}</span>: {t.perLevel} runs at each level
                        {t.difference === null ? (
                          ", too few to tell anything"
                        ) : (
                          <>
                            , which show a difference of{" "}
                            <span className="font-[600]">{formatNumber(t.difference, digits)}</span>
                            <span className="unit">{channel.unit}</span> or more four times in five
                          </>
                        )}
                      </li>
                    ))}
                  </ul>
                  <p className="mt-2 text-sm text-soft">
                    The scatter between runs of one build has been {formatNumber(sd, digits)} {channel.unit} (sd of{" "}
                    {known} runs).
                  </p>
                </>
              )}
            </Sheet>
          )}
        </div>
        {plan ? (
          <div className="grid gap-1.5">
            <p>
              {plan.runs.length} runs in {howLong(plan.minutes)},{" "}
              {plan.repeats === 1 ? "one complete set" : `${plan.repeats} complete sets`}, each in a drawn order{" "}
              <span className="text-soft">(seed {plan.seed})</span>
            </p>
            <DataTable
              caption="Runs in their order"
              columns={[
                { key: "number", text: "Run", num: true },
                { key: "repeat", text: "Set", num: true },
                ...plan.factors.map((f, i) => ({ key: `f${i}`, text: f.name })),
                { key: "result", text: headed(channel), className: "min-w-32" },
              ]}
              rows={plan.runs.map((r) => ({
                id: String(r.number),
                cells: {
                  number: { value: r.number },
                  repeat: { value: r.repeat },
                  ...Object.fromEntries(plan.factors.map((f, i) => [`f${i}`, { value: r.settings[f.name]! }])),
                  result: { value: "" },
                },
              }))}
            />
          </div>
        ) : (
          <Empty title="Runs in a drawn order">
            Say what is changed to which levels and how often each combination is measured. The order is drawn, so that
            a battery that runs down or a hand that tires falls on all levels alike. The list prints.
          </Empty>
        )}
      </div>
    </>
  );
}
