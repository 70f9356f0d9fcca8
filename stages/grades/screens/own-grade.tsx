import type { Working } from "@/core/working/working";
import { instant } from "@/platform/pages/dates";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { Figure } from "@/ui/working";
import { AppealForm } from "../parts/appeal-forms";
import { Appeals } from "../parts/appeals";
import { GradeTree } from "../parts/grade-tree";
import { appealsOf } from "../queries/appeals";
import { peerRoundsOf } from "../queries/peers";
import { publishedTo } from "../queries/publications";

/** A student's own published grade; nothing before it is published, and never anybody else's. */
export async function OwnGrade({ projectId, slug, personId }: { projectId: string; slug: string; personId: string }) {
  const [all, appeals, rounds] = await Promise.all([
    publishedTo(projectId, personId),
    appealsOf(projectId, personId),
    peerRoundsOf(projectId),
  ]);
  const now = all.find((p) => !p.withdrawnAt);
  const rate = rounds.some((r) => !r.closedAt) && (
    <LinkButton href={`/p/${slug}/grades/peers`} look="plain">
      Rate your team
    </LinkButton>
  );
  if (!now)
    return (
      <>
        <PageHead title="My grade">{rate}</PageHead>
        <Empty title="Nothing is published yet">
          When your instructor publishes grades, yours stands here and opens into its arithmetic.
        </Empty>
        <Appeals appeals={appeals} staff={false} nameOf={(key) => key} />
      </>
    );
  const { line } = now;
  const earlier = all.filter((p) => p !== now);
  const nameOf = (key: string) => line.components.find((c) => c.key === key)?.name ?? "a component";
  return (
    <>
      <PageHead
        title="My grade"
        note={
          `Version ${now.number}, published ${instant(now.publishedAt)} by ${now.publishedBy}` +
          `${now.whatChanged ? `: ${now.whatChanged}` : ""}`
        }
      >
        {rate}
        <PrintButton />
      </PageHead>
      <p className="mb-4 text-[30px] font-[650]">
        <Figure working={line.working as Working} unit="%">
          {line.grade ?? "–"}
        </Figure>
        {line.letter && <span className="ml-3">{line.letter}</span>}
      </p>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="How the grade came about">
        <GradeTree parts={line.components} />
      </div>
      <Appeals appeals={appeals} staff={false} nameOf={nameOf} />
      {!appeals.some((a) => !a.outcome) && (
        <div className="no-print mt-4 max-w-[640px]">
          <AppealForm
            key={appeals.length}
            publicationId={now.id}
            components={line.components.filter((c) => !c.group).map((c) => ({ value: c.key, label: c.name }))}
          />
        </div>
      )}
      {earlier.length > 0 && (
        <p className="mt-3 text-sm text-soft">
          Other versions:{" "}
          {earlier
            .map((p) => `version ${p.number}: ${p.line.grade ?? "–"} %${p.withdrawnAt ? " (withdrawn)" : ""}`)
            .join(", ")}
        </p>
      )}
    </>
  );
}
