import { randomBytes } from "node:crypto";
import { redirect } from "next/navigation";
import { exerciseOf, kindsFor } from "@/core/trainer/exercise";
import { trainerKind } from "@/core/vocabulary/handbook";
import { projectPage } from "@/platform/pages/page";
import { studentsOf } from "@/stages/people/queries/students";
import Link from "@/ui/link";
import { LinkChoice } from "@/ui/link-choice";
import { Empty, PageHead } from "@/ui/page";
import { ExerciseForm } from "../parts/exercise";
import { TrainedTable } from "../parts/trained-table";
import { trainedOf, trainerFacts } from "../queries/trainer";
import { askedOf, nextKind, skillsOf } from "../view/trainer";

/** Short exercises made from the class's own record; an instructor sees who needs what. */
export async function TrainerScreen({
  slug,
  kind: wanted,
  of,
  seed,
}: {
  slug: string;
  /** The one kind that is practised; without it what comes next. */
  kind?: string;
  /** The exercise that is shown. */
  of?: string;
  seed?: string;
}) {
  const { frame, actor, staff } = await projectPage(slug);
  const p = frame.project;
  const [facts, trained, students] = await Promise.all([
    trainerFacts(p.id),
    trainedOf(p.id, staff ? null : actor.id),
    staff ? studentsOf(p.id) : [],
  ]);
  const kinds = kindsFor(facts);
  const chosen = kinds.find((k) => k === wanted);
  const base = `/p/${slug}/handbook/trainer`;
  const kind = kinds.find((k) => k === of);
  // An exercise has an address of its own, so that it stays when the page is loaded again.
  if (kinds.length && !(kind && seed)) {
    const next = chosen ?? nextKind(trained, actor.id, kinds)!;
    const fresh = { of: next, seed: randomBytes(4).toString("hex"), ...(chosen && { kind: chosen }) };
    redirect(`${base}?${new URLSearchParams(fresh)}`);
  }
  const exercise = kind && seed ? exerciseOf(kind, facts, seed.slice(0, 40)) : null;
  const own = skillsOf(trained, actor.id).filter((s) => s.text);
  return (
    <>
      <PageHead
        title="Trainer"
        note={
          <>
            <Link href={`/p/${slug}/handbook`} className="underline">
              Handbook
            </Link>{" "}
            · Short exercises made from this class's own record.
          </>
        }
      />
      {exercise ? (
        <>
          <div className="mb-3">
            <LinkChoice
              label="Exercise"
              options={[
                { value: "", label: "what comes next" },
                ...trainerKind.options.filter((o) => kinds.includes(o.value)),
              ]}
              chosen={chosen ?? ""}
              hrefOf={(k) => (k ? `${base}?kind=${k}` : base)}
            />
          </div>
          <ExerciseForm
            key={`${kind} ${seed}`}
            asked={askedOf(exercise, seed!.slice(0, 40))}
            projectId={p.id}
            next={chosen ? `${base}?kind=${chosen}` : base}
          />
          {own.length > 0 && (
            <p className="mt-3 text-soft">
              So far: {own.map((s) => `${trainerKind.labels[s.kind]} ${s.text}`).join(" · ")}
            </p>
          )}
        </>
      ) : (
        <Empty title="Nothing to make exercises from yet">
          They come from requirements with limits, from builds with their variables, from a protocol and from the
          grading scheme.
        </Empty>
      )}
      {staff && students.length > 0 && (
        <section className="mt-8">
          <h2 className="mb-2">Who needs what</h2>
          <TrainedTable
            students={students.map(({ id, name, section }) => ({ id, name, section, skills: skillsOf(trained, id) }))}
          />
        </section>
      )}
    </>
  );
}
