import { notFound } from "next/navigation";
import { projectPage } from "@/platform/pages/page";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { Figure } from "@/ui/working";
import { gradeActs } from "../acts";
import { MarkForm } from "../parts/mark-form";
import { gradebook } from "../queries";

/** One student's grade in full, with what can be set by hand. */
export async function StudentGradeScreen({ slug, person }: { slug: string; person: string }) {
  const { frame } = await projectPage(slug, gradeActs.readAll);
  const p = frame.project;
  const book = await gradebook(p.id, frame.today, { only: person });
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
  return (
    <>
      <PageHead
        title={row.student.name}
        note={`Section ${row.student.section}${row.student.team ? ` · team ${row.student.team}` : ""}`}
      >
        <LinkButton href={`/p/${slug}/grades`}>Gradebook</LinkButton>
      </PageHead>
      <p className="mb-4 text-[30px] font-[650]">
        <Figure working={row.grade.working} unit="%">
          {row.grade.value.grade ?? "–"}
        </Figure>
      </p>
      <table className="table max-w-[900px]">
        <thead>
          <tr>
            <th>Component</th>
            <th className="num">Weight</th>
            <th className="num">Percent</th>
            <th>State</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {row.grade.value.components.map((c) => {
            const m = row.marks[c.key];
            return (
              <tr key={c.key}>
                <td className="font-[600]">{c.name}</td>
                <td className="num">{c.weight}</td>
                <td className="num">
                  <Figure working={c.working}>{c.percent === null ? "–" : Number(c.percent).toFixed(1)}</Figure>
                </td>
                <td>
                  {c.overridden !== null ? (
                    <>
                      set by hand, computed: {c.overridden}
                      {/^\d/.test(c.overridden) && " %"}
                    </>
                  ) : (
                    c.state
                  )}
                  {c.note && <span className="block text-sm text-soft">{c.note}</span>}
                </td>
                <td>
                  <MarkForm
                    projectId={p.id}
                    personId={row.student.id}
                    component={c.key}
                    version={m?.version ?? 0}
                    typed={m?.typed ?? ""}
                    computed={
                      book.scheme!.definition.components.find((x) => x.key === c.key)!.source.kind !== "entered"
                    }
                  />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}
