import { Fragment } from "react";
import { coverage, vagueWordsIn } from "@/core/needs/requirement";
import { projectPage } from "@/platform/pages/page";
import { cx } from "@/ui/classes";
import { Fold } from "@/ui/fold";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { tip } from "@/ui/tip";
import { VerdictLegend, VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import { needsActs } from "../acts";
import { RestoreButton } from "../parts/buttons";
import { NeedsTabs } from "../parts/needs-tabs";
import { Detail } from "../parts/requirement-detail";
import { volatilityOf } from "../queries/register";
import { type RequirementRow, retiredRequirements } from "../queries/requirements";
import { projectState } from "../queries/state";
import { tracedCounts } from "../queries/trace";
import { clashesOf } from "../view/register";
import { limitWords, measureWords } from "../view/requirements";

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
  const { frame, staff } = await projectPage(slug, needsActs.read);
  const p = frame.project;
  const [facts, retired, volatility, traced] = await Promise.all([
    projectState(p.id),
    retiredRequirements(p.id),
    volatilityOf(p.id, frame.today),
    tracedCounts(p.id),
  ]);
  const base = `/p/${slug}/needs`;
  const of = (r: RequirementRow) => facts.teams.map((t) => facts.verdict(r.id, facts.newest.get(t.id)?.id));
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
                    <abbr key={t.id} className="w-[22px] text-center no-underline" {...tip(t.name)}>
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
                            const build = facts.newest.get(t.id)?.id;
                            return (
                              <span key={t.id} className="w-[22px] text-center">
                                <Figure
                                  working={workingAt(slug, "verdict", { requirement: r.id, build: build ?? "" })}
                                  className="border-b-0"
                                >
                                  <VerdictMark verdict={facts.verdict(r.id, build)} />
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
                          <Detail
                            slug={slug}
                            r={r}
                            state={facts}
                            staff={staff}
                            currency={p.currency}
                            projectId={p.id}
                          />
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
                  verdict: facts.verdict(r.id, facts.newest.get(t.id)?.id),
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
        <Fold className="mt-4 text-soft" label={<>{retired.length} retired</>}>
          <ul className="mt-1">
            {retired.map((r) => (
              <li key={r.id}>
                {r.code} {r.statement}: {r.retiredReason} {staff && <RestoreButton id={r.id} />}
              </li>
            ))}
          </ul>
        </Fold>
      )}
    </>
  );
}
