import { failureSeverity } from "@/core/vocabulary/builds";
import { nameAndReason } from "@/core/vocabulary/vocabulary";
import { projectPage } from "@/platform/pages/page";
import { projectState } from "@/stages/needs/queries/state";
import Link from "@/ui/link";
import { TeamChoice } from "@/ui/link-choice";
import { PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { BuildTabs } from "../parts/build-tabs";
import { causesOver, failuresOf } from "../queries/failures";
import { causesView, passedOver } from "../view/failures";

/** What failed in the class: each with its likely cause and what became of it; causes counted over the years. */
export async function FailuresScreen({ slug, team }: { slug: string; team?: string }) {
  const { frame } = await projectPage(slug);
  const p = frame.project;
  const [facts, failures, counts] = await Promise.all([projectState(p.id), failuresOf(p.id), causesOver(p.id)]);
  const base = `/p/${slug}/builds`;
  const chosen = facts.teams.find((t) => t.id === team)?.id;
  const shown = failures.filter((f) => !chosen || f.teamId === chosen);
  const causes = causesView(counts);
  return (
    <>
      <PageHead
        title="Failures"
        note={
          `${failures.length} recorded, ` +
          `${failures.filter((f) => f.closedBy === null).length} not answered by a build yet`
        }
      />
      <BuildTabs slug={slug} />
      <div className="grid items-start gap-5 2xl:grid-cols-[minmax(0,5fr)_minmax(0,2fr)]">
        <div className="grid gap-2">
          <TeamChoice teams={facts.teams} chosen={chosen} base={`${base}/failures`} />
          <DataTable
            caption="Failures"
            empty="No failure is recorded. They are written down on a build's page, with the likely cause."
            columns={[
              { key: "build", text: "Build", className: "whitespace-nowrap" },
              { key: "mode", text: "What failed", className: "min-w-56" },
              { key: "cause", text: "Likely cause" },
              { key: "severity", text: "How much" },
              { key: "next", text: "Next step", className: "min-w-48" },
              { key: "answered", text: "Answered by", className: "whitespace-nowrap" },
            ]}
            rows={shown.map((f) => ({
              id: f.id,
              cells: {
                build: {
                  value: `${f.team} G${f.build}`,
                  show: (
                    <Link href={`${base}/${f.buildId}`} className="font-[600] hover:text-iron">
                      {f.team} G{f.build}
                    </Link>
                  ),
                },
                mode: { value: [f.mode, f.place].filter(Boolean).join(", ") },
                cause: { value: f.cause, show: f.cause || <span className="text-soft">not known</span> },
                severity: { value: nameAndReason(failureSeverity.labels[f.severity])[0] },
                next: { value: f.nextStep },
                answered: {
                  value: f.answeredBy === null ? "" : `G${f.answeredBy}`,
                  show:
                    f.answeredBy !== null ? (
                      `G${f.answeredBy}`
                    ) : passedOver(f, facts.builds) ? (
                      <span className="text-iron">a later build is there</span>
                    ) : (
                      <span className="text-soft">open</span>
                    ),
                },
              },
            }))}
          />
        </div>
        {causes.rows.length > 0 && (
          <Sheet title="Causes">
            <DataTable
              caption="Causes by edition"
              columns={[
                { key: "cause", text: "Cause" },
                ...causes.editions.map((e) => ({ key: e.id, text: e.year, num: true })),
                { key: "answered", text: "Answered", num: true },
              ]}
              rows={causes.rows.map((r) => ({
                id: r.cause,
                cells: {
                  cause: { value: r.cause },
                  ...Object.fromEntries(causes.editions.map((e) => [e.id, { value: r.of[e.id] ?? 0 }])),
                  answered: { value: r.answered, show: `${r.answered} of ${r.failures}` },
                },
              }))}
            />
          </Sheet>
        )}
      </div>
    </>
  );
}
