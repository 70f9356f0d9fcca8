import { leavesOf } from "@/core/grades/scheme";
import { projectPage } from "@/platform/pages/page";
import { studentsOf } from "@/stages/people/queries/students";
import { LinkButton, PageHead, Sheet } from "@/ui/page";
import { gradeActs } from "../acts";
import { MarksIn } from "../parts/marks-in";
import { MarksOut } from "../parts/marks-out";
import { schemeOf } from "../queries/scheme";

/** Marks out to a spreadsheet, and in from one. */
export async function SpreadsheetScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, gradeActs.edit);
  const p = frame.project;
  const [scheme, students] = await Promise.all([schemeOf(p.id), studentsOf(p.id)]);
  const entered = leavesOf(scheme?.definition.components ?? []).find((c) => c.source.kind === "entered");
  const example = `Student\t${entered?.name ?? "Notebook"}\n${students[0]?.name ?? "Ada Quill"}\t17`;
  return (
    <>
      <PageHead title="Marks and spreadsheets" note="Nothing is entered before you have seen what changes.">
        <LinkButton href={`/p/${slug}/grades`}>Gradebook</LinkButton>
      </PageHead>
      <div className="grid items-start gap-5 lg:grid-cols-[280px_minmax(0,1fr)]">
        <Sheet title="Out">
          <MarksOut slug={slug} sections={frame.sections.map((s) => ({ value: s.id, label: `section ${s.name}` }))} />
        </Sheet>
        <Sheet title="In">
          <MarksIn projectId={p.id} slug={slug} example={example} />
        </Sheet>
      </div>
    </>
  );
}
