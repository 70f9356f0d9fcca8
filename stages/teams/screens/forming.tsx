import { proposedSeed } from "@/platform/draw/seed";
import { instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { conceptsOf } from "@/stages/concepts/queries/concepts";
import { studentsOf } from "@/stages/people/queries/students";
import { Fold } from "@/ui/fold";
import { Empty, PageHead, Sheet } from "@/ui/page";
import { teamActs } from "../acts";
import { ByIdea, RemoveConstraint } from "../parts/buttons";
import { ConstraintForm } from "../parts/constraint-form";
import { Explained } from "../parts/explained";
import { PlansTable } from "../parts/plans-table";
import { SchoolForm } from "../parts/school-form";
import { SelectionOrder } from "../parts/selection-order";
import { SolverPanel } from "../parts/solver-panel";
import { TeamTabs } from "../parts/team-tabs";
import { TraitsForm } from "../parts/traits-form";
import { constraintsOf, problemOf, type Setup, teamPlansOf, traitsOf, wishesOf } from "../queries/forming";
import { drawsOf, teamsOf } from "../queries/teams";
import { freeConcepts, limitWords, planLine, seatsOf } from "../view/forming";

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
  const free = freeConcepts(concepts, teams);
  const seats = seatsOf(concepts, teams);
  const kept = await Promise.all(
    plans.slice(0, 6).map(async (plan) => planLine(plan, await problemOf(p.id, plan.problem as Setup))),
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
                concepts={free}
                min={settings.teamMin}
                max={settings.teamMax}
                students={students.length}
                live={teams.length}
              />
            </Sheet>
            {kept.length > 0 && (
              <Sheet title="Plans kept">
                <PlansTable lines={kept} />
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
              {free.length > 0 && (
                <div className="mt-3 border-t border-line pt-2">
                  <ByIdea projectId={p.id} />
                </div>
              )}
            </Sheet>
            <Sheet title="Limits">
              {constraints.length > 0 && (
                <ul className="mb-3">
                  {constraints.map((c) => {
                    const { people: whom, asks } = limitWords(c, students, seats, teams);
                    return (
                      <li
                        key={c.id}
                        className="flex items-baseline justify-between gap-2 border-b border-line py-1 last:border-0"
                      >
                        <span>
                          {whom} <span className="text-soft">{asks}</span>
                        </span>
                        <RemoveConstraint id={c.id} />
                      </li>
                    );
                  })}
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
                seed={proposedSeed()}
              />
            </Sheet>
          </aside>
        </div>
      )}
    </>
  );
}
