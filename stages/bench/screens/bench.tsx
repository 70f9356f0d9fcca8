import { decimalsFor, formatNumber, formatSi, fromSi } from "@/core/quantity/quantity";
import { channelsOf } from "@/core/run/protocol";
import { compareMeans } from "@/core/stats/compare";
import { outliers } from "@/core/stats/describe";
import { projectPage } from "@/platform/pages/page";
import { projectFacts } from "@/stages/needs/queries/facts";
import { limitOf } from "@/stages/needs/view/requirements";
import { requirementStatus, summaryOf } from "@/stages/needs/view/verdicts";
import { benchmarkOf } from "@/stages/records/view";
import { cx } from "@/ui/classes";
import { fullDate } from "@/ui/date";
import Link from "@/ui/link";
import { Caution, Empty, LinkButton, PageHead } from "@/ui/page";
import { VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import { AttemptEntry } from "../parts/attempt-entry";
import { LazyGenerationsChart } from "../parts/lazy-generations-chart";
import { RunTools } from "../parts/run-tools";

/** The bench: one build under one protocol, its attempts, what they come to, and how its generations compare. */
export async function BenchScreen({
  slug,
  protocol: wantedProtocol,
  build: wantedBuild,
}: {
  slug: string;
  protocol?: string;
  build?: string;
}) {
  const { frame, staff, ownTeam } = await projectPage(slug);
  const p = frame.project;
  const facts = await projectFacts(p.id);
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
  const build =
    facts.builds.find((b) => b.id === wantedBuild) ??
    facts.builds.findLast(
      (b) => (ownTeam ? b.teamId === ownTeam : true) && facts.runs.some((r) => r.buildId === b.id),
    ) ??
    facts.builds.findLast((b) => !ownTeam || b.teamId === ownTeam);
  const d = protocol.definition;
  const channels = channelsOf(d);
  const primary = channels.find((c) => c.key === d.primary)!;
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
            {build.predicted !== null && (
              <>
                . Prediction before the test:{" "}
                <strong className="font-[600] text-ink">
                  {formatNumber(build.predicted, 1)} {primary.unit}
                </strong>
              </>
            )}
          </>
        ) : undefined
      }
    >
      {facts.protocols.length > 1 && (
        <nav aria-label="Protocol" className="text-soft">
          {facts.protocols.map((x, i) => (
            <span key={x.id}>
              {i > 0 && " · "}
              <Link
                className={x.id === protocol.id ? "font-[650] text-ink" : "hover:text-ink"}
                href={`${base}?protocol=${x.id}${build ? `&build=${build.id}` : ""}`}
              >
                {x.name}
              </Link>
            </span>
          ))}
        </nav>
      )}
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
  const runs = facts.runs.filter((r) => r.buildId === build.id && r.protocolId === protocol.id && r.place === "bench");
  const summary = summaryOf(facts, protocol, build.id, d.primary);
  const siblings = facts.builds.filter((b) => b.teamId === build.teamId);
  const valuesOf = (id: string) =>
    facts.runs
      .filter((r) => r.buildId === id && r.protocolId === protocol.id && r.place === "bench")
      .flatMap((r) => {
        const a = facts.assessed.get(r.id);
        const v = a?.comparable ? a.values[d.primary]?.value : null;
        return v ? [v.value] : [];
      });
  const before = siblings.findLast((b) => b.number < build.number && valuesOf(b.id).length > 0);
  const comparison = before
    ? compareMeans(
        { name: `G${before.number}`, values: valuesOf(before.id) },
        { name: `G${build.number}`, values: valuesOf(build.id) },
        undefined,
        primary.unit,
      )
    : null;
  const changed = before
    ? [...new Set([...Object.keys(build.variables), ...Object.keys(before.variables)])].filter(
        (k) => build.variables[k] !== before.variables[k],
      )
    : [];
  const bench = await benchmarkOf(p.editionOf, protocol.name, d.primary);
  const asked = facts.requirements.filter((r) => r.measure?.startsWith(`run:${protocol.id}:`));
  const limitReq = asked.find((r) => r.measure === `run:${protocol.id}:${d.primary}` && r.target);
  const counted = runs.filter((r) => facts.assessed.get(r.id)?.comparable);
  const far = new Set(
    outliers(counted.map((r) => facts.assessed.get(r.id)!.values[d.primary]?.value?.value ?? 0)).map(
      (i) => counted[i]!.id,
    ),
  );
  const last = runs.at(-1);
  const ghost = Object.fromEntries(
    d.measures.map((m) => [
      m.key,
      last?.readings[m.key] ? formatSi(last.readings[m.key]!, m.unit, decimalsFor(m.resolution)) : "",
    ]),
  );
  const nextAttempt =
    Math.max(0, ...runs.filter((r) => r.protocolVersionId === protocol.versionId).map((r) => r.attempt)) + 1;
  const columns = 2 + channels.length;
  return (
    <>
      {head}
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
                  <span title="no build yet">{t.name}</span>
                )}
              </span>
            );
          })}
        </nav>
        <nav aria-label="Generation">
          {siblings.map((b, i) => (
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
      {d.safety.length > 0 && mine && runs.length === 0 && (
        <div className="mb-3">
          <Caution>
            {d.safety.map((s) => (
              <p key={s}>{s}</p>
            ))}
          </Caution>
        </div>
      )}
      {d.conditions.length > 0 && (
        <dl className="mb-3 grid grid-cols-2 gap-2.5 sm:grid-cols-4">
          {d.conditions.map((c) => (
            <div key={c.key} className="sheet px-3 py-1.5">
              <dt className="text-xs text-soft">{c.name}, kept at</dt>
              <dd>
                <span className="text-[15px] font-[650]">{c.target}</span>
                <span className="unit">{c.unit}</span> <span className="text-sm text-soft">± {c.tolerance}</span>
              </dd>
            </div>
          ))}
        </dl>
      )}
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Attempts">
        <table className="table">
          <thead>
            <tr>
              <th>Attempt</th>
              {d.measures.map((m) => (
                <th key={m.key} className="num">
                  {m.name} <span className="unit">{m.unit}</span>
                </th>
              ))}
              {d.derived.map((x) => (
                <th key={x.key} className="num">
                  {x.name} <span className="unit">{x.unit}</span>
                </th>
              ))}
              <th>Verdict</th>
            </tr>
          </thead>
          <tbody>
            {runs.map((r) => {
              const a = facts.assessed.get(r.id)!;
              return (
                <tr key={r.id} className={cx(!a.comparable && "text-[#7b7166]")}>
                  <td>{r.attempt}</td>
                  {channels.map((c) => {
                    const v = a.values[c.key]!;
                    const isRead = d.measures.some((m) => m.key === c.key);
                    return (
                      <td key={c.key} className="num">
                        {v.value ? (
                          isRead ? (
                            v.value.shown
                          ) : (
                            <Figure working={{ ...v.working, title: `${c.name}, attempt ${r.attempt}` }}>
                              {v.value.shown}
                            </Figure>
                          )
                        ) : (
                          "–"
                        )}
                      </td>
                    );
                  })}
                  <td className="max-w-72">
                    <div className="flex flex-wrap items-start justify-between gap-x-3">
                      <span className="flex items-start gap-1.5">
                        <VerdictMark verdict={a.comparable ? "met" : "not applicable"} />
                        <span>
                          {a.comparable ? "counts" : a.reasons.join("; ")}
                          {far.has(r.id) && (
                            <span className="block text-sm text-ochre-deep">
                              stands far from the others: look at it before you trust it
                            </span>
                          )}
                          {a.alarms.map((x) => (
                            <span key={x} className="block text-sm text-iron">
                              {x}
                            </span>
                          ))}
                        </span>
                      </span>
                      {mine && (
                        <RunTools
                          id={r.id}
                          version={r.version}
                          state={r.state}
                          staff={staff}
                          typed={{
                            readings: Object.fromEntries(
                              d.measures.map((m) => [
                                m.key,
                                r.readings[m.key]
                                  ? `${formatSi(r.readings[m.key]!, m.unit, decimalsFor(m.resolution))}`
                                  : "",
                              ]),
                            ),
                            conditions: Object.fromEntries(
                              d.conditions.map((c) => [
                                c.key,
                                r.conditions[c.key]
                                  ? formatSi(r.conditions[c.key]!, c.unit, Math.max(2, decimalsFor(c.tolerance)))
                                  : "",
                              ]),
                            ),
                          }}
                          names={[
                            ...d.measures.map((m) => ({
                              key: m.key,
                              name: `${m.name} (${m.unit})`,
                              role: "readings" as const,
                            })),
                            ...d.conditions.map((c) => ({
                              key: c.key,
                              name: `${c.name} (${c.unit})`,
                              role: "conditions" as const,
                            })),
                          ]}
                        />
                      )}
                    </div>
                  </td>
                </tr>
              );
            })}
            {mine && !p.finishedAt && (
              <AttemptEntry
                buildId={build.id}
                protocolVersionId={protocol.versionId}
                next={nextAttempt}
                measures={d.measures}
                conditions={d.conditions}
                before={ghost}
                derived={d.derived.length}
                lead={columns}
              />
            )}
            {!mine && runs.length === 0 && (
              <tr>
                <td colSpan={columns} className="text-soft">
                  No attempt yet.
                </td>
              </tr>
            )}
          </tbody>
        </table>
      </div>
      {summary.value.n > 0 && (
        <div className="my-3 flex flex-wrap items-baseline gap-x-6 gap-y-1">
          <span>
            <span className="text-soft">counts ({d.policy.school.replace("-", " ")})</span>{" "}
            <Figure big unit={primary.unit} working={summary.working}>
              {formatNumber(summary.value.counted ?? 0, 2)}
            </Figure>
          </span>
          <span className="text-soft">
            mean {formatNumber(summary.value.mean!, 2)}
            {summary.value.sd !== null && ` · spread (sd) ${formatNumber(summary.value.sd, 2)}`} · best{" "}
            {formatNumber(summary.value.best!, 2)} · n = {summary.value.n}
            {summary.value.setAside > 0 && `, ${summary.value.setAside} left out`}
          </span>
          {asked.map((r) => {
            const s = requirementStatus(facts, r, build);
            return (
              <span key={r.id} className="flex items-center gap-1.5">
                <Link href={`/p/${slug}/needs?r=${r.code}`} className="font-[600] hover:text-iron">
                  {r.code}
                </Link>
                <Figure working={s.working} className="border-b-0">
                  <VerdictMark verdict={s.value} word />
                </Figure>
              </span>
            );
          })}
        </div>
      )}
      {comparison && (
        <p
          className={cx(
            "my-3 rounded-md px-4 py-2.5",
            comparison.value.kind === "compared" && comparison.value.distinct ? "bg-moss-wash" : "bg-ochre-wash",
          )}
        >
          {comparison.value.kind === "compared" && comparison.value.distinct ? (
            <>
              G{build.number} gives {comparison.value.difference > 0 ? "more" : "less"} than G{before!.number} by{" "}
              <Figure working={comparison.working} unit={primary.unit} className="font-[650]">
                {formatNumber(Math.abs(comparison.value.difference), 2)}
              </Figure>{" "}
              (
              {comparison.value.interval
                .map((x) => formatNumber(Math.abs(x), 2))
                .sort()
                .join(" to ")}
              ): larger than the scatter between runs.{" "}
            </>
          ) : (
            <>
              <Figure working={comparison.working}>{`G${build.number} against G${before!.number}`}</Figure>:{" "}
              {comparison.value.sentence}{" "}
            </>
          )}
          {changed.length > 1
            ? `${changed.length} variables changed (${changed.join(", ")}), so the record cannot say which one did it.`
            : changed.length === 1
              ? `One variable changed: ${changed[0]}.`
              : ""}
        </p>
      )}
      {facts.runs.some((r) => r.teamId === build.teamId && r.protocolId === protocol.id) && (
        <LazyGenerationsChart
          name={primary.name}
          unit={primary.unit}
          benchmark={bench && { value: bench.value, label: `last year's best ${formatNumber(bench.value, 1)}` }}
          limit={
            limitReq
              ? {
                  value: fromSi(limitReq.target!, primary.unit).toNumber(),
                  label: `${limitReq.code} ${limitOf(limitReq)!.comparator} ${fromSi(limitReq.target!, primary.unit)}`,
                }
              : null
          }
          generations={siblings.map((b) => {
            const s = summaryOf(facts, protocol, b.id, d.primary).value;
            return {
              label: `G${b.number}`,
              runs: valuesOf(b.id),
              mean: s.mean,
              low: s.interval?.[0] ?? null,
              high: s.interval?.[1] ?? null,
            };
          })}
        />
      )}
      {bench && (
        <p className="mt-2 text-sm text-soft">
          Benchmark: {bench.team} G{bench.build} of {bench.edition},{" "}
          <Figure working={bench.working} unit={bench.unit}>
            {formatNumber(bench.value, 1)}
          </Figure>
        </p>
      )}
    </>
  );
}
