import { randomInt } from "node:crypto";
import { reportTeams } from "@/core/teams/report";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { conceptsOf } from "@/stages/concepts/queries/concepts";
import { studentsOf } from "@/stages/people/queries/students";
import { instant } from "@/ui/date";
import { Fold } from "@/ui/fold";
import { Empty, PageHead, Sheet } from "@/ui/page";
import { teamActs } from "../acts";
import { AdoptPlan, ByIdea, RemoveConstraint, UndoPlan } from "../parts/buttons";
import { ConstraintForm } from "../parts/constraint-form";
import { Explained } from "../parts/explained";
import { SchoolForm } from "../parts/school-form";
import { SelectionOrder } from "../parts/selection-order";
import { SolverPanel } from "../parts/solver-panel";
import { TeamTabs } from "../parts/team-tabs";
import { TraitsForm } from "../parts/traits-form";
import { constraintsOf, problemOf, type Setup, teamPlansOf, traitsOf, wishesOf } from "../queries/forming";
import { drawsOf, teamsOf } from "../queries/teams";

const words = { apart: "kept apart", together: "kept together", lock: "locked seat in", forbidden: "not in" } as const;

/** Forming teams: limits, skills and wishes in, plans out; several plans compared, one adopted, and undone. */
export async function FormingScreen({ slug }: { slug: string }) {
  const { frame, staff, actor } = await projectPage(slug, teamActs.edit);
  const p = frame.project;
  const [students, teams, concepts, constraints, traits, wishes, plans, settings, orders] = await Promise.all([
    studentsOf(p.id),
    teamsOf(p.id),
    conceptsOf(p.id, actor),
    constraintsOf(p.id),
    traitsOf(p.id),
    wishesOf(p.id),
    teamPlansOf(p.id),
    settingsOf(p.id),
    drawsOf(p.id, "selection order"),
  ]);
  const name = (id: string) => students.find((s) => s.id === id)?.name ?? "somebody who left";
  const going = concepts.filter((k) => k.fate === "goes on");
  const seats = [
    ...teams.map((t) => ({ value: t.id, label: t.name })),
    ...going.filter((k) => !teams.some((t) => t.conceptId === k.id)).map((k) => ({ value: k.id, label: k.title })),
  ];
  const kept = await Promise.all(
    plans.slice(0, 6).map(async (plan) => {
      const problem = await problemOf(p.id, plan.problem as Setup);
      const whole = problem.people.every((x) => problem.teams.some((t) => t.id === plan.assignment[x.id]));
      return { plan, problem, report: whole ? reportTeams(problem, plan.assignment) : null };
    }),
  );
  const wished = new Set(wishes.map((w) => w.personId)).size;
  const people = students.map((s) => ({ value: s.id, label: s.name }));
  const sections = frame.sections.map((s) => ({ value: s.id, label: `section ${s.name}` }));
  const last = orders[0];
  return (
    <>
      <PageHead
        title="Forming teams"
        note={
          `${wished} of ${students.length} students have told their wishes · ${constraints.length} limits · ` +
          `${plans.length} ${plans.length === 1 ? "plan" : "plans"} kept`
        }
      />
      <TeamTabs slug={slug} staff={staff} />
      {students.length === 0 ? (
        <Empty title="Nobody to form teams of yet">The roster comes first.</Empty>
      ) : (
        <div className="grid items-start gap-5 xl:grid-cols-[minmax(0,1fr)_360px]">
          <div className="grid min-w-0 gap-5">
            <Sheet title="Solver" aside="limits are always kept; wishes are weighed">
              <SolverPanel
                projectId={p.id}
                sections={sections}
                concepts={going
                  .filter((k) => !teams.some((t) => t.conceptId === k.id))
                  .map((k) => ({ value: k.id, label: k.title }))}
                min={settings.teamMin}
                max={settings.teamMax}
                students={students.length}
                live={teams.length}
              />
            </Sheet>
            {kept.length > 0 && (
              <Sheet title="Plans kept">
                <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Plans">
                  <table className="table">
                    <thead>
                      <tr>
                        <th>Plan</th>
                        <th>First idea</th>
                        <th>Wishes</th>
                        <th className="num">Skill cost</th>
                        <th className="num">Alone</th>
                        <th className="num">Cost in all</th>
                        <th />
                      </tr>
                    </thead>
                    <tbody>
                      {kept.map(({ plan, report }) => {
                        const s = (k: string) =>
                          report?.soft.find((x) => x.kind === k)?.text ?? "the roster changed since";
                        return (
                          <tr key={plan.id}>
                            <td className="min-w-36 font-[600]">
                              {plan.name}
                              <span className="block text-sm font-normal text-soft">
                                {instant(plan.madeAt)}, {plan.madeBy}
                              </span>
                            </td>
                            <td className="text-sm">{s("idea")}</td>
                            <td className="text-sm">{s("wish")}</td>
                            <td className="num">{plan.cost.skill.toFixed(1)}</td>
                            <td className="num">{plan.cost.lone.toFixed(0)}</td>
                            <td className="num font-[600]">{plan.cost.all.toFixed(1)}</td>
                            <td className="whitespace-nowrap">
                              {plan.adoptedAt ? (
                                <>
                                  <span className="font-[650] text-moss">adopted</span> <UndoPlan id={plan.id} />
                                </>
                              ) : report ? (
                                <AdoptPlan id={plan.id} />
                              ) : null}
                            </td>
                          </tr>
                        );
                      })}
                    </tbody>
                  </table>
                </div>
                {kept
                  .filter((x) => x.report)
                  .slice(0, 3)
                  .map(({ plan, problem, report }) => (
                    <Fold key={plan.id} className="mt-2" labelClass="font-[600]" label={<>{plan.name} explained</>}>
                      <div className="mt-2">
                        <Explained
                          report={report!}
                          problem={{
                            teams: problem.teams.map((t) => ({ id: t.id, name: t.name })),
                            skills: problem.skills,
                          }}
                        />
                      </div>
                    </Fold>
                  ))}
              </Sheet>
            )}
            <Sheet title="Skills and the marked group">
              <TraitsForm
                projectId={p.id}
                skills={[...new Set(traits.flatMap((t) => Object.keys(t.skills)))].sort()}
                people={students.map((s) => {
                  const t = traits.find((x) => x.personId === s.id);
                  return { id: s.id, name: s.name, skills: t?.skills ?? {}, marked: t?.marked ?? false };
                })}
              />
            </Sheet>
          </div>
          <aside className="grid gap-4">
            <Sheet title="School">
              <SchoolForm
                projectId={p.id}
                values={{
                  teamSchool: settings.teamSchool,
                  teamMin: settings.teamMin,
                  teamMax: settings.teamMax,
                  shareSchool: settings.shareSchool,
                }}
              />
              {going.some((k) => !teams.some((t) => t.conceptId === k.id)) && (
                <div className="mt-3 border-t border-line pt-2">
                  <ByIdea projectId={p.id} />
                </div>
              )}
            </Sheet>
            <Sheet title="Limits">
              {constraints.length > 0 && (
                <ul className="mb-3">
                  {constraints.map((c) => (
                    <li
                      key={c.id}
                      className="flex items-baseline justify-between gap-2 border-b border-line py-1 last:border-0"
                    >
                      <span>
                        {c.people.map(name).join(", ")}{" "}
                        <span className="text-soft">
                          {words[c.kind]}
                          {c.seat &&
                            " " +
                              (seats.find((x) => x.value === c.seat)?.label ??
                                teams.find((t) => t.conceptId === c.seat)?.name ??
                                "a team that is gone")}
                        </span>
                      </span>
                      <RemoveConstraint id={c.id} />
                    </li>
                  ))}
                </ul>
              )}
              <ConstraintForm projectId={p.id} people={people} seats={seats} />
            </Sheet>
            <Sheet title="Selection order">
              <p className="mb-2 text-sm text-soft">Who chooses first, drawn by a seed that everybody sees before.</p>
              {last && (
                <p className="mb-2">
                  <strong className="font-[650]">{(last.outcome as string[]).join(", ")}</strong>{" "}
                  <span className="block text-sm text-soft">
                    seed {last.seed}, {instant(last.drawnAt)}, {last.drawnBy}
                  </span>
                </p>
              )}
              <SelectionOrder
                projectId={p.id}
                sections={frame.sections.map((s) => ({ value: s.id, label: s.name }))}
                seed={String(randomInt(1000, 10_000))}
              />
            </Sheet>
          </aside>
        </div>
      )}
    </>
  );
}
