import { projectPage } from "@/platform/pages/page";
import { studentsOf } from "@/stages/people/queries/students";
import { Fold } from "@/ui/fold";
import { Empty, PageHead } from "@/ui/page";
import { questionActs } from "../acts";
import { RestoreQuestion } from "../parts/buttons";
import { NeedsTabs } from "../parts/needs-tabs";
import { QuestionBank } from "../parts/question-bank";
import { QuestionForm } from "../parts/question-form";
import { questionsOf } from "../queries/questions";

export async function QuestionsScreen({ slug }: { slug: string }) {
  const { frame, staff } = await projectPage(slug, questionActs.draft);
  const p = frame.project;
  const [all, students] = await Promise.all([questionsOf(p.id), studentsOf(p.id)]);
  const list = all.filter((q) => !q.mergedInto && !q.dropped);
  const dropped = all.filter((q) => q.dropped);
  return (
    <>
      <PageHead
        title="Questions"
        note={
          list.length
            ? `${list.length} questions, ${all.length - dropped.length - list.length} drafts merged into them; ` +
              `${list.filter((q) => !q.asker && !q.forClient).length} without somebody who asks`
            : "What the class wants to know of the client."
        }
      />
      <NeedsTabs slug={slug} staff={staff} />
      <div className="mb-4">
        <QuestionForm projectId={p.id} />
      </div>
      {list.length === 0 ? (
        <Empty title="No question yet">
          Everybody drafts questions for the client. The class then merges those that ask the same, puts them in order,
          and agrees who asks which. Ask for numbers: how heavy, how often, how long, how much.
        </Empty>
      ) : (
        <QuestionBank
          projectId={p.id}
          staff={staff}
          people={students.map((s) => ({ value: s.id, label: s.name }))}
          list={list.map((q) => ({ ...q, merged: all.filter((m) => m.mergedInto === q.id) }))}
        />
      )}
      {staff && dropped.length > 0 && (
        <Fold className="mt-4 text-soft" label={<>{dropped.length} dropped</>}>
          <ul>
            {dropped.map((q) => (
              <li key={q.id}>
                {q.text} <RestoreQuestion id={q.id} />
              </li>
            ))}
          </ul>
        </Fold>
      )}
    </>
  );
}
