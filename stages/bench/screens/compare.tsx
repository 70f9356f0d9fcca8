import { projectPage } from "@/platform/pages/page";
import { projectState } from "@/stages/needs/queries/state";
import { LinkChoice } from "@/ui/link-choice";
import { Empty, PageHead } from "@/ui/page";
import { BenchTabs } from "../parts/bench-tabs";
import { CompareFactors } from "../parts/compare-factors";
import { CompareGroups } from "../parts/compare-groups";
import { ComparePredictions } from "../parts/compare-predictions";
import { CompareVariable } from "../parts/compare-variable";
import { ProtocolChoice } from "../parts/protocol-choice";
import { benchValues } from "../queries/runs";
import { addressOf, buildsFor, chosenIn, comparisons, valuesByBuild, type Wanted } from "../view/compare";

/** Runs held against one another: builds, teams, two factors crossed, one variable, predictions. */
export async function CompareScreen({ slug, wanted }: { slug: string; wanted: Wanted }) {
  const { frame, ownTeam } = await projectPage(slug);
  const facts = await projectState(frame.project.id);
  const base = `/p/${slug}/bench/compare`;
  const chosen = chosenIn(facts, wanted, ownTeam);
  const head = (note?: string) => (
    <>
      <PageHead title="Compare" note={note} />
      <BenchTabs slug={slug} />
    </>
  );
  if (!chosen)
    return (
      <>
        {head()}
        <Empty title="No protocol yet">
          Runs can be compared once a protocol says how they are made. It is written on the bench.
        </Empty>
      </>
    );
  const { by, protocol, channel } = chosen;
  const builds = buildsFor(facts, chosen);
  const { values } = await benchValues(
    builds.map((b) => b.id),
    protocol.id,
    channel.key,
  );
  const valuesOf = valuesByBuild(values);
  const link = (change: Partial<Wanted>) => addressOf(base, { ...wanted, by, ...change });
  const part = { slug, chosen, builds, valuesOf, wanted, link };
  return (
    <>
      {head(`${protocol.name} v${protocol.number} · runs inside all tolerances of this version only`)}
      <div className="mb-4 grid gap-1">
        <LinkChoice label="Compare" options={comparisons} chosen={by} hrefOf={(v) => link({ by: v })} />
        {by !== "predictions" && (
          <div className="flex flex-wrap gap-x-6 gap-y-1">
            <ProtocolChoice
              protocols={facts.protocols}
              chosen={protocol}
              hrefOf={(v) => link({ protocol: v, key: undefined })}
            />
            <LinkChoice
              label="Measure"
              options={chosen.channels.map((c) => ({ value: c.key, label: c.name }))}
              chosen={channel.key}
              hrefOf={(v) => link({ key: v })}
            />
            {by !== "teams" && (
              <LinkChoice
                label="Team"
                options={[
                  ...(by === "builds" ? [] : [{ value: "", label: "all teams" }]),
                  ...facts.teams.map((t) => ({ value: t.id, label: t.name })),
                ]}
                chosen={chosen.team?.id ?? ""}
                hrefOf={(v) => link({ team: v })}
              />
            )}
          </div>
        )}
      </div>
      {(by === "builds" || by === "teams") && <CompareGroups {...part} />}
      {by === "factors" && <CompareFactors {...part} />}
      {by === "variable" && <CompareVariable {...part} />}
      {by === "predictions" && <ComparePredictions slug={slug} facts={facts} />}
    </>
  );
}
