import { briefVersions } from "@/stages/brief/queries";
import { clientQuestions } from "@/stages/needs/queries/questions";
import { demonstrationsFor } from "@/stages/reviews/queries/demonstration";
import { Fold } from "@/ui/fold";
import { Markdown } from "@/ui/markdown";
import { AnswerForm, GuestDemonstration } from "../parts/lazy";
import { Choices, choicesFor, type GuestPage, Surface } from "../parts/surface";

/** The client's page: what the class asks, the concepts to choose, the brief. */
export async function ClientSurface({ guest, frame, currency, units }: GuestPage) {
  const [[brief], questions, { choices, concepts, breaks }, shown] = await Promise.all([
    briefVersions(guest.project),
    clientQuestions(guest.project),
    choicesFor(guest),
    demonstrationsFor(guest.project),
  ]);
  const open = questions.filter((q) => q.forClient);
  const answered = questions.filter((q) => !q.forClient);
  const toDo = [
    ...(open.length ? [`${open.length} ${open.length === 1 ? "question" : "questions"} to answer`] : []),
    ...(choices.some((x) => !x.closedAt) ? ["concepts to choose"] : []),
    ...(shown.some((d) => d.wishes.every((w) => !w.outcome)) ? ["demonstrations to tick"] : []),
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
      <Choices choices={choices} concepts={concepts} breaks={breaks} guest={guest} currency={currency} units={units} />
      {shown.map(({ review, wishes }) => (
        <section key={review.id} className="mb-6">
          <h1 className="mb-2 text-[18px]">
            {review.title}: {review.team}
          </h1>
          <GuestDemonstration reviewId={review.id} wishes={wishes} who={guest.name} />
        </section>
      ))}
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
        <Fold className="mb-6" labelClass="font-[600]" label={<>{answered.length} answered</>}>
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
        </Fold>
      )}
    </Surface>
  );
}
