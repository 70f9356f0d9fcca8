import { projectPage } from "@/platform/pages/page";
import { conceptsOf } from "@/stages/concepts/queries/concepts";
import { studentsOf } from "@/stages/people/queries/students";
import { PageHead } from "@/ui/page";
import { TeamTabs } from "../parts/team-tabs";
import { WishForm } from "../parts/wish-form";
import { wishesOf } from "../queries/forming";

/** A student's own wishes. */
export async function WishesScreen({ slug }: { slug: string }) {
  const { frame, actor } = await projectPage(slug);
  const p = frame.project;
  const place = actor.projects[p.id];
  if (place?.role !== "student")
    return <PageHead title="Wishes" note="Students tell their wishes here; you see them on the forming page." />;
  const [students, concepts, wishes] = await Promise.all([studentsOf(p.id), conceptsOf(p.id, actor), wishesOf(p.id)]);
  const mine = (kind: string) => wishes.filter((w) => w.personId === actor.id && w.kind === kind).map((w) => w.target);
  const section = students.find((s) => s.id === actor.id)?.sectionId;
  const ideas = concepts
    .filter((k) => k.fate === "open" || k.fate === "goes on")
    .map((k) => ({ value: k.id, label: k.title }));
  return (
    <>
      <PageHead title="My wishes" note="For the teams that are formed next." />
      <TeamTabs slug={slug} staff={false} />
      <WishForm
        projectId={p.id}
        personId={actor.id}
        people={students
          .filter((s) => s.sectionId === section && s.id !== actor.id)
          .map((s) => ({ value: s.id, label: s.name }))}
        ideas={ideas}
        chosen={{ people: mine("person"), ideas: mine("idea").filter((i) => ideas.some((x) => x.value === i)) }}
      />
    </>
  );
}
