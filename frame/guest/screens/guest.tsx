import { notFound, redirect } from "next/navigation";
import type { ReactNode } from "react";
import { type Actor, can } from "@/core/access/can";
import { formatSi } from "@/core/quantity/quantity";
import { db } from "@/platform/db/db";
import { currentGuest } from "@/platform/sign-in/cookies";
import { briefVersions } from "@/stages/brief/queries";
import { type Concept, conceptsOf } from "@/stages/concepts/queries/concepts";
import { type Selection, selectionsOf } from "@/stages/concepts/queries/selection";
import { mayRate } from "@/stages/concepts/view/selection";
import { type ContestEvent, contestOf } from "@/stages/contest/queries/events";
import { clientQuestions } from "@/stages/needs/queries/questions";
import { reviewActs } from "@/stages/reviews/acts";
import { reviewsOf } from "@/stages/reviews/queries";
import { fullDate } from "@/ui/date";
import Link from "@/ui/link";
import { LiveRefresh } from "@/ui/live";
import { Mark } from "@/ui/mark";
import { Markdown } from "@/ui/markdown";
import { Empty } from "@/ui/page";
import { AnswerForm } from "../parts/answer-form";
import { GuestChoice } from "../parts/buttons";
import { GuestSheet } from "../parts/guest-sheet";

function Surface({ title, who, live, children }: { title: string; who: string; live: string; children: ReactNode }) {
  return (
    <div className="min-h-dvh">
      <header className="flex flex-wrap items-center justify-between gap-3 border-b border-line bg-spine px-4 py-2.5">
        <p className="flex items-center gap-2.5 font-[650]">
          <Mark />
          {title}
        </p>
        <p className="text-soft">
          {who} <LiveRefresh url={live} />
        </p>
      </header>
      <main className="mx-auto max-w-[860px] px-4 py-5">{children}</main>
    </div>
  );
}

/** The selections that a guest takes part in: the concepts with their sketches, and the sheet to hand in. */
function Choices({
  choices,
  concepts,
  guest,
  currency,
}: {
  choices: Selection[];
  concepts: Concept[];
  guest: Extract<Actor, { kind: "guest" }>;
  currency: string;
}) {
  return choices.map((x) => (
    <section key={x.id} className="mb-6">
      <h1 className="mb-2 text-[18px]">{x.title}</h1>
      <ul className="mb-3 grid gap-3">
        {x.concepts.map((k) => {
          const c = concepts.find((y) => y.id === k.id)!;
          return (
            <li key={k.id} className="sheet px-4 py-3">
              <h2>{c.title}</h2>
              {c.sketches.slice(0, 2).map((f) => (
                <img
                  key={f.id}
                  src={`/api/file/${f.id}`}
                  alt={f.caption || `Sketch of ${c.title}`}
                  className="my-2 max-h-72 w-full rounded-sm border border-line object-contain"
                />
              ))}
              <p className="whitespace-pre-wrap">{c.idea}</p>
              <p className="mt-1 text-sm text-soft">
                {[
                  c.mass && `about ${formatSi(c.mass, "kg", 1)} kg`,
                  c.cost && `about ${formatSi(c.cost, "1", 2)} ${currency}`,
                  c.sides && `${c.sides.map((y) => Math.round(Number(y) * 1000)).join(" × ")} mm`,
                ]
                  .filter(Boolean)
                  .join(" · ")}
              </p>
              {x.closedAt && (
                <p className="mt-1">
                  <strong className="font-[650]">{k.fate}</strong> {k.fateReason}
                </p>
              )}
            </li>
          );
        })}
      </ul>
      {!x.closedAt && (
        <GuestChoice
          key={x.id}
          given={x.sheets.find((h) => h.raterGuest === guest.id)?.marks ?? null}
          q={{
            id: x.id,
            school: x.school,
            criteria: x.definition.criteria,
            top: x.definition.top,
            keep: x.definition.keep,
            votes: x.definition.votes,
            datum: x.definition.datum,
            concepts: x.concepts,
          }}
        />
      )}
    </section>
  ));
}

async function choicesFor(guest: Extract<Actor, { kind: "guest" }>) {
  const [selections, concepts] = await Promise.all([selectionsOf(guest.project), conceptsOf(guest.project, guest)]);
  return {
    concepts,
    choices: selections.filter(
      (x) => mayRate(x.school, guest, guest.project) && x.concepts.every((k) => concepts.some((c) => c.id === k.id)),
    ),
  };
}

/** Where a guest's link leads: what its role needs, and nothing else. */
export async function GuestScreen({
  review,
  scoring,
}: {
  review?: string /** How an event is scored: given by the route, which may use the contest's screens. */;
  scoring: (event: ContestEvent, project: string) => ReactNode;
}) {
  const guest = await currentGuest();
  if (guest.kind !== "guest")
    return (
      <main className="grid min-h-dvh place-items-center p-6">
        <Empty title="Open your link again">It has expired, was taken back, or was opened in another browser.</Empty>
      </main>
    );
  if (guest.role === "board") redirect("/");
  const [p] = await db()<
    { title: string; currency: string }[]
  >`SELECT title, currency FROM project WHERE id = ${guest.project}`;
  if (!p) notFound();
  const frame = { title: p.title, who: guest.name, live: `/api/live?project=${guest.project}` };
  if (guest.role === "judge" || guest.role === "scorer") {
    const events = (await contestOf(guest.project)).filter((e) => e.state !== "confirmed");
    return (
      <Surface {...frame}>
        {events.length === 0 && (
          <Empty title="Nothing to score now">The instructor sets up the event; this page shows it by itself.</Empty>
        )}
        {events.map((e) => (
          <section key={e.id} className="mb-6">
            <h1>{e.name}</h1>
            <p className="mb-2 text-soft">
              {e.definition.policy.n} attempts each, {e.definition.unit}. What is saved is named below each team at
              once.
            </p>
            {scoring(e, guest.project)}
          </section>
        ))}
      </Surface>
    );
  }
  if (guest.role === "reviewer") {
    const reviews = await reviewsOf(guest.project);
    const open = reviews.find((r) => r.id === review);
    if (open && can(guest, reviewActs.read, { project: guest.project })) {
      const mine = open.sheets.filter((s) => s.raterGuest === guest.id).at(-1);
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
          {open.verdict ? (
            <p>The review has its verdict, {open.verdict}; its sheets are closed.</p>
          ) : (
            <GuestSheet
              key={mine?.version ?? 0}
              reviewId={open.id}
              version={mine?.version ?? 0}
              criteria={open.definition.criteria}
              rater={mine?.raterName ?? guest.name}
              marks={mine?.marks ?? []}
              comment={mine?.comment ?? ""}
            />
          )}
        </Surface>
      );
    }
    const panel = await choicesFor(guest);
    return (
      <Surface {...frame}>
        <Choices {...panel} choices={panel.choices.filter((x) => !x.closedAt)} guest={guest} currency={p.currency} />
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
  const [[brief], questions, { choices, concepts }] = await Promise.all([
    briefVersions(guest.project),
    clientQuestions(guest.project),
    choicesFor(guest),
  ]);
  const open = questions.filter((q) => q.forClient);
  const answered = questions.filter((q) => !q.forClient);
  const toDo = [
    ...(open.length ? [`${open.length} ${open.length === 1 ? "question" : "questions"} to answer`] : []),
    ...(choices.some((x) => !x.closedAt) ? ["concepts to choose"] : []),
  ];
  return (
    <Surface {...frame}>
      <p className="mb-4">
        {toDo.length ? (
          <>
            The class asks you for: <strong className="font-[650]">{toDo.join(", ")}</strong>.
          </>
        ) : (
          <span className="text-soft">Nothing waits for you now. The brief stands below.</span>
        )}
      </p>
      {open.length > 0 && (
        <section className="mb-6">
          <h1 className="mb-2 text-[18px]">Questions</h1>
          <ul className="grid gap-4">
            {open.map((q) => (
              <li key={q.id} className="sheet px-4 py-3">
                <AnswerForm questionId={q.id} text={q.text} />
              </li>
            ))}
          </ul>
        </section>
      )}
      <Choices choices={choices} concepts={concepts} guest={guest} currency={p.currency} />
      {brief ? (
        <section>
          <h1 className="mb-2 text-[18px]">The brief, version {brief.number}</h1>
          <article className="sheet prose-brief mb-6 px-5 py-4">
            <Markdown>{brief.body}</Markdown>
          </article>
        </section>
      ) : (
        <p className="text-soft">The brief is being written.</p>
      )}
      {answered.length > 0 && (
        <details className="mb-6">
          <summary className="font-[600]">{answered.length} answered</summary>
          <ul className="mt-1">
            {answered.map((q) => (
              <li key={q.id} className="border-b border-line py-1.5">
                <span className="text-soft">{q.text}</span>
                <span className="block">
                  {q.answer} <span className="text-sm text-soft">{q.by}</span>
                </span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </Surface>
  );
}
