import { notFound } from "next/navigation";
import { projectPage } from "@/platform/pages/page";
import { projectState } from "@/stages/needs/queries/state";
import { milestonesOf } from "@/stages/plan/queries/milestones";
import { Empty, PageHead, Sheet } from "@/ui/page";
import { PutAside, Reasons } from "../parts/reasons";
import { flagsOf } from "../queries/flags";

/** The teams that want a look, each with its reasons, each of which can be put aside with a note. */
export async function AttentionScreen({ slug }: { slug: string }) {
  const { frame, staff } = await projectPage(slug);
  if (!staff) notFound();
  const p = frame.project;
  const [facts, milestones] = await Promise.all([projectState(p.id), milestonesOf(p.id)]);
  const { flags, aside } = await flagsOf(facts, {
    project: p.id,
    today: frame.today,
    end: p.eventOn ?? p.endsOn,
    calendars: frame.calendars,
    milestones,
  });
  const teams = facts.teams.filter((t) => flags.some((f) => f.team === t.id));
  return (
    <>
      <PageHead
        title="Teams to look at"
        note="Reasons, never a score. One that was looked at is put aside; it comes back when there is more of it."
      />
      <div className="grid max-w-[980px] gap-4">
        {teams.length === 0 && (
          <Empty title="Nobody wants a look">
            Teams stand here when they fall behind, when what was decided is not carried out, or when a limit is broken.
          </Empty>
        )}
        {teams.map((t) => (
          <section key={t.id} id={t.id} aria-label={t.name} className="sheet px-4 py-3">
            <h2 className="mb-1">{t.name}</h2>
            <Reasons slug={slug} flags={flags.filter((f) => f.team === t.id)} may={!p.finishedAt} />
          </section>
        ))}
        {aside.length > 0 && (
          <Sheet title="Put aside">
            <PutAside aside={aside} teams={facts.teams} may={!p.finishedAt} />
          </Sheet>
        )}
      </div>
    </>
  );
}
