import type { ReactNode } from "react";
import { projectPage } from "@/platform/pages/page";
import { ownersOf } from "@/stages/people/queries/students";
import { Fold } from "@/ui/fold";
import Link from "@/ui/link";
import { LinkChoice } from "@/ui/link-choice";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { VerdictLegend } from "@/ui/verdict";
import { needsActs } from "../acts";
import { RestoreButton } from "../parts/buttons";
import { ManyForm } from "../parts/many-form";
import { NeedsTabs } from "../parts/needs-tabs";
import { RegisterTable } from "../parts/register-table";
import { Detail } from "../parts/requirement-detail";
import { volatilityOf } from "../queries/register";
import { retiredRequirements } from "../queries/requirements";
import { projectState } from "../queries/state";
import { tracedCounts } from "../queries/trace";
import { nextToTest } from "../view/next";
import { registerFilters, registerView } from "../view/register";

/** The register: every requirement with its limit, its source, and how every team's newest build stands. */
export async function NeedsScreen({
  slug,
  open,
  filter,
  beside,
}: {
  slug: string;
  open?: string;
  filter?: string;
  /** What other stages have beside the open requirement. */
  beside?: ReactNode;
}) {
  const { frame, staff } = await projectPage(slug, needsActs.read);
  const p = frame.project;
  const [facts, retired, volatility, traced, owners] = await Promise.all([
    projectState(p.id),
    retiredRequirements(p.id),
    volatilityOf(p.id, frame.today),
    tracedCounts(p.id),
    staff ? ownersOf(p.id) : [],
  ]);
  const people = owners.map((x) => ({ value: x.id, label: x.name }));
  const base = `/p/${slug}/needs`;
  const view = registerView(facts, traced, p.currency, { filter, open });
  const hrefOf = (more: { filter?: string; r?: string }) => {
    const all = { filter: view.filter === "all" ? undefined : view.filter, ...more };
    const q = new URLSearchParams(Object.entries(all).flatMap(([k, v]) => (v ? [[k, v]] : []))).toString();
    return q ? `${base}?${q}` : base;
  };
  if (facts.requirements.length === 0)
    return (
      <>
        <PageHead title="Requirements" />
        <NeedsTabs slug={slug} staff={staff} />
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
  const next = p.finishedAt ? [] : nextToTest(facts);
  return (
    <>
      <PageHead
        title="Requirements"
        note={
          <>
            {facts.requirements.length} requirements ·{" "}
            <strong className="font-[600] text-ink">
              {view.musts} musts{view.unverifiable ? `, all verifiable but ${view.unverifiable}` : ", all verifiable"}
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
      <NeedsTabs slug={slug} staff={staff} />
      {view.clashes.length > 0 && (
        <ul className="mb-3 border-l-4 border-iron bg-iron-wash px-3 py-1.5">
          {view.clashes.map((c) => (
            <li key={`${c.a}/${c.b}`}>
              <strong className="font-[650]">
                {c.a} and {c.b}
              </strong>
              : {c.why}.
            </li>
          ))}
        </ul>
      )}
      <div className="no-print mb-2 flex flex-wrap items-center justify-between gap-x-6 gap-y-1.5">
        <LinkChoice
          label="Filter"
          options={Object.entries(registerFilters).map(([value, label]) => ({ value, label }))}
          chosen={view.filter}
          hrefOf={(k) => hrefOf({ filter: k === "all" ? undefined : k })}
        />
        <VerdictLegend />
      </div>
      <RegisterTable
        slug={slug}
        lines={view.lines}
        teams={facts.teams}
        open={view.selected?.code}
        hrefOf={(r) => hrefOf({ r })}
        many={staff && <ManyForm projectId={p.id} people={people} />}
        empty={
          <>
            No requirement is {registerFilters[view.filter]}.{" "}
            <Link href={base} className="underline">
              Show all
            </Link>
          </>
        }
        detail={
          view.selected && (
            <>
              <Detail slug={slug} r={view.selected} state={facts} staff={staff} currency={p.currency} owners={people} />
              {beside && <div className="mt-2 border-t border-line px-4">{beside}</div>}
            </>
          )
        }
      />
      {!view.selected && facts.teams.length > 0 && (
        <Sheet className="mt-4" title="Coverage: musts that are met by the newest build">
          <div className="grid gap-x-6 gap-y-1 sm:grid-cols-2 lg:grid-cols-4">
            {view.coverage.map((c) => (
              <p key={c.team} className="flex items-center gap-2">
                <span className="w-20 truncate">{c.team}</span>
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
            ))}
          </div>
        </Sheet>
      )}
      {!view.selected && next.some((n) => n.next.length > 0) && (
        <Sheet className="mt-4" title="What to test next">
          <ul className="grid gap-x-6 gap-y-1 sm:grid-cols-2">
            {next
              .filter((n) => n.next.length > 0)
              .map((n) => (
                <li key={n.team} className="flex flex-wrap gap-x-3">
                  <span className="w-20 truncate">{n.team}</span>
                  {n.next.map((x) => (
                    <Link key={x.code} href={`/p/${slug}${x.path}`} className="hover:text-iron">
                      <span className="font-[600]">{x.code}</span> <span className="text-soft">{x.words}</span>
                    </Link>
                  ))}
                  {n.more > 0 && <span className="text-soft">and {n.more} more</span>}
                </li>
              ))}
          </ul>
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
