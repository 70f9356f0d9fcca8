import { notFound } from "next/navigation";
import { addDays } from "@/core/sessions/date";
import { isId } from "@/platform/db/id";
import { longDate, shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { buildsOf } from "@/stages/builds/queries/builds";
import { teamsOf } from "@/stages/teams/queries/teams";
import { cx } from "@/ui/classes";
import { LinkButton, PageHead, Sheet } from "@/ui/page";
import { Figure } from "@/ui/working";
import { reviewActs } from "../acts";
import { ActionItemForm } from "../parts/action-item-form";
import { ReopenButton, StaffSheet, WithdrawAction, WithdrawReview, WithdrawSheet } from "../parts/buttons";
import { CloseForm } from "../parts/close-form";
import { EditAction, EditReview, ReopenReview } from "../parts/edit-review";
import { VerdictForm } from "../parts/verdict-form";
import { reviewsOf } from "../queries/reviews";
import { reviewView } from "../view/reviews";

/** One review of one team: sheets, score, verdict, actions. */
export async function ReviewScreen({ slug, id }: { slug: string; id: string }) {
  const { frame, staff, ownTeam, actor } = await projectPage(slug, reviewActs.read);
  const p = frame.project;
  const [r] = isId(id) ? await reviewsOf(p.id, id) : [];
  if (!r) notFound();
  const [teams, builds] = await Promise.all([teamsOf(p.id), buildsOf(p.id)]);
  const team = teams.find((t) => t.id === r.teamId);
  const newest = builds.findLast((b) => b.teamId === r.teamId);
  const visible = staff || r.teamId === ownTeam;
  const view = reviewView(r, { staff, person: actor.id });
  const { mine, score } = view;
  const members = (team?.members ?? []).map((m) => ({ value: m.id, label: m.name }));
  return (
    <>
      <PageHead
        title={
          <>
            {r.title} <span className="text-soft">{r.team}</span>
          </>
        }
        note={`${longDate(r.heldOn)}${r.build ? ` · build G${r.build}` : ""} · ${r.rubric}`}
      >
        {visible && <LinkButton href={`/p/${slug}/reviews/${r.id}/packet`}>The packet</LinkButton>}
        {r.buildId && <LinkButton href={`/p/${slug}/builds/${r.buildId}`}>The build</LinkButton>}
        {staff && (
          <EditReview
            key={r.version}
            id={r.id}
            version={r.version}
            values={{ title: r.title, heldOn: r.heldOn, buildId: (r.buildChosen && r.buildId) || "" }}
            builds={builds.filter((b) => b.teamId === r.teamId).map((b) => ({ value: b.id, label: `G${b.number}` }))}
          />
        )}
        {staff && <WithdrawReview id={r.id} goTo={`/p/${slug}/reviews`} />}
      </PageHead>
      {newest && r.build && newest.number > r.build && (
        <p className="mb-3 border-l-4 border-slate bg-slate-wash px-3 py-1.5">
          The team has built G{newest.number} since: this review is of the older G{r.build}.
        </p>
      )}
      {!visible && (
        <p className="text-soft">
          Sheets and scores are for the team and the instructors.{r.verdict && ` Verdict: ${r.verdict}.`}
        </p>
      )}
      {visible && (
        <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_330px]">
          <div className="grid min-w-0 gap-4">
            {r.sheets.length > 0 && (
              <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Sheets">
                <table className="table">
                  <thead>
                    <tr>
                      <th>Criterion</th>
                      <th className="num">Weight</th>
                      {view.sheets.map((s) => (
                        <th key={s.id} className="num">
                          {s.rater}
                          {staff && !r.verdict && (
                            <span className="no-print block font-normal">
                              <WithdrawSheet id={s.id} rater={s.rater} />
                            </span>
                          )}
                        </th>
                      ))}
                    </tr>
                  </thead>
                  <tbody>
                    {view.criteria.map((c) => (
                      <tr key={c.key}>
                        <td>
                          {c.name}
                          {c.comments.map((t) => (
                            <span key={t} className="block text-sm text-soft">
                              “{t}”
                            </span>
                          ))}
                        </td>
                        <td className="num text-soft">{c.weight}</td>
                        {c.points.map((points, i) => (
                          <td key={view.sheets[i]!.id} className="num">
                            {points ?? "–"}
                          </td>
                        ))}
                      </tr>
                    ))}
                    <tr>
                      <td className="font-[650]">
                        Score <span className="unit">%</span>
                      </td>
                      <td />
                      {view.sheets.map((s) => (
                        <td key={s.id} className="num">
                          {s.score.value === null ? (
                            "–"
                          ) : (
                            <Figure working={s.score.working}>{(Number(s.score.value) * 100).toFixed(1)}</Figure>
                          )}
                        </td>
                      ))}
                    </tr>
                  </tbody>
                </table>
              </div>
            )}
            {r.sheets.some((s) => s.comment) && (
              <Sheet title="What reviewers say">
                {view.sheets.map(
                  (s) =>
                    s.comment && (
                      <blockquote key={s.id} className="border-l-3 border-stone-3 py-0.5 pl-3">
                        {s.comment}
                        {staff && <span className="block text-sm text-soft">{s.rater}</span>}
                      </blockquote>
                    ),
                )}
              </Sheet>
            )}
            {staff && !r.verdict && (
              <Sheet title={mine ? "Your sheet" : "Fill in a sheet"}>
                <StaffSheet
                  key={mine?.version ?? 0}
                  reviewId={r.id}
                  raterId={actor.id}
                  version={mine?.version ?? 0}
                  criteria={r.definition.criteria}
                  rater={actor.name}
                  marks={mine?.marks ?? []}
                  comment={mine?.comment ?? ""}
                />
              </Sheet>
            )}
            {!staff && r.sheets.length === 0 && <p className="text-soft">No sheet is handed in yet.</p>}
          </div>
          <div className="grid gap-4">
            <Sheet
              title="Verdict"
              aside={
                score.value !== null && (
                  <>
                    score{" "}
                    <Figure working={score.working} unit="%" className="text-ink">
                      {score.working.result}
                    </Figure>
                  </>
                )
              }
            >
              {r.verdict && (
                <p className="mb-2">
                  <strong className="font-[650]">{r.verdict}</strong> <span className="text-soft">{r.decidedBy}</span>
                  {r.verdictNote && <span className="block">{r.verdictNote}</span>}
                </p>
              )}
              {staff ? (
                <>
                  <VerdictForm id={r.id} version={r.version} verdict={r.verdict ?? ""} note={r.verdictNote} />
                  {r.verdict && (
                    <p className="mt-2 text-sm text-soft">
                      Sheets are closed. To correct one, <ReopenReview id={r.id} version={r.version} />
                    </p>
                  )}
                </>
              ) : (
                !r.verdict && <p className="text-soft">Not given yet.</p>
              )}
            </Sheet>
            <Sheet title="Actions">
              {r.actions.length === 0 && <p className="mb-2 text-soft">None.</p>}
              <ul className="mb-3">
                {r.actions.map((a) => (
                  <li key={a.id} className="border-b border-line py-1.5 last:border-0">
                    <p className={cx(a.closedAt && "text-soft line-through")}>{a.what}</p>
                    <p className={cx("text-sm", !a.closedAt && a.dueOn < frame.today ? "text-iron" : "text-soft")}>
                      {a.owner ?? "the team"} ·{" "}
                      {a.closedAt
                        ? `closed: ${a.closingEvidence}`
                        : `${a.dueOn < frame.today ? "was due" : "due"} ${shortDate(a.dueOn)}`}
                      {a.closedAt && staff && <ReopenButton id={a.id} version={a.version} />}{" "}
                      {staff && (
                        <>
                          {!a.closedAt && (
                            <EditAction
                              key={a.version}
                              id={a.id}
                              version={a.version}
                              values={{ what: a.what, ownerId: a.ownerId ?? "", dueOn: a.dueOn }}
                              members={members}
                            />
                          )}{" "}
                          <WithdrawAction id={a.id} />
                        </>
                      )}
                    </p>
                    {!a.closedAt && <CloseForm id={a.id} version={a.version} />}
                  </li>
                ))}
              </ul>
              {staff && <ActionItemForm reviewId={r.id} members={members} due={addDays(frame.today, 7)} />}
            </Sheet>
          </div>
        </div>
      )}
    </>
  );
}
