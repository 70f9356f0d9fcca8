import { fullDate, shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { teamsOf } from "@/stages/teams/queries/teams";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import { reviewActs } from "../acts";
import { PlanForm } from "../parts/plan-form";
import { ReviewersFold } from "../parts/reviewers";
import { reviewsOf, rubricsOf } from "../queries/reviews";
import { slotPlansOf, slotsOf } from "../queries/slots";
import { reviewsView } from "../view/reviews";
import { slotTimes } from "../view/slots-page";

const quietLink = "underline decoration-line underline-offset-3 hover:text-iron";

/** Reviews by title and team: sheets in, score, verdict, open actions. */
export async function ReviewsScreen({ slug }: { slug: string }) {
  const { frame, staff, ownTeam } = await projectPage(slug, reviewActs.read);
  const p = frame.project;
  const [reviews, rubrics, teams, slots, plans] = await Promise.all([
    reviewsOf(p.id),
    rubricsOf(p.id),
    teamsOf(p.id),
    slotsOf(p.id),
    slotPlansOf(p.id),
  ]);
  const view = reviewsView(reviews, frame.today, { staff, team: ownTeam }, slotTimes(slots, plans, shortDate));
  return (
    <>
      <PageHead
        title="Reviews"
        note={
          reviews.length
            ? `${view.decided} of ${reviews.length} have their verdict · ${view.open.length} actions open`
            : undefined
        }
      >
        <LinkButton href={`/p/${slug}/reviews/stories`}>Stories</LinkButton>
        <LinkButton href={`/p/${slug}/reviews/report`}>Class report</LinkButton>
        {staff && <LinkButton href={`/p/${slug}/reviews/rubric`}>New rubric</LinkButton>}
      </PageHead>
      {reviews.length === 0 && (
        <div className="mb-4">
          <Empty title="No review yet">
            {staff
              ? "A review shows a team's build to the client or to reviewers. Each fills in the same rubric; the " +
                "verdict and its actions stay on record. Each kind brings its rubric; yours can take its place."
              : "Your instructor plans them."}
          </Empty>
        </div>
      )}
      {view.groups.map((g) => (
        <section key={g.title} className="mb-5">
          <h2 className="mb-1.5">
            {g.title}{" "}
            <span className="font-normal text-soft">
              {fullDate(g.heldOn)} · {g.rubric}
            </span>
            {staff && g.lines.some((l) => l.state === "open" || l.state === "to come") && (
              <Link
                href={`/p/${slug}/reviews/sheets?title=${encodeURIComponent(g.title)}`}
                className={`no-print ml-3 text-sm font-normal ${quietLink}`}
              >
                my sheets for all teams
              </Link>
            )}
            {staff && (
              <Link
                href={`/p/${slug}/reviews/slots?title=${encodeURIComponent(g.title)}`}
                className={`no-print ml-3 text-sm font-normal ${quietLink}`}
              >
                slots
              </Link>
            )}
            {g.timed && (
              <Link
                href={`/p/${slug}/reviews/clock?title=${encodeURIComponent(g.title)}`}
                className={`no-print ml-3 text-sm font-normal ${quietLink}`}
              >
                clock
              </Link>
            )}
          </h2>
          <DataTable
            caption={g.title}
            columns={[
              { key: "team", text: "Team" },
              ...(g.timed ? [{ key: "slot", text: "Slot" }] : []),
              { key: "build", text: "Build" },
              { key: "sheets", text: "Sheets", num: true },
              { key: "score", text: "Score (%)", num: true },
              { key: "verdict", text: "Verdict" },
              { key: "actions", text: "Actions closed" },
            ]}
            rows={g.lines.map((l) => ({
              id: l.review.id,
              cells: {
                team: {
                  value: l.review.team,
                  show: (
                    <Link href={`/p/${slug}/reviews/${l.review.id}`} className="font-[650] hover:text-iron">
                      {l.review.team}
                    </Link>
                  ),
                },
                slot: l.slot,
                build: l.review.build ? `G${l.review.build}` : null,
                sheets: l.review.sheets.length,
                score: l.score && {
                  value: l.score.percent,
                  show: <Figure working={l.score.working}>{l.score.percent.toFixed(1)}</Figure>,
                },
                verdict: {
                  value: l.review.verdict ?? l.state,
                  show: l.review.verdict ?? <span className="text-soft">{l.state}</span>,
                },
                actions: l.review.actions.length
                  ? {
                      value: `${l.closed} of ${l.review.actions.length}`,
                      show: (
                        <>
                          {l.closed} of {l.review.actions.length}
                          {l.overdue > 0 && <span className="text-iron"> · {l.overdue} overdue</span>}
                        </>
                      ),
                    }
                  : null,
              },
            }))}
          />
          {staff && g.reviewers && <ReviewersFold of={g.reviewers} title={g.title} />}
        </section>
      ))}
      {view.open.length > 0 && (
        <section className="mb-5">
          <h2 className="mb-1.5">Open actions</h2>
          <ul>
            {view.open.map(({ action: a, review: r }) => (
              <li key={a.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-line py-1">
                <span className="w-24 font-[600]">{r.team}</span>
                <Link href={`/p/${slug}/reviews/${r.id}`} className="min-w-60 grow hover:text-iron">
                  {a.what}
                  {a.builtWithout !== null && (
                    <span className="text-iron"> · G{a.builtWithout} was built without it</span>
                  )}
                </Link>
                <span className="text-soft">{staff || r.teamId === ownTeam ? (a.owner ?? "the team") : ""}</span>
                <span className={cx("w-28 text-right text-sm", a.dueOn < frame.today ? "text-iron" : "text-soft")}>
                  {a.dueOn < frame.today ? "was due" : "due"} {shortDate(a.dueOn)}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {staff && (
        <div className="no-print grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_300px]">
          {teams.length > 0 ? (
            <Sheet title="Plan reviews">
              <PlanForm
                projectId={p.id}
                rubrics={rubrics.map((r) => ({ value: r.id, label: `${r.name} v${r.number}` }))}
                teams={teams.map((t) => ({ value: t.id, label: t.name }))}
              />
            </Sheet>
          ) : (
            <p className="text-soft">Form teams first, then reviews can be planned.</p>
          )}
          <Sheet title="Rubrics">
            {rubrics.length === 0 && <p className="text-soft">None yet: the first plan brings one from the shelf.</p>}
            <ul>
              {rubrics.map((r) => (
                <li key={r.id}>
                  <Link href={`/p/${slug}/reviews/rubric?id=${r.id}`} className="hover:text-iron">
                    {r.name}{" "}
                    <span className="text-soft">
                      v{r.number}, {r.definition.criteria.length} criteria
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          </Sheet>
        </div>
      )}
    </>
  );
}
