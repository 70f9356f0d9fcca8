import { channelsOf } from "@/core/run/protocol";
import { headed } from "@/core/run/reading";
import { projectPage } from "@/platform/pages/page";
import { projectState } from "@/stages/needs/queries/state";
import { LinkChoice } from "@/ui/link-choice";
import { Measured } from "@/ui/measured";
import { Empty, PageHead } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { AttemptEntry } from "../parts/attempt-entry";
import { BenchTabs } from "../parts/bench-tabs";
import { ProtocolChoice } from "../parts/protocol-choice";
import { RunSeen } from "../parts/run-seen";
import { RunTools } from "../parts/run-tools";
import { SafetyCheck } from "../parts/safety-check";
import { ScatterTable } from "../parts/scatter-table";
import { runsOf, safetyChecksOf } from "../queries/runs";
import { buildAtBench, correctable, typedRun } from "../view/bench";
import { addressOf } from "../view/compare";
import { pilotView } from "../view/pilot";
import { mayBegin } from "../view/safety";

/** Pilot runs: tries that iron a protocol out and never count, and what they say of its conditions. */
export async function PilotScreen({ slug, asked }: { slug: string; asked: { protocol?: string; build?: string } }) {
  const { frame, staff, ownTeam } = await projectPage(slug);
  const p = frame.project;
  const facts = await projectState(p.id);
  const base = `/p/${slug}/bench/pilot`;
  const protocol = facts.protocols.find((x) => x.id === asked.protocol) ?? facts.protocols[0];
  const build = buildAtBench(facts, asked.build, ownTeam);
  const head = (
    <>
      <PageHead
        title="Pilot runs"
        note={
          protocol &&
          build && (
            <>
              {protocol.name} v{protocol.number}, on {build.team} G{build.number}. They are kept and never count: not
              for a requirement, a record or a grade.
            </>
          )
        }
      />
      <BenchTabs slug={slug} />
    </>
  );
  if (!protocol || !build)
    return (
      <>
        {head}
        <Empty title="Nothing to try yet">A protocol and a build come first.</Empty>
      </>
    );
  const d = protocol.definition;
  const [runs, checks] = await Promise.all([
    runsOf(p.id, { protocolId: protocol.id, place: "pilot" }),
    d.safety.length ? safetyChecksOf(protocol.id, frame.today) : [],
  ]);
  const view = pilotView(
    protocol,
    runs.filter((r) => r.protocolVersionId === protocol.versionId),
  );
  const mine = (staff || build.teamId === ownTeam) && !p.finishedAt;
  const begun = mayBegin(checks, build.teamId, d.safety);
  const channels = channelsOf(d);
  const names = correctable(d);
  const builds = facts.builds.filter((b) => staff || b.teamId === ownTeam);
  return (
    <>
      {head}
      <div className="mb-3 grid gap-1">
        <ProtocolChoice
          protocols={facts.protocols}
          chosen={protocol}
          hrefOf={(v) => addressOf(base, { ...asked, protocol: v })}
        />
        <LinkChoice
          label="On"
          options={facts.teams.flatMap((t) => {
            const b = builds.findLast((x) => x.teamId === t.id);
            return b ? [{ value: b.id as string, label: `${t.name} G${b.number}` }] : [];
          })}
          chosen={build.id}
          hrefOf={(v) => addressOf(base, { ...asked, build: v })}
        />
      </div>
      {mine && !begun && (
        <SafetyCheck
          key={`${protocol.versionId} ${build.teamId}`}
          projectId={p.id}
          protocolId={protocol.id}
          teamId={build.teamId}
          who={build.team}
          cautions={d.safety}
        />
      )}
      <DataTable
        caption="Pilot runs"
        empty="No pilot run yet. Write the conditions down as they were measured: that is what a pilot is for."
        columns={[
          { key: "attempt", text: "Run" },
          { key: "build", text: "Build" },
          ...channels.map((c) => ({
            key: `channel ${c.key}`,
            text: headed(c),
            label: <Measured name={c.name} unit={c.unit} />,
            num: true,
          })),
          { key: "words", text: "Conditions", className: "max-w-72" },
        ]}
        rows={view.rows.map(({ run, assessed, words }) => {
          const of = facts.builds.find((b) => b.id === run.buildId);
          return {
            id: run.id,
            className: run.state === "void" ? "text-soft line-through" : undefined,
            cells: {
              attempt: run.attempt,
              build: of ? `${of.team} G${of.number}` : "",
              ...Object.fromEntries(
                channels.map((c) => {
                  const v = assessed.values[c.key]?.value;
                  return [`channel ${c.key}`, v ? { value: v.value, show: v.shown } : null];
                }),
              ),
              words: {
                value: words,
                show: (
                  <>
                    {words || "all inside"}
                    {(run.note || run.photos.length > 0) && (
                      <RunSeen note={run.note} photos={run.photos} mine={mine && !p.finishedAt} />
                    )}
                    {(staff || of?.teamId === ownTeam) && !p.finishedAt && (
                      <RunTools
                        id={run.id}
                        version={run.version}
                        state={run.state}
                        note={run.note}
                        staff={staff}
                        typed={typedRun(d, run)}
                        names={names}
                        builds={[]}
                      />
                    )}
                  </>
                ),
              },
            },
          };
        })}
        foot={
          mine &&
          begun && (
            <AttemptEntry
              key={`pilot ${build.id} ${protocol.versionId}`}
              pilot
              buildId={build.id}
              protocolVersionId={protocol.versionId}
              next={view.next}
              measures={d.measures}
              conditions={d.conditions}
              before={{}}
              derived={d.derived.length}
              lead={3 + channels.length}
            />
          )
        }
      />
      {d.conditions.length > 0 && (
        <section className="mt-5 max-w-[860px]">
          <h2 className="mb-1.5">Which condition scattered most</h2>
          <p className="mb-2">{view.sentence}</p>
          {view.conditions.length > 0 && <ScatterTable rows={view.conditions} />}
        </section>
      )}
    </>
  );
}
