import { notFound } from "next/navigation";
import { leavesOf } from "@/core/grades/scheme";
import { projectPage } from "@/platform/pages/page";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { Figure } from "@/ui/working";
import { gradeActs } from "../acts";
import { Appeals } from "../parts/appeals";
import { ExtensionForm } from "../parts/extension-form";
import { GradeTree } from "../parts/grade-tree";
import { MarkForm } from "../parts/mark-form";
import { appealsOf } from "../queries/appeals";
import { gradebook } from "../queries/gradebook";
import { ledgerOf } from "../view/ledger";
import { canBeLate } from "../view/typed-scheme";

/** One student's grade in full, with what can be set by hand. */
export async function StudentGradeScreen({ slug, person }: { slug: string; person: string }) {
  const { frame } = await projectPage(slug, gradeActs.readAll);
  const p = frame.project;
  const [book, appeals] = await Promise.all([
    gradebook(p.id, frame.today, { only: person, calendars: frame.calendars }),
    appealsOf(p.id, person),
  ]);
  const row = book.rows[0];
  if (book.scheme && !row) notFound();
  if (!row || !book.scheme)
    return (
      <>
        <PageHead title="Grade" />
        <Empty
          title="No grading scheme yet"
          action={
            <LinkButton href={`/p/${slug}/grades/scheme`} look="main">
              Write the scheme
            </LinkButton>
          }
        >
          The scheme comes first.
        </Empty>
      </>
    );
  const [line] = ledgerOf([row], { teams: new Map() });
  const sources = new Map(leavesOf(book.scheme.definition.components).map((c) => [c.key, c.source]));
  const { grade, letter } = row.grade.value;
  return (
    <>
      <PageHead
        title={row.student.name}
        note={`Section ${row.student.section}${row.student.team ? ` · team ${row.student.team}` : ""}`}
      >
        <PrintButton />
        <LinkButton href={`/p/${slug}/grades`}>Gradebook</LinkButton>
      </PageHead>
      <p className="mb-4 text-[30px] font-[650]">
        <Figure working={row.grade.working} unit="%">
          {grade ?? "–"}
        </Figure>
        {letter && <span className="ml-3">{letter}</span>}
      </p>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="How the grade came about">
        <GradeTree
          parts={line!.components}
          act={(part) => {
            const m = row.marks[part.key];
            const { kind } = sources.get(part.key)!;
            const more = row.extensions[part.key];
            return (
              <div className="grid justify-items-start gap-1">
                <MarkForm
                  projectId={p.id}
                  personId={row.student.id}
                  component={part.key}
                  version={m?.version ?? 0}
                  typed={m?.typed ?? ""}
                  computed={kind !== "entered"}
                />
                {canBeLate(kind) && (
                  <ExtensionForm
                    projectId={p.id}
                    personId={row.student.id}
                    component={part.key}
                    version={more?.version ?? 0}
                    sessions={more?.sessions ?? 0}
                    reason={more?.reason ?? ""}
                  />
                )}
              </div>
            );
          }}
        />
      </div>
      <Appeals
        appeals={appeals}
        staff
        nameOf={(key) => line!.components.find((c) => c.key === key)?.name ?? "a component"}
      />
    </>
  );
}
