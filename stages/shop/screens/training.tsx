import { fullDate, shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { projectActs } from "@/platform/project/acts";
import { settingsOf } from "@/platform/project/settings";
import { studentsOf } from "@/stages/people/queries/students";
import { Fold } from "@/ui/fold";
import { Caution, Empty, PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { toolActs } from "../acts";
import { ShopMethodForm } from "../parts/shop-method-form";
import { ShopTabs } from "../parts/shop-tabs";
import { EditTool, ToolForm } from "../parts/tool-form";
import { TrainingCell } from "../parts/training-cell";
import { WithdrawTool } from "../parts/withdraw-tool";
import { toolsOf } from "../queries/tools";
import { trainingCounts, trainingLines, trainingWords, typedTool } from "../view/training";

/** Tools and machines with their rules, and who is trained for which until when. */
export async function TrainingScreen({ slug }: { slug: string }) {
  const page = await projectPage(slug);
  const { frame, staff, actor } = page;
  const p = frame.project;
  const [tools, everybody, settings] = await Promise.all([toolsOf(p.id), studentsOf(p.id), settingsOf(p.id)]);
  const students = staff ? everybody : everybody.filter((s) => s.id === actor.id);
  const lines = trainingLines(tools, students, frame.today);
  const edits = page.may(toolActs.sign) && !p.finishedAt;
  return (
    <>
      <PageHead title="Training" note="Who may stand at which machine, signed after training, until when." />
      <ShopTabs slug={slug} />
      <div className="mb-4 max-w-[860px]">
        <Caution>
          A signature says that a person was trained and watched by somebody who may train for this tool, by the
          school's own rules and local codes. It replaces neither those nor the eye of the adult in the room.
        </Caution>
      </div>
      {tools.length === 0 ? (
        <Empty title="No tool is listed yet">
          List the tools that hurt when they are used wrongly: knife, drill, saw, laser, glue gun. Teams then see who
          may use which, and share the machines by their queue.
        </Empty>
      ) : (
        <DataTable
          caption="Who is trained"
          columns={[
            { key: "name", text: "Student" },
            ...tools.map((t) => {
              const n = trainingCounts(lines, t.id);
              return { key: t.id, text: staff ? `${t.name} (${n.trained} of ${lines.length})` : t.name };
            }),
          ]}
          rows={lines.map((l) => ({
            id: l.id,
            cells: {
              name: l.name,
              ...Object.fromEntries(
                l.cells.map((c, i) => {
                  const words =
                    c.state === "none"
                      ? "no"
                      : c.expiresOn === null
                        ? `since ${shortDate(c.on!)}`
                        : `${c.state === "over" ? "was over" : "until"} ${fullDate(c.expiresOn)}`;
                  return [
                    c.toolId,
                    {
                      value: `${trainingWords[c.state]}${c.expiresOn ? `, ${c.expiresOn}` : ""}`,
                      show: (
                        <TrainingCell
                          toolId={c.toolId}
                          personId={l.id}
                          state={c.state}
                          words={words}
                          edits={edits}
                          named={`${l.name}, ${tools[i]!.name}`}
                        />
                      ),
                    },
                  ];
                }),
              ),
            },
          }))}
        />
      )}
      <div className="mt-6 grid items-start gap-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <ul className="grid gap-3">
          {tools.map((t) => (
            <li key={t.id} className="border-t border-line pt-2">
              <p className="flex flex-wrap items-baseline gap-x-3">
                <strong className="font-[650]">{t.name}</strong>
                <span className="text-sm text-soft">
                  {[
                    t.place,
                    t.shared ? "shared by the teams" : "",
                    t.months ? `a training holds ${t.months} months` : "a training does not end",
                    t.trainers ? `trained by ${t.trainers}` : "",
                  ]
                    .filter(Boolean)
                    .join(" · ")}
                </span>
              </p>
              {(t.rules || t.caution) && (
                <p className="text-sm text-ochre-deep">
                  {t.rules && <strong className="font-[650]">{t.rules} </strong>}
                  {t.caution}
                </p>
              )}
              {edits && (
                <div className="no-print text-sm">
                  <EditTool projectId={p.id} id={t.id} version={t.version} typed={typedTool(t)} />{" "}
                  <WithdrawTool id={t.id} name={t.name} />
                </div>
              )}
            </li>
          ))}
        </ul>
        {edits && (
          <div className="no-print grid gap-4">
            <Sheet>
              <Fold label="A tool more">
                <div className="mt-2">
                  <ToolForm projectId={p.id} />
                </div>
              </Fold>
            </Sheet>
            {page.may(projectActs.edit) && (
              <Sheet title="How strictly">
                <ShopMethodForm
                  projectId={p.id}
                  strictness={settings.trainingStrictness}
                  minutes={settings.sessionMinutes}
                />
              </Sheet>
            )}
          </div>
        )}
      </div>
    </>
  );
}
