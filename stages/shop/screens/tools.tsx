import { projectPage } from "@/platform/pages/page";
import { studentsOf } from "@/stages/people/queries/students";
import { Fold } from "@/ui/fold";
import { Caution, Sheet } from "@/ui/page";
import { SignTool } from "../parts/sign-tool";
import { EditTool, ToolForm } from "../parts/tool-form";
import { WithdrawTool } from "../parts/withdraw-tool";
import { toolsOf } from "../queries/tools";
import { holdersOf, typedTool } from "../view/training";

/** The tools of a project and who is signed for each. */
export async function ToolsPart({ slug }: { slug: string }) {
  const { frame, staff, actor } = await projectPage(slug);
  const [tools, students] = await Promise.all([toolsOf(frame.project.id), studentsOf(frame.project.id)]);
  if (tools.length === 0) return null;
  const shown = staff ? students : students.filter((s) => s.id === actor.id);
  const lines = tools.map((tool) => ({ tool, of: holdersOf(tool, shown, frame.today) }));
  return (
    <section>
      <h2 className="mb-2">Tools</h2>
      <Caution>
        A signature here says that a person was trained and watched by somebody who may train for this tool, by the
        school's own rules. It replaces neither those rules nor the eye of the adult in the room.
      </Caution>
      <ul className="mt-3 grid gap-3">
        {lines.map(({ tool: t, of }) => (
          <li key={t.id} className="border-t border-line pt-2">
            <div>
              <strong className="font-[650]">{t.name}</strong>{" "}
              {t.caution && <span className="text-sm text-ochre-deep">{t.caution}</span>}{" "}
              {staff && (
                <>
                  <EditTool projectId={frame.project.id} id={t.id} version={t.version} typed={typedTool(t)} />{" "}
                  <WithdrawTool id={t.id} name={t.name} />
                </>
              )}
            </div>
            <p className="text-sm text-soft wrap-anywhere">
              signed:{" "}
              {staff
                ? of.holding.join(", ") || "nobody"
                : of.holding.length > 0
                  ? "you are"
                  : "you are not; ask your instructor"}
              {of.over.length > 0 && (
                <span className="text-iron"> · {staff ? `over: ${of.over.join(", ")}` : "your training is over"}</span>
              )}
            </p>
            {staff && (
              <Fold className="no-print text-sm" labelClass="text-soft" label="sign">
                <div className="columns-2 sm:columns-3">
                  {of.students.map((x) => (
                    <span key={x.id} className="block">
                      <SignTool toolId={t.id} personId={x.id} name={x.name} on={x.holds} />
                    </span>
                  ))}
                </div>
              </Fold>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The form for one more tool. */
export async function NewTool({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug);
  return (
    <Sheet title="A tool">
      <ToolForm projectId={frame.project.id} />
    </Sheet>
  );
}
