import { typedMark } from "@/core/grades/mark";
import { leavesOf } from "@/core/grades/scheme";
import { projectPage } from "@/platform/pages/page";
import { rubricsOf } from "@/stages/reviews/queries/reviews";
import { gradeActs } from "../acts";
import { MarkForm } from "../parts/mark-form";
import { RubricMarks } from "../parts/rubric-marks";
import { marksOf } from "../queries/marks";
import { schemeOf } from "../queries/scheme";

/** The marks of a student that are entered by hand, where what they are given for is read; nothing where none is. */
export async function MarksBeside({ slug, person }: { slug: string; person: string }) {
  const { frame, may } = await projectPage(slug);
  if (!may(gradeActs.edit)) return null;
  const p = frame.project;
  const [scheme, marks, rubrics] = await Promise.all([schemeOf(p.id), marksOf(p.id, person), rubricsOf(p.id)]);
  const parts = leavesOf(scheme?.definition.components ?? []).filter((c) => c.source.kind === "entered");
  if (parts.length === 0) return null;
  return (
    <section aria-labelledby="marks" className="no-print border-b border-line pb-2">
      <h2 id="marks" className="text-base">
        Marks that are entered
      </h2>
      <ul>
        {parts.map((c) => {
          const mark = marks.find((m) => m.component === c.key);
          const typed = mark ? mark.typed || typedMark(mark) : "";
          return (
            <li key={c.key} className="flex flex-wrap items-baseline gap-x-3">
              <span>{c.name}</span>
              <span className={mark ? "font-[600]" : "text-soft"}>{typed || "none yet"}</span>
              <MarkForm
                projectId={p.id}
                personId={person}
                component={c.key}
                version={mark?.version ?? 0}
                typed={typed}
                computed={false}
              />
              <RubricMarks
                projectId={p.id}
                personId={person}
                component={c.key}
                version={mark?.version ?? 0}
                rubrics={rubrics.map(({ id, name, definition }) => ({ id, name, definition }))}
              />
            </li>
          );
        })}
      </ul>
    </section>
  );
}
