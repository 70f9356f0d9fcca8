import Link from "@/ui/link";
import { Fragment } from "react";
import { notFound } from "next/navigation";
import { coverage, runMeasure, vagueWordsIn } from "@/core/needs/requirement";
import { fromSi } from "@/core/quantity/quantity";
import { channelsOf } from "@/core/run/protocol";
import { protocolsOf } from "@/data/bench";
import {
  limitWords,
  measureWords,
  requirementHistory,
  type RequirementRow,
  requirementsOf,
  retiredRequirements,
} from "@/data/needs";
import { staffOf, studentsOf } from "@/data/people";
import { clashesOf, tracedCounts, traceOf, volatilityOf } from "@/data/register";
import { projectFacts, type StatusMatrix, statusMatrix, summaryOf } from "@/data/status";
import { projectPage } from "@/server/page";
import { cx } from "@/ui/classes";
import { instant } from "@/ui/date";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { VerdictLegend, VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import { OwnerForm } from "./change-forms";
import { NeedsTabs } from "./tabs";
import { FindingForm, KeepForm, type MeasureChoice, RequirementForm, RestoreButton, RetireForm } from "./forms";

const sorts = {
  code: "code",
  statement: "statement",
  owner: "owner",
  version: "most changed",
  met: "least met",
} as const;
const filters = { all: "All", must: "must", missed: "not met anywhere", stale: "stale", bare: "no measure" } as const;

/** The register: every requirement with its limit, its source, and how every team's newest build stands. */
export async function NeedsScreen({
  slug,
  open,
  filter,
  sort,
}: {
  slug: string;
  open?: string;
  filter?: string;
  sort?: string;
}) {
  const { frame, staff } = await projectPage(slug, "needs.read");
  const p = frame.project;
  const [facts, retired, volatility, traced] = await Promise.all([
    projectFacts(p.id),
    retiredRequirements(p.id),
    volatilityOf(p.id, frame.today),
    tracedCounts(p.id),
  ]);
  const m = statusMatrix(facts);
  const base = `/p/${slug}/needs`;
  const of = (r: RequirementRow) => facts.teams.map((t) => m.status.get(r.id)!.get(t.id)!.value);
  const keep = {
    all: () => true,
    must: (r: RequirementRow) => r.priority === "must",
    missed: (r: RequirementRow) => of(r).includes("not met") && !of(r).includes("met"),
    stale: (r: RequirementRow) => of(r).includes("stale"),
    bare: (r: RequirementRow) => !r.comparator,
  };
  const chosen = (filter && filter in keep ? filter : "all") as keyof typeof keep;
  const shown = facts.requirements.filter(keep[chosen]);
  const musts = facts.requirements.filter((r) => r.priority === "must");
  const unverifiable = musts.filter((r) => !r.method || !r.comparator).length;
  const selected = facts.requirements.find((r) => r.code === open);
  const clashes = clashesOf(facts.requirements);
  const by = (sort && sort in sorts ? sort : "code") as keyof typeof sorts;
  const met = (r: RequirementRow) => of(r).filter((v) => v === "met").length;
  const orders = {
    code: () => 0,
    statement: (a: RequirementRow, b: RequirementRow) => a.statement.localeCompare(b.statement),
    owner: (a: RequirementRow, b: RequirementRow) => (a.owner ?? "~").localeCompare(b.owner ?? "~"),
    version: (a: RequirementRow, b: RequirementRow) => b.number - a.number,
    met: (a: RequirementRow, b: RequirementRow) => met(a) - met(b),
  };
  const query = (more: Record<string, string | undefined>) => {
    const all: Record<string, string | undefined> = {
      filter: chosen === "all" ? undefined : chosen,
      sort: by === "code" ? undefined : by,
      ...more,
    };
    const q = new URLSearchParams(Object.entries(all).flatMap(([k, v]) => (v ? [[k, v]] : []))).toString();
    return q ? `${base}?${q}` : base;
  };
  shown.sort(orders[by]);
  if (facts.requirements.length === 0)
    return (
      <>
        <PageHead title="Requirements" />
        <NeedsTabs slug={slug} />
        <Empty
          title="No requirement yet"
          action={
            staff && (
              <LinkButton href={`${base}/new`} look="main">
                New requirement
              </LinkButton>
            )
          }
        >
          Write down each thing that the client or the rules ask for, with its number where it has one. Builds and test
          runs are then checked against it by themselves.
        </Empty>
      </>
    );
  const groups = [
    { title: "Musts", list: shown.filter((r) => r.priority === "must") },
    { title: "Should and could", list: shown.filter((r) => r.priority !== "must") },
  ].filter((g) => g.list.length);
  return (
    <>
      <PageHead
        title="Requirements"
        note={
          <>
            {facts.requirements.length} requirements ·{" "}
            <strong className="font-[600] text-ink">
              {musts.length} musts{unverifiable ? `, all verifiable but ${unverifiable}` : ", all verifiable"}
            </strong>
            {volatility.since
              ? ` · ${volatility.changes} ${volatility.changes === 1 ? "change" : "changes"} since the baseline` +
                `${volatility.perWeek === null ? "" : `, ${volatility.perWeek.toFixed(1)} a week`}`
              : " · no baseline yet"}
          </>
        }
      >
        <LinkButton href={`/p/${slug}/csv/requirements`} download>
          CSV
        </LinkButton>
        {staff && (
          <LinkButton href={`${base}/new`} look="main">
            New requirement
          </LinkButton>
        )}
      </PageHead>
      <NeedsTabs slug={slug} />
      {clashes.length > 0 && (
        <ul className="mb-3 border-l-4 border-iron bg-iron-wash px-3 py-1.5">
          {clashes.map((c) => (
            <li key={`${c.a}/${c.b}`}>
              <strong className="font-[650]">
                {facts.requirements[c.a]!.code} and {facts.requirements[c.b]!.code}
              </strong>
              : {c.why}.
            </li>
          ))}
        </ul>
      )}
      <div className="no-print mb-2 flex flex-wrap items-center justify-between gap-x-6 gap-y-1.5">
        <nav aria-label="Filter" className="text-soft">
          {Object.entries(filters).map(([k, label], i) => (
            <span key={k}>
              {i > 0 && " · "}
              <Link
                href={query({ filter: k === "all" ? undefined : k })}
                aria-current={chosen === k ? "true" : undefined}
                className={chosen === k ? "font-[650] text-ink" : "hover:text-ink"}
              >
                {label}
              </Link>
            </span>
          ))}
        </nav>
        <nav aria-label="Sort" className="text-soft">
          sorted by{" "}
          {Object.entries(sorts).map(([k, label], i) => (
            <span key={k}>
              {i > 0 && " · "}
              <Link
                href={query({ sort: k === "code" ? undefined : k })}
                aria-current={by === k ? "true" : undefined}
                className={by === k ? "font-[650] text-ink" : "hover:text-ink"}
              >
                {label}
              </Link>
            </span>
          ))}
        </nav>
        <VerdictLegend />
      </div>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Requirements">
        <table className="table">
          <thead>
            <tr>
              <th>Code</th>
              <th>Statement</th>
              <th>Kind</th>
              <th>Measure and limit</th>
              <th>Verified by</th>
              <th>From</th>
              <th className="pr-0">
                <span className="flex">
                  {facts.teams.map((t) => (
                    <abbr key={t.id} title={t.name} className="w-[22px] text-center no-underline">
                      {t.name[0]}
                    </abbr>
                  ))}
                </span>
              </th>
            </tr>
          </thead>
          {groups.map((g) => (
            <tbody key={g.title}>
              <tr className="band">
                <td colSpan={7}>{g.title}</td>
              </tr>
              {g.list.map((r) => {
                const vague = r.comparator ? [] : vagueWordsIn(r.statement);
                const bad = of(r).filter((v) => v === "not met").length * 2 > facts.teams.length;
                return (
                  <Fragment key={r.id}>
                    <tr className={cx(selected?.id === r.id ? "bg-[#f1eadc]" : bad && "bg-iron-wash")}>
                      <td className="font-[650] whitespace-nowrap">
                        <Link
                          href={selected?.id === r.id ? query({}) : query({ r: r.code })}
                          className="hover:text-iron"
                          scroll={false}
                          aria-expanded={selected?.id === r.id}
                        >
                          {r.code}
                        </Link>
                      </td>
                      <td className="min-w-52">
                        <Link href={query({ r: r.code })} scroll={false} className="hover:text-iron">
                          {r.statement}
                        </Link>
                        {vague.length > 0 && (
                          <span className="block text-sm text-ochre-deep">
                            “{vague.join("”, “")}” has no measure. Ask the client, or set a limit.
                          </span>
                        )}
                      </td>
                      <td>{r.kind}</td>
                      <td className="min-w-36">
                        {r.comparator ? (
                          <>
                            {measureWords(r, facts.protocols)}{" "}
                            <strong className="font-[600]">
                              {r.comparator === "yes" ? "yes or no" : limitWords(r, p.currency)}
                            </strong>
                          </>
                        ) : (
                          <span className="text-sm text-ochre-deep">no measure yet</span>
                        )}
                      </td>
                      <td>{r.method ?? "–"}</td>
                      <td className="max-w-44 text-soft">
                        <span className="line-clamp-2">
                          {r.source || (traced.get(r.id) ? `${traced.get(r.id)} statements` : "–")}
                        </span>
                        {r.owner && <span className="block text-xs">looked after by {r.owner}</span>}
                      </td>
                      <td className="pr-0">
                        <span className="flex">
                          {facts.teams.map((t) => {
                            const s = m.status.get(r.id)!.get(t.id)!;
                            return (
                              <span key={t.id} className="w-[22px] text-center">
                                <Figure working={s.working} className="border-b-0">
                                  <VerdictMark verdict={s.value} />
                                  <span className="sr-only"> {t.name}</span>
                                </Figure>
                              </span>
                            );
                          })}
                        </span>
                      </td>
                    </tr>
                    {selected?.id === r.id && (
                      <tr>
                        <td colSpan={7} className="bg-[#f6f1e6] p-0">
                          <Detail slug={slug} r={r} m={m} staff={staff} currency={p.currency} projectId={p.id} />
                        </td>
                      </tr>
                    )}
                  </Fragment>
                );
              })}
            </tbody>
          ))}
        </table>
        {shown.length === 0 && (
          <p className="sheet px-3 py-2 text-soft">
            No requirement is {filters[chosen]}.{" "}
            <Link href={base} className="underline">
              Show all
            </Link>
          </p>
        )}
      </div>
      {!selected && facts.teams.length > 0 && (
        <Sheet className="mt-4" title="Coverage: musts that are met by the newest build">
          <div className="grid gap-x-6 gap-y-1 sm:grid-cols-2 lg:grid-cols-4">
            {facts.teams.map((t) => {
              const c = coverage(
                facts.requirements.map((r) => ({
                  priority: r.priority,
                  verdict: m.status.get(r.id)!.get(t.id)!.value,
                })),
              );
              return (
                <p key={t.id} className="flex items-center gap-2">
                  <span className="w-20 truncate">{t.name}</span>
                  <span aria-hidden className="h-2 grow bg-stone-1">
                    <span
                      className="block h-full bg-moss"
                      style={{ width: `${c.musts ? (100 * c.verified) / c.musts : 0}%` }}
                    />
                  </span>
                  <span className="text-soft">
                    {c.verified} of {c.musts}
                  </span>
                </p>
              );
            })}
          </div>
        </Sheet>
      )}
      {retired.length > 0 && (
        <details className="mt-4 text-soft">
          <summary>{retired.length} retired</summary>
          <ul className="mt-1">
            {retired.map((r) => (
              <li key={r.id}>
                {r.code} {r.statement}: {r.retiredReason} {staff && <RestoreButton id={r.id} />}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

/** One requirement traced from its words over its version and verification to where the class stands. */
async function Detail({
  slug,
  r,
  m,
  staff,
  currency,
  projectId,
}: {
  slug: string;
  r: RequirementRow;
  m: StatusMatrix;
  staff: boolean;
  currency: string;
  projectId: string;
}) {
  const [history, trace, students, staffers] = await Promise.all([
    requirementHistory(r.id),
    traceOf(r.id),
    studentsOf(projectId),
    staffOf(projectId),
  ]);
  const { facts } = m;
  const run = runMeasure(r.measure);
  const protocol = run ? facts.protocols.find((x) => x.id === run.protocol) : undefined;
  const runs = protocol ? facts.runs.filter((x) => x.protocolId === protocol.id && x.place === "bench") : [];
  const channel = protocol && channelsOf(protocol.definition).find((c) => c.key === run!.channel);
  const values = facts.teams.map((t) => {
    const b = m.newest.get(t.id);
    const v = !b
      ? null
      : protocol && channel
        ? summaryOf(facts, protocol, b.id, channel.key).value.counted
        : (r.measure === "mass" || r.measure === "cost") && b[r.measure] !== null
          ? Number(fromSi(b[r.measure]!, r.measure === "mass" ? (r.unit ?? "kg") : "1"))
          : null;
    return { t, v, verdict: m.status.get(r.id)!.get(t.id)!.value };
  });
  const target = r.target === null ? null : Number(fromSi(r.target, channel?.unit ?? r.unit ?? "1"));
  const top = Math.max(target ?? 0, ...values.map((x) => x.v ?? 0)) * 1.08 || 1;
  const builds = facts.teams.flatMap((t) => {
    const b = m.newest.get(t.id);
    return b ? [{ id: b.id, label: `${t.name} G${b.number}`, team: t.id }] : [];
  });
  const staleBuilds = builds.filter((b) => m.status.get(r.id)!.get(b.team)!.value === "stale");
  return (
    <section
      className="grid gap-x-6 gap-y-4 px-4 py-3 md:grid-cols-2 xl:grid-cols-4"
      aria-label={`${r.code} in detail`}
    >
      <div>
        <h3 className="mb-1.5">{r.code} · in the words of</h3>
        {trace.statements.map((x) => (
          <div key={x.id} className="mb-1.5">
            {x.notes.map((n) => (
              <blockquote key={n.text} className="border-l-3 border-stone-3 pl-3">
                “{n.text}”
                <span className="block text-sm text-soft">
                  {n.author},{" "}
                  <Link href={`/p/${slug}/needs/sources/${n.sourceId}`} className="underline">
                    {n.source}
                  </Link>
                  {n.question && `, asked: ${n.question}`}
                </span>
              </blockquote>
            ))}
            <p className="mt-0.5 text-sm">became “{x.text}”</p>
          </div>
        ))}
        {r.source && !trace.statements.length && (
          <blockquote className="border-l-3 border-stone-3 pl-3">{r.source}</blockquote>
        )}
        {trace.rules.map((k) => (
          <p key={k} className="text-sm text-soft">
            Rule of the{" "}
            <Link href={`/p/${slug}/brief`} className="underline">
              brief
            </Link>
            : {k.replace(/#/g, "…")}
          </p>
        ))}
        {!r.source && !trace.statements.length && !trace.rules.length && (
          <p className="text-ochre-deep">No source is noted. Later nobody can say where this came from.</p>
        )}
      </div>
      <div>
        <h3 className="mb-1.5">Requirement, version {r.number}</h3>
        <p className="font-[600]">
          {r.comparator ? `${measureWords(r, facts.protocols)} ${limitWords(r, currency)}` : "no measure yet"}
        </p>
        <ol className="mt-1 text-sm text-soft">
          {history.map((h) => (
            <li key={h.number} className="border-t border-line py-0.5">
              v{h.number}, {instant(h.createdAt)}, {h.createdBy}
              {h.number !== r.number && h.comparator && <>: was {limitWords(h as RequirementRow, currency)}</>}
              {h.reason && <>. {h.reason}</>}
            </li>
          ))}
        </ol>
        {staff && (
          <p className="no-print mt-2">
            <Link href={`/p/${slug}/needs/${r.id}`} className="underline">
              Change or retire
            </Link>
          </p>
        )}
      </div>
      <div>
        <h3 className="mb-1.5">Verified by</h3>
        {protocol ? (
          <>
            <p>
              <Link href={`/p/${slug}/bench?protocol=${protocol.id}`} className="font-[600] hover:text-iron">
                {protocol.name} v{protocol.number}
              </Link>
              , {protocol.definition.policy.school.replace("-", " ")} counts
            </p>
            <p className="text-sm text-soft">
              {runs.length} runs, {runs.filter((x) => !facts.assessed.get(x.id)?.comparable).length} not comparable
            </p>
          </>
        ) : r.measure ? (
          <p>The {r.measure === "envelope" ? "sides" : r.measure} that each build records.</p>
        ) : (
          <p>{r.method ?? "Not decided"}: somebody looks or tries, and says so.</p>
        )}
        {trace.builds.length > 0 && (
          <p className="mt-1.5 text-sm text-soft">
            Evidence from {trace.builds.length} builds
            {trace.builds.some((b) => b.runs) ? ` and ${trace.builds.reduce((s, b) => s + b.runs, 0)} runs` : ""}:{" "}
            {trace.builds.slice(-8).map((b, i) => (
              <span key={b.id}>
                {i > 0 && ", "}
                <Link href={`/p/${slug}/builds/${b.id}`} className="underline">
                  {b.label}
                </Link>
              </span>
            ))}
            {trace.builds.length > 8 && " and earlier ones"}
          </p>
        )}
        {trace.reviews.length > 0 && (
          <p className="mt-1 text-sm text-soft">
            Leaned on in{" "}
            {trace.reviews.map((v, i) => (
              <span key={v.id}>
                {i > 0 && ", "}
                <Link href={`/p/${slug}/reviews/${v.id}`} className="underline">
                  {v.label}
                </Link>{" "}
                ({v.verdict})
              </span>
            ))}
          </p>
        )}
      </div>
      <div>
        <h3 className="mb-1.5">Where the class stands</h3>
        {values.some((x) => x.v !== null) ? (
          <svg
            viewBox="0 0 240 96"
            className="w-full max-w-64"
            role="img"
            aria-label={values
              .map((x) => `${x.t.name} ${x.v === null ? "nothing" : x.v.toFixed(2)}, ${x.verdict}`)
              .join("; ")}
          >
            {values.map((x, i) => {
              const w = 240 / values.length;
              const h = x.v === null ? 0 : (72 * x.v) / top;
              return (
                <g key={x.t.id}>
                  <rect
                    x={i * w + w * 0.18}
                    y={76 - h}
                    width={w * 0.64}
                    height={h}
                    fill={
                      {
                        met: "#526b3c",
                        marginal: "#a87413",
                        "not met": "#b9a282",
                        stale: "#8fa0ad",
                        untested: "#d3c4ab",
                        "not applicable": "#d3c4ab",
                      }[x.verdict]
                    }
                  />
                  <text x={i * w + w / 2} y={91} textAnchor="middle" fontSize="11" fill="#6b6258">
                    {x.t.name[0]}
                  </text>
                </g>
              );
            })}
            {target !== null && (
              <line
                x1="0"
                x2="240"
                y1={76 - (72 * target) / top}
                y2={76 - (72 * target) / top}
                stroke="#231f1b"
                strokeDasharray="4 3"
              />
            )}
          </svg>
        ) : (
          <ul className="text-sm">
            {values.map((x) => (
              <li key={x.t.id} className="flex gap-2">
                <VerdictMark verdict={x.verdict} />
                {x.t.name}
              </li>
            ))}
          </ul>
        )}
      </div>
      {staff && (
        <div className="no-print md:col-span-2 xl:col-span-4">
          <OwnerForm
            id={r.id}
            ownerId={r.ownerId}
            people={[...staffers, ...students].map((x) => ({ value: x.id, label: x.name }))}
          />
        </div>
      )}
      {staff && (!r.measure || staleBuilds.length > 0) && builds.length > 0 && (
        <div className="no-print grid gap-3 border-t border-line pt-3 md:col-span-2 xl:col-span-4">
          {!r.measure && <FindingForm requirementId={r.id} builds={builds} />}
          {staleBuilds.length > 0 && <KeepForm requirementId={r.id} builds={staleBuilds} />}
        </div>
      )}
    </section>
  );
}

export async function RequirementScreen({ slug, id }: { slug: string; id?: string }) {
  const { frame } = await projectPage(slug, "needs.edit");
  const p = frame.project;
  const [protocols, list] = await Promise.all([protocolsOf(p.id), requirementsOf(p.id)]);
  const r = id ? list.find((x) => x.id === id) : undefined;
  if (id && !r) notFound();
  const measures: MeasureChoice[] = [
    { value: "mass", label: "mass of the build", unit: "kg", method: "inspection" },
    { value: "envelope", label: "size of the build (envelope)", unit: "mm", method: "inspection" },
    { value: "cost", label: "cost of the parts", unit: "1", method: "inspection" },
    ...protocols.flatMap((x) =>
      channelsOf(x.definition).map((c) => ({
        value: `run:${x.id}:${c.key}`,
        label: `${x.name}: ${c.name} (${c.unit})`,
        unit: c.unit,
        method: "test",
      })),
    ),
  ];
  const back = (si: string | null, unit: string | null) =>
    si === null
      ? ""
      : fromSi(si, unit ?? "1")
          .toSignificantDigits(10)
          .toString();
  return (
    <>
      <PageHead
        title={r ? `${r.code}: change` : "New requirement"}
        note={
          r ? `Version ${r.number}. Saving makes version ${r.number + 1}; the old one stays in its history.` : undefined
        }
      />
      <RequirementForm
        projectId={p.id}
        slug={slug}
        measures={measures}
        currency={p.currency}
        defaults={
          r
            ? {
                id: r.id,
                version: r.rowVersion,
                statement: r.statement,
                kind: r.kind,
                priority: r.priority,
                measure: r.measure ?? "",
                comparator: r.comparator ?? "",
                unit: r.unit ?? "",
                target: back(r.target, r.unit),
                second: back(r.second, r.unit),
                sides: r.sides ? `${r.sides.map((x) => Number(x) * 1000).join(" × ")} mm` : "",
                method: r.method ?? "",
                source: r.source,
                reason: "",
              }
            : {
                version: 0,
                statement: "",
                kind: "constraint",
                priority: "must",
                measure: "",
                comparator: "",
                unit: "",
                target: "",
                second: "",
                sides: "",
                method: "",
                source: "",
                reason: "",
              }
        }
      />
      {r && (
        <section className="mt-8 border-t border-line pt-4">
          <h2 className="mb-2">Retire {r.code}</h2>
          <RetireForm id={r.id} version={r.rowVersion} slug={slug} />
        </section>
      )}
    </>
  );
}
