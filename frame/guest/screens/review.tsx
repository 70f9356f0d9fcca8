import { can } from "@/core/access/can";
import { individualPart } from "@/core/sheet/sheet";
import { fullDate, shortDate } from "@/platform/pages/dates";
import { reviewActs } from "@/stages/reviews/acts";
import { wishLines } from "@/stages/reviews/queries/demonstration";
import { questionsOf, reviewsOf } from "@/stages/reviews/queries/reviews";
import { slotPlansOf, slotsOf } from "@/stages/reviews/queries/slots";
import { slotTimes } from "@/stages/reviews/view/slots-page";
import { teamsOf } from "@/stages/teams/queries/teams";
import Link from "@/ui/link";
import { Empty } from "@/ui/page";
import { GuestDemonstration, GuestQuestion, GuestSheet, Questions } from "../parts/lazy";
import { Choices, choicesFor, type GuestPage, Surface } from "../parts/surface";
import { TeamPacket } from "../parts/team-packet";

/** A reviewer's page: the panels that are open, and the reviews with their sheets. */
export async function ReviewSurface({ guest, frame, currency, units, review }: GuestPage & { review?: string }) {
  const reviews = await reviewsOf(guest.project);
  const open = reviews.find((r) => r.id === review);
  if (open && can(guest, reviewActs.read, { project: guest.project })) {
    const mine = open.sheets.filter((s) => s.raterGuest === guest.id).at(-1);
    const alone = individualPart(open.definition).criteria.length > 0;
    const [questions, teams, wishes] = await Promise.all([
      questionsOf(open.id),
      alone ? teamsOf(guest.project) : [],
      open.verdict ? [] : wishLines(guest.project, open),
    ]);
    const members = (teams.find((t) => t.id === open.teamId)?.members ?? []).map((m) => ({
      value: m.id,
      label: m.name,
    }));
    return (
      <Surface {...frame}>
        <p className="mb-1">
          <Link href="/guest" className="text-soft underline">
            All reviews
          </Link>
        </p>
        <h1>
          {open.title}: {open.team}
        </h1>
        <p className="mb-4 text-soft">
          {fullDate(open.heldOn)}
          {open.build ? ` · build G${open.build}` : ""}
        </p>
        {wishes.length > 0 && (
          <section className="mb-5">
            <h2 className="mb-2">What you find of each wish</h2>
            <GuestDemonstration reviewId={open.id} wishes={wishes} who={mine?.raterName ?? guest.name} />
          </section>
        )}
        {open.verdict && (
          <p className="mb-3">
            The review has its verdict, {open.verdict}
            {mine ? "; your sheet can be corrected with a reason." : "; its sheets are closed."}
          </p>
        )}
        {(!open.verdict || mine) && (
          <GuestSheet
            key={mine?.version ?? 0}
            reviewId={open.id}
            raterId={guest.id}
            version={mine?.version ?? 0}
            criteria={open.definition.criteria}
            rater={mine?.raterName ?? guest.name}
            marks={mine?.marks ?? []}
            comment={mine?.comment ?? ""}
            members={members}
            persons={mine?.persons ?? []}
            decided={open.verdict !== null}
          />
        )}
        <section className="mt-5">
          <h2 className="mb-2">Questions</h2>
          <Questions questions={questions} staff={false} answers={false} />
          <GuestQuestion reviewId={open.id} rater={mine?.raterName ?? guest.name} />
        </section>
        <TeamPacket reviewId={open.id} project={guest.project} currency={currency} units={units} />
      </Surface>
    );
  }
  const [panel, slots, plans] = await Promise.all([
    choicesFor(guest),
    slotsOf(guest.project),
    slotPlansOf(guest.project),
  ]);
  const times = slotTimes(slots, plans, shortDate);
  return (
    <Surface {...frame}>
      <Choices
        {...panel}
        choices={panel.choices.filter((x) => !x.closedAt)}
        guest={guest}
        currency={currency}
        units={units}
      />
      <h1 className="mb-3">Reviews</h1>
      {reviews.length === 0 && (
        <Empty title="No review is planned yet">When the instructor has planned one, it stands here.</Empty>
      )}
      <ul>
        {reviews.map((r) => {
          const mine = r.sheets.some((s) => s.raterGuest === guest.id);
          return (
            <li key={r.id} className="border-b border-line">
              <Link
                href={`/guest?review=${r.id}`}
                className="flex min-h-12 flex-wrap items-center justify-between gap-x-4 py-2 hover:text-iron"
              >
                <span>
                  <strong className="font-[650]">{r.team}</strong> {r.title}, {fullDate(r.heldOn)}
                  {times.has(r.id) && `, ${times.get(r.id)!.show}`}
                </span>
                <span className="text-soft">
                  {r.verdict ? "closed" : mine ? "handed in, can be corrected" : "to fill in"}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </Surface>
  );
}
