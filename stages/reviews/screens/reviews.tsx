import { combineSheets } from "@/core/sheet/sheet";
import { projectPage } from "@/platform/pages/page";
import { teamsOf } from "@/stages/teams/queries/teams";
import { cx } from "@/ui/classes";
import { fullDate, shortDate } from "@/ui/date";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { Figure } from "@/ui/working";
import { reviewActs } from "../acts";
import { PlanForm } from "../parts/plan-form";
import { reviewsOf, rubricsOf } from "../queries";

/** Reviews by title and team: sheets in, score, verdict, open actions. */
export async function ReviewsScreen({ slug }: { slug: string }) {
  const { frame, staff, ownTeam } = await projectPage(slug, reviewActs.read);
  const p = frame.project;
  const [reviews, rubrics, teams] = await Promise.all([reviewsOf(p.id), rubricsOf(p.id), teamsOf(p.id)]);
  const groups = [...new Set(reviews.map((r) => r.title))]
    .map((title) => ({ title, list: reviews.filter((r) => r.title === title) }))
    .reverse();
  const open = reviews.flatMap((r) => r.actions.filter((a) => !a.closedAt).map((a) => ({ a, r })));
  return (
    <>
      <PageHead
        title="Reviews"
        note={
          reviews.length
            ? `${reviews.filter((r) => r.verdict).length} of ${reviews.length} have their verdict · ${open.length} ` +
              "actions open"
            : undefined
        }
      >
        {staff && <LinkButton href={`/p/${slug}/reviews/rubric`}>New rubric</LinkButton>}
      </PageHead>
      {reviews.length === 0 && (
        <div className="mb-4">
          <Empty
            title="No review yet"
            action={
              staff &&
              rubrics.length === 0 && (
                <LinkButton href={`/p/${slug}/reviews/rubric`} look="main">
                  Write a rubric
                </LinkButton>
              )
            }
          >
            {staff
              ? "A review shows a team's build to the client or to reviewers. Each fills in the same rubric; the " +
                "verdict and its actions stay on record. It takes a rubric first, then a plan."
              : "Your instructor plans them."}
          </Empty>
        </div>
      )}
      {groups.map((g) => (
        <section key={g.title} className="mb-5">
          <h2 className="mb-1.5">
            {g.title}{" "}
            <span className="font-normal text-soft">
              {fullDate(g.list[0]!.heldOn)} · {g.list[0]!.rubric}
            </span>
          </h2>
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={g.title}>
            <table className="table">
              <thead>
                <tr>
                  <th>Team</th>
                  <th>Build</th>
                  <th className="num">Sheets</th>
                  <th className="num">
                    Score <span className="unit">%</span>
                  </th>
                  <th>Verdict</th>
                  <th>Actions</th>
                </tr>
              </thead>
              <tbody>
                {g.list.map((r) => {
                  const score = combineSheets(
                    r.definition,
                    r.sheets.map((s) => ({ rater: s.raterName, marks: s.marks })),
                  );
                  const left = r.actions.filter((a) => !a.closedAt);
                  const visible = staff || r.teamId === ownTeam;
                  return (
                    <tr key={r.id}>
                      <td>
                        <Link href={`/p/${slug}/reviews/${r.id}`} className="font-[650] hover:text-iron">
                          {r.team}
                        </Link>
                      </td>
                      <td>{r.build ? `G${r.build}` : "–"}</td>
                      <td className="num">{r.sheets.length}</td>
                      <td className="num">
                        {visible && score.value !== null ? (
                          <Figure working={score.working}>{(Number(score.value) * 100).toFixed(1)}</Figure>
                        ) : (
                          "–"
                        )}
                      </td>
                      <td>
                        {r.verdict ?? <span className="text-soft">{r.heldOn > frame.today ? "to come" : "open"}</span>}
                      </td>
                      <td>
                        {r.actions.length === 0 ? (
                          "–"
                        ) : (
                          <>
                            {r.actions.length - left.length} of {r.actions.length} closed
                            {left.some((a) => a.dueOn < frame.today) && (
                              <span className="text-iron">
                                {" "}
                                · {left.filter((a) => a.dueOn < frame.today).length} overdue
                              </span>
                            )}
                          </>
                        )}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
        </section>
      ))}
      {open.length > 0 && (
        <section className="mb-5">
          <h2 className="mb-1.5">Open actions</h2>
          <ul>
            {open
              .sort((x, y) => (x.a.dueOn < y.a.dueOn ? -1 : 1))
              .map(({ a, r }) => (
                <li key={a.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-line py-1">
                  <span className="w-24 font-[600]">{r.team}</span>
                  <Link href={`/p/${slug}/reviews/${r.id}`} className="min-w-60 grow hover:text-iron">
                    {a.what}
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
      {staff && rubrics.length > 0 && (
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
