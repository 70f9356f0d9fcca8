import { formatNumber } from "@/core/quantity/quantity";
import { primaryOf } from "@/core/run/protocol";
import { showIn, unitAfter } from "@/core/run/reading";
import { fullDate, instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { projectState } from "@/stages/needs/queries/state";
import { benchmarksOf } from "@/stages/records/view/records";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { tip } from "@/ui/tip";
import { Figure } from "@/ui/working";
import { loadBench } from "../load";
import { AttemptsTable } from "../parts/attempts-table";
import { BenchComparison, BenchSummary } from "../parts/bench-summary";
import { BenchTabs } from "../parts/bench-tabs";
import { LazyCapturesWaiting, LazyGenerationsChart } from "../parts/lazy-charts";
import { LevelsTable } from "../parts/levels-table";
import { ProtocolChoice } from "../parts/protocol-choice";
import { SafetyCheck, SafetyChecked } from "../parts/safety-check";
import { SequenceTable } from "../parts/sequence-table";
import { SeriesList } from "../parts/series-list";
import { ToBeatBox } from "../parts/to-beat";
import { conditionsOf, safetyChecksOf } from "../queries/runs";
import { seriesOf } from "../queries/series";
import { benchView, buildAtBench, generationsAxis } from "../view/bench";
import { checkFor, mayBegin } from "../view/safety";
import { settingsOfRun, toBeat } from "../view/to-beat";

/** The bench: one build under one protocol, its attempts, what they come to, and how its generations compare. */
export async function BenchScreen({
  slug,
  protocol: wantedProtocol,
  build: wantedBuild,
  all = false,
}: {
  slug: string;
  protocol?: string;
  build?: string;
  /** Every attempt, not only the latest. */
  all?: boolean;
}) {
  const { frame, staff, ownTeam } = await projectPage(slug);
  const p = frame.project;
  const facts = await projectState(p.id);
  const base = `/p/${slug}/bench`;
  const protocol = facts.protocols.find((x) => x.id === wantedProtocol) ?? facts.protocols[0];
  if (!protocol)
    return (
      <>
        <PageHead title="Bench" />
        <Empty
          title="No protocol yet"
          action={
            staff && (
              <LinkButton href={`${base}/protocol`} look="main">
                New protocol
              </LinkButton>
            )
          }
        >
          A protocol says what is read, what is kept the same within which tolerance, and what is computed from it, so
          that runs of different days and teams can be compared.
        </Empty>
      </>
    );
  const build = buildAtBench(facts, wantedBuild, ownTeam);
  const d = protocol.definition;
  const primary = primaryOf(d);
  const head = (
    <PageHead
      title={
        <>
          {protocol.name} <span className="font-normal text-soft">v{protocol.number}</span>
        </>
      }
      note={
        build ? (
          <>
            {build.team} G{build.number}, {build.stage} of {fullDate(build.builtOn)}
            {build.predicted !== null && protocol.id === facts.protocols[0]!.id && (
              <>
                . Prediction before the test:{" "}
                <strong className="font-[600] text-ink">
                  {unitAfter(showIn(primary, Number(build.predicted), 1), primary.unit)}
                </strong>
              </>
            )}
          </>
        ) : undefined
      }
    >
      <ProtocolChoice
        protocols={facts.protocols}
        chosen={protocol}
        hrefOf={(id) => `${base}?protocol=${id}${build ? `&build=${build.id}` : ""}`}
      />
      <LinkButton href={`/p/${slug}/csv/runs`} download>
        CSV
      </LinkButton>
      {staff && (
        <>
          <LinkButton href={`${base}/protocol?id=${protocol.id}`}>Edit protocol</LinkButton>
          <LinkButton href={`${base}/protocol`}>New protocol</LinkButton>
        </>
      )}
    </PageHead>
  );
  if (!build)
    return (
      <>
        {head}
        <Empty
          title="Nothing to test yet"
          action={
            <LinkButton href={`/p/${slug}/builds`} look="main">
              To the builds
            </LinkButton>
          }
        >
          A team records a build first; then its attempts are entered here.
        </Empty>
      </>
    );
  const mine = staff || build.teamId === ownTeam;
  const [loaded, { last: bench, record }, checks, series] = await Promise.all([
    loadBench(p.id, facts, protocol, build, all),
    benchmarksOf(p, protocol.name, d.primary, d.better),
    d.safety.length ? safetyChecksOf(protocol.id, frame.today) : [],
    d.measures.some((m) => m.take) ? seriesOf({ buildId: build.id, protocolId: protocol.id }) : [],
  ]);
  const view = benchView(facts, loaded, protocol, build);
  const beat = toBeat(facts, protocol, build, bench, record);
  const settings = beat.best ? settingsOfRun(beat.best.build, d.conditions, await conditionsOf(beat.best.run)) : [];
  const begun = mayBegin(checks, build.teamId, d.safety);
  const check = checkFor(checks, build.teamId, d.safety);
  return (
    <>
      {head}
      <BenchTabs slug={slug} />
      <div className="no-print mb-3 flex flex-wrap items-center gap-x-5 gap-y-1 text-soft">
        <nav aria-label="Team">
          {facts.teams.map((t, i) => {
            const b = facts.builds.findLast((x) => x.teamId === t.id);
            return (
              <span key={t.id}>
                {i > 0 && " · "}
                {b ? (
                  <Link
                    href={`${base}?protocol=${protocol.id}&build=${b.id}`}
                    aria-current={t.id === build.teamId ? "true" : undefined}
                    className={t.id === build.teamId ? "font-[650] text-ink" : "hover:text-ink"}
                  >
                    {t.name}
                  </Link>
                ) : (
                  <span {...tip("no build yet")}>{t.name}</span>
                )}
              </span>
            );
          })}
        </nav>
        <nav aria-label="Generation">
          {view.siblings.map((b, i) => (
            <span key={b.id}>
              {i > 0 && " → "}
              <Link
                href={`${base}?protocol=${protocol.id}&build=${b.id}`}
                aria-current={b.id === build.id ? "true" : undefined}
                className={b.id === build.id ? "font-[650] text-iron" : "hover:text-ink"}
              >
                G{b.number}
              </Link>
            </span>
          ))}
        </nav>
      </div>
      {mine && !p.finishedAt && !begun && (
        <SafetyCheck
          key={`${protocol.versionId} ${build.teamId}`}
          projectId={p.id}
          protocolId={protocol.id}
          teamId={build.teamId}
          who={build.team}
          cautions={d.safety}
        />
      )}
      {mine && check && (
        <SafetyChecked
          id={check.id}
          staff={staff}
          words={`Safety check of today: ${check.by}, ${instant(check.at)}.`}
        />
      )}
      {d.conditions.length > 0 && (
        <dl className="mb-3 grid grid-cols-2 gap-2.5 sm:grid-cols-4">
          {d.conditions.map((c) => (
            <div key={c.key} className="sheet px-3 py-1.5">
              <dt className="text-xs text-soft">{c.name}, kept at</dt>
              <dd>
                <span className="text-[15px] font-[650]">{c.target}</span>
                {c.unit !== "1" && <span className="unit">{c.unit}</span>}{" "}
                <span className="text-sm text-soft">± {c.tolerance}</span>
              </dd>
            </div>
          ))}
        </dl>
      )}
      {view.earlier > 0 && (
        <p className="mb-1.5 text-sm text-soft">
          The latest {view.rows.length} attempts.{" "}
          <Link href={`${base}?protocol=${protocol.id}&build=${build.id}&all=1`} className="underline">
            Show the {view.earlier} before them
          </Link>
        </p>
      )}
      <AttemptsTable
        slug={slug}
        view={view}
        protocol={protocol}
        buildId={build.id}
        mine={mine}
        staff={staff}
        open={!p.finishedAt && begun}
        builds={
          staff
            ? facts.builds
                .filter((b) => b.id !== build.id)
                .map((b) => ({ value: b.id, label: `${b.team} G${b.number}` }))
            : []
        }
      />
      {d.measures.some((m) => m.take) && (
        <>
          <SeriesList
            slug={slug}
            series={series}
            more={
              mine && !p.finishedAt
                ? {
                    live: `${base}/series/live?protocol=${protocol.id}&build=${build.id}`,
                    file: `${base}/series/new?protocol=${protocol.id}&build=${build.id}`,
                  }
                : null
            }
          />
          {mine && <LazyCapturesWaiting />}
        </>
      )}
      <BenchSummary
        view={view}
        slug={slug}
        method={d.policy.school.replace("-", " ")}
        at={{ build: build.id, protocol: protocol.id, key: d.primary }}
      />
      {view.sequence && <SequenceTable sequence={view.sequence} before={view.before?.number} />}
      <ToBeatBox slug={slug} view={beat} unit={primary.unit} settings={settings} />
      <BenchComparison view={view} number={build.number} />
      {view.teamTested && primary.levels && (
        <LevelsTable
          slug={slug}
          name="Generation"
          channel={primary}
          levels={primary.levels}
          groups={view.levelled}
          protocolId={protocol.id}
        />
      )}
      {view.teamTested && !primary.levels && (
        <LazyGenerationsChart
          name={primary.name}
          unit={primary.unit}
          benchmark={bench && { value: bench.value, label: `last year's best ${formatNumber(bench.value, 1)}` }}
          limit={view.limit}
          axis={generationsAxis(view, bench?.value)}
          generations={view.generations}
        />
      )}
      {bench && (
        <p className="mt-2 text-sm text-soft">
          Benchmark: {bench.team} G{bench.build} of {bench.edition},{" "}
          <Figure working={bench.working} unit={bench.unit}>
            {showIn(primary, bench.value, 1)}
          </Figure>
        </p>
      )}
    </>
  );
}
