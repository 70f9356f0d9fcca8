import { notFound } from "next/navigation";
import { addDays } from "@/core/sessions/date";
import { reviewKind } from "@/core/vocabulary/reviews";
import { isId } from "@/platform/db/id";
import { longDate, shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { buildsOf } from "@/stages/builds/queries/builds";
import { teamsOf } from "@/stages/teams/queries/teams";
import { Fold } from "@/ui/fold";
import { LinkButton, PageHead, Sheet } from "@/ui/page";
import { Figure } from "@/ui/working";
import { askQuestionAction, demonstrateAction } from "../actions";
import { reviewActs } from "../acts";
import { ActionItemForm } from "../parts/action-item-form";
import { ActionList } from "../parts/action-list";
import { StaffSheet, WithdrawReview } from "../parts/buttons";
import { DemonstrationForm } from "../parts/demonstration";
import { EditReview, ReopenReview } from "../parts/edit-review";
import { AskForm, Questions } from "../parts/questions";
import { ReviewSheets } from "../parts/review-sheets";
import { VerdictForm } from "../parts/verdict-form";
import { WishTable } from "../parts/wish-table";
import { wishLines } from "../queries/demonstration";
import { questionsOf, restsOf, reviewsOf, teamRunsOf } from "../queries/reviews";
import { restsView, reviewView } from "../view/reviews";
import { dueOptions, sessionOn } from "../view/sessions";

/** One review of one team: sheets, score, verdict, actions. */
export async function ReviewScreen({ slug, id }: { slug: string; id: string }) {
  const { frame, staff, ownTeam, actor } = await projectPage(slug, reviewActs.read);
  const p = frame.project;
  const [r] = isId(id) ? await reviewsOf(p.id, id) : [];
  if (!r) notFound();
  const visible = staff || r.teamId === ownTeam;
  const [teams, builds, questions, restsNow, runs, wishes] = await Promise.all([
    teamsOf(p.id),
    buildsOf(p.id),
    questionsOf(r.id),
    restsOf(r.id),
    teamRunsOf(r.teamId),
    visible ? wishLines(p.id, r) : [],
  ]);
  const team = teams.find((t) => t.id === r.teamId);
  const own = builds.filter((b) => b.teamId === r.teamId);
  const newest = own.at(-1);
  const view = reviewView(r, { staff, person: actor.id }, team?.members ?? []);
  const { mine, score } = view;
  const members = (team?.members ?? []).map((m) => ({ value: m.id, label: m.name }));
  const rests = restsView(r.rests, restsNow, newest?.number ?? null);
  const sessions = frame.calendars.get(team?.sectionId ?? "") ?? frame.sessions;
  const ahead = dueOptions(sessions, frame.today, longDate);
  const week = addDays(frame.today, 7);
  return (
    <>
      <PageHead
        title={
          <>
            {r.title} <span className="text-soft">{r.team}</span>
          </>
        }
        note={[
          longDate(r.heldOn),
          reviewKind.labels[r.kind],
          ...(r.build ? [`build G${r.build}`] : []),
          r.rubric,
          ...(r.takesPart ? [r.takesPart] : []),
        ].join(" · ")}
      >
        {visible && <LinkButton href={`/p/${slug}/reviews/${r.id}/packet`}>The packet</LinkButton>}
        {r.buildId && <LinkButton href={`/p/${slug}/builds/${r.buildId}`}>The build</LinkButton>}
        {staff && (
          <EditReview
            id={r.id}
            version={r.version}
            values={{ title: r.title, heldOn: r.heldOn, buildId: (r.buildChosen && r.buildId) || "" }}
            builds={own.map((b) => ({ value: b.id, label: `G${b.number}` }))}
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
            {r.sheets.length > 0 && <ReviewSheets view={view} withdraws={staff && !r.verdict} />}
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
            {wishes.length > 0 && (
              <Sheet title="What the client finds of each wish">
                {staff ? (
                  <DemonstrationForm reviewId={r.id} wishes={wishes} who={p.client} action={demonstrateAction} />
                ) : (
                  <WishTable wishes={wishes} />
                )}
              </Sheet>
            )}
            <Sheet title="Questions and answers">
              <Questions questions={questions} staff={staff} answers={staff || r.teamId === ownTeam} />
              {staff && <AskForm reviewId={r.id} action={askQuestionAction} />}
            </Sheet>
            {staff && (!r.verdict || mine) && (
              <Fold
                start={!r.verdict}
                labelClass="font-[650]"
                label={r.verdict ? "Correct your sheet" : mine ? "Your sheet" : "Fill in a sheet"}
              >
                <StaffSheet
                  key={mine?.version ?? 0}
                  reviewId={r.id}
                  raterId={actor.id}
                  version={mine?.version ?? 0}
                  criteria={r.definition.criteria}
                  rater={actor.name}
                  marks={mine?.marks ?? []}
                  comment={mine?.comment ?? ""}
                  members={members}
                  persons={mine?.persons ?? []}
                  decided={r.verdict !== null}
                />
              </Fold>
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
              {rests && (
                <p className="mb-2 text-sm text-soft">
                  Rests on {rests.words}.
                  {rests.since.length > 0 && (
                    <span className="block text-iron">Since then: {rests.since.join("; ")}.</span>
                  )}
                </p>
              )}
              {staff ? (
                <>
                  {r.verdict ? (
                    <Fold label="Change the verdict" labelClass="text-sm text-soft">
                      <VerdictForm id={r.id} version={r.version} verdict={r.verdict} note={r.verdictNote} />
                    </Fold>
                  ) : (
                    <VerdictForm id={r.id} version={r.version} verdict="" note={r.verdictNote} />
                  )}
                  {r.verdict && (
                    <p className="mt-2 text-sm text-soft">
                      A sheet that was handed in can be corrected with its reason; for more,{" "}
                      <ReopenReview id={r.id} version={r.version} />
                    </p>
                  )}
                </>
              ) : (
                !r.verdict && <p className="text-soft">Not given yet.</p>
              )}
            </Sheet>
            <Sheet title="Actions">
              <ActionList
                actions={r.actions}
                base={`/p/${slug}`}
                today={frame.today}
                staff={staff}
                members={members}
                builds={own.toReversed().map((b) => ({ value: b.id, label: `G${b.number}` }))}
                runs={runs.map((x) => ({ value: x.id, label: `${x.protocol}, ${shortDate(x.madeOn)}, G${x.build}` }))}
                due={(kept) => dueOptions(sessions, frame.today, longDate, kept)}
                session={(date) => sessionOn(sessions, date)}
              />
              {staff && (
                <ActionItemForm reviewId={r.id} members={members} sessions={ahead} due={ahead[1]?.value ?? week} />
              )}
            </Sheet>
          </div>
        </div>
      )}
    </>
  );
}
