import { projectPage } from "@/platform/pages/page";
import { teamsOf } from "@/stages/teams/queries/teams";
import { Markdown } from "@/ui/markdown";
import { Empty, PageHead, Sheet } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { reviewActs } from "../acts";
import { DealForm, TopicsForm, TopicTools, WriteForm } from "../parts/report-forms";
import { topicsOf } from "../queries/story";

/** The report of the class: topics dealt out to teams, each written by one, read and printed as one. */
export async function ReportScreen({ slug }: { slug: string }) {
  const { frame, may } = await projectPage(slug, reviewActs.read);
  const p = frame.project;
  const [topics, teams] = await Promise.all([topicsOf(p.id), teamsOf(p.id)]);
  const plans = may(reviewActs.plan);
  const options = teams.map((t) => ({ value: t.id as string, label: t.name }));
  const written = topics.filter((t) => t.body).length;
  return (
    <>
      <PageHead
        title="Class report"
        note={topics.length ? `${written} of ${topics.length} topics are written` : undefined}
      >
        {topics.length > 0 && <PrintButton />}
      </PageHead>
      <div className="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_300px]">
        <div className="grid gap-6">
          {topics.length === 0 && (
            <Empty title="No topic yet">
              {plans
                ? "One report for the client or the school, written by everybody: add its topics, then deal them out."
                : "Your instructor adds the topics and deals them out."}
            </Empty>
          )}
          {topics.map((t) => (
            <section key={t.id} className="break-inside-avoid-page">
              <h2>
                {t.title} <span className="font-normal text-soft">{t.team ?? "nobody's yet"}</span>
              </h2>
              {t.body ? (
                <div className="prose-brief">
                  <Markdown>{t.body}</Markdown>
                </div>
              ) : (
                <p className="text-soft">Not written yet.</p>
              )}
              <div className="no-print flex flex-wrap gap-3 text-sm">
                {(plans || (t.teamId !== null && may(reviewActs.tell, { team: t.teamId }))) && (
                  <WriteForm id={t.id} version={t.version} body={t.body} />
                )}
                {plans && (
                  <TopicTools id={t.id} version={t.version} title={t.title} teamId={t.teamId ?? ""} teams={options} />
                )}
              </div>
            </section>
          ))}
        </div>
        {plans && (
          <div className="no-print grid gap-4">
            <Sheet title="Topics">
              <TopicsForm projectId={p.id} />
            </Sheet>
            {topics.some((t) => !t.body) && (
              <Sheet title="Deal them out">
                <p className="mb-2 text-sm text-soft">
                  Topics that nobody has written go to the teams with the fewest, in an order drawn by the seed.
                </p>
                <DealForm projectId={p.id} seed={frame.today} />
              </Sheet>
            )}
          </div>
        )}
      </div>
    </>
  );
}
