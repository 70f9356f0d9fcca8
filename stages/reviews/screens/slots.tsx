import { notFound } from "next/navigation";
import { clockOf } from "@/core/contest/programme";
import { shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { teamsOf } from "@/stages/teams/queries/teams";
import { Fold } from "@/ui/fold";
import { LinkButton, PageHead, Sheet } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { reviewActs } from "../acts";
import { WithdrawSlots } from "../parts/buttons";
import { ReviewerLoads } from "../parts/reviewer-loads";
import { SlotBoard } from "../parts/slot-board";
import { MoveForm, PanelForm } from "../parts/slot-by-hand";
import { SlotForm } from "../parts/slot-form";
import { reviewsOf } from "../queries/reviews";
import { slotPlansOf, slotsOf } from "../queries/slots";
import { slotsPage } from "../view/slots-page";

/** The slots of one review: its plan as a board that is moved by hand, and the form that finds one. */
export async function SlotsScreen({ slug, title }: { slug: string; title: string }) {
  const { frame } = await projectPage(slug, reviewActs.plan);
  const p = frame.project;
  const [reviews, plans, slots, teams] = await Promise.all([
    reviewsOf(p.id),
    slotPlansOf(p.id),
    slotsOf(p.id, title),
    teamsOf(p.id),
  ]);
  const view = slotsPage(
    title,
    reviews,
    plans,
    slots,
    (section) => frame.calendars.get(section)?.map((s) => s.date) ?? [],
    new Map(teams.map((t) => [t.id, t.sectionId])),
  );
  if (!view) notFound();
  const base = `/p/${slug}/reviews`;
  const of = `title=${encodeURIComponent(title)}`;
  const form = (
    <SlotForm
      projectId={p.id}
      title={title}
      version={view.plan?.version ?? 0}
      definition={view.definition}
      teams={view.teams}
    />
  );
  return (
    <>
      <PageHead
        title={
          <>
            {title} <span className="text-soft">slots</span>
          </>
        }
        note={
          view.board
            ? `${view.placed} of ${view.teams.length} teams have a place · ` +
              (view.board.gaps ? `reviewers wait ${view.board.gaps} times` : "no reviewer waits") +
              (view.board.breaches ? ` · ${view.board.breaches} things to look at` : "")
            : "Everybody's hours give a plan in which reviewers wait as little as can be."
        }
      >
        <LinkButton href={base}>Reviews</LinkButton>
        {view.plan && (
          <>
            <LinkButton href={`${base}/clock?${of}`}>The clock on the day</LinkButton>
            <LinkButton href={`${base}/slots/calendar?${of}`}>Calendar (ICS)</LinkButton>
            <PrintButton />
            <WithdrawSlots id={view.plan.id} />
          </>
        )}
      </PageHead>
      {view.board ? (
        <>
          <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
            <div className="min-w-0">
              <SlotBoard board={view.board} rooms={view.definition.rooms} slots={view.slots} />
            </div>
            <div className="grid gap-4">
              <ReviewerLoads reviewers={view.board.reviewers} calendar={`${base}/slots/calendar?${of}&who=`} />
              <div className="no-print grid gap-4">
                <Sheet title="A late team, or another place">
                  <MoveForm
                    slots={view.hand}
                    places={view.places.map((x) => ({
                      value: x.value,
                      taken: x.team !== null,
                      label: `${shortDate(x.day)} ${clockOf(x.from)}, ${x.room}${x.team ? ` (with ${x.team})` : ""}`,
                    }))}
                  />
                </Sheet>
                <Sheet title="Other reviewers">
                  <PanelForm slots={view.hand} reviewers={view.definition.reviewers.map((r) => r.name)} />
                </Sheet>
              </div>
            </div>
          </div>
          <div className="no-print mt-4">
            <Fold label="Change the hours, and plan anew">
              <div className="mt-3">{form}</div>
            </Fold>
          </div>
        </>
      ) : (
        form
      )}
    </>
  );
}
