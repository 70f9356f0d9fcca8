import { randomInt } from "node:crypto";
import { shareOfParts } from "@/core/teams/parts";
import { reportTeams } from "@/core/teams/solver";
import { conceptsOf } from "@/data/concepts";
import { constraintsOf, partsOf, problemOf, type Setup, teamPlansOf, traitsOf, wishesOf } from "@/data/forming";
import { studentsOf } from "@/data/people";
import { settingsOf } from "@/data/settings";
import { drawsOf, teamsOf } from "@/data/teams";
import { projectPage } from "@/server/page";
import { instant } from "@/ui/date";
import Link from "@/ui/link";
import { Empty, PageHead, Sheet } from "@/ui/page";
import {
  AdoptPlan,
  ByIdea,
  ConstraintForm,
  PartForm,
  RemoveConstraint,
  RemovePart,
  SchoolForm,
  SelectionOrder,
  TraitsForm,
  UndoPlan,
  WishForm,
} from "./forming-forms";
import { Explained, SolverPanel } from "./solver-panel";
import { TeamTabs } from "./tabs";

const words = { apart: "kept apart", together: "kept together", lock: "locked seat in", forbidden: "not in" } as const;

/** Forming teams: limits, skills and wishes in, plans out; several plans compared, one adopted, and undone. */
export async function FormingScreen({ slug }: { slug: string }) {
  const { frame, staff, actor } = await projectPage(slug, "team.edit");
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
                    <details key={plan.id} className="mt-2">
                      <summary className="font-[600]">{plan.name} explained</summary>
                      <div className="mt-2">
                        <Explained
                          report={report!}
                          problem={{
                            teams: problem.teams.map((t) => ({ id: t.id, name: t.name })),
                            skills: problem.skills,
                          }}
                        />
                      </div>
                    </details>
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

/** The parts of each team with their owners: what nobody has, and whether the shares are equal. */
export async function PartsScreen({ slug }: { slug: string }) {
  const { frame, staff, ownTeam } = await projectPage(slug);
  const p = frame.project;
  const [teams, parts, settings] = await Promise.all([teamsOf(p.id), partsOf(p.id), settingsOf(p.id)]);
  const shown = staff ? teams : teams.filter((t) => t.id === ownTeam);
  const school = {
    number: "every member designs an equal number of parts",
    role: "shares by role",
    none: "shares are not checked",
  }[settings.shareSchool];
  return (
    <>
      <PageHead title="Parts and owners" note={`By this project's school: ${school}.`} />
      <TeamTabs slug={slug} staff={staff} />
      {shown.length === 0 && (
        <Empty title={staff ? "No team yet" : "You are in no team yet"}>
          When there are teams, each lists the parts of its design here, with who designs which.
        </Empty>
      )}
      <div className="grid gap-6">
        {shown.map((t) => {
          const mine = parts.filter((x) => x.teamId === t.id);
          const report = shareOfParts(mine, t.members, settings.shareSchool);
          const members = t.members.map((m) => ({ value: m.id, label: m.name }));
          return (
            <section key={t.id} className="border-t-2 border-stone-4 pt-2">
              <div className="mb-1.5 flex flex-wrap items-baseline justify-between gap-x-6">
                <h2 className="text-[15px]">
                  {t.name}{" "}
                  {t.concept && (
                    <Link href={`/p/${slug}/concepts/${t.conceptId}`} className="font-normal text-soft underline">
                      {t.concept}
                    </Link>
                  )}
                </h2>
                <p className="text-sm text-soft">
                  {report.shares
                    .map(
                      (x) =>
                        `${x.member.name.split(" ")[0]} ${Number.isInteger(x.parts) ? x.parts : x.parts.toFixed(1)}`,
                    )
                    .join(" · ")}
                </p>
              </div>
              {report.says.length > 0 && (
                <ul className="mb-2 border-l-4 border-ochre bg-ochre-wash px-3 py-1 text-sm">
                  {report.says.map((w) => (
                    <li key={w}>{w}</li>
                  ))}
                </ul>
              )}
              {mine.length > 0 && (
                <div className="mb-2 overflow-x-auto" tabIndex={0} role="region" aria-label={`Parts of ${t.name}`}>
                  <table className="table">
                    <thead>
                      <tr>
                        <th>Part</th>
                        <th>Role</th>
                        <th>Who has it</th>
                        <th />
                      </tr>
                    </thead>
                    <tbody>
                      {mine.map((x) => (
                        <tr key={x.id}>
                          <td className="font-[600]">{x.name}</td>
                          <td>{x.role || "–"}</td>
                          <td>
                            {x.owners
                              .map((o) => t.members.find((m) => m.id === o)?.name)
                              .filter(Boolean)
                              .join(", ") || <span className="text-ochre-deep">nobody</span>}
                          </td>
                          <td className="no-print">
                            <span className="flex gap-2">
                              <PartForm
                                teamId={t.id}
                                members={members}
                                edit={{ id: x.id, version: x.version, name: x.name, role: x.role, owners: x.owners }}
                              />
                              <RemovePart id={x.id} />
                            </span>
                          </td>
                        </tr>
                      ))}
                    </tbody>
                  </table>
                </div>
              )}
              <details className="no-print" open={mine.length === 0 && shown.length === 1}>
                <summary className="text-sm text-soft">Add a part</summary>
                <div className="mt-1">
                  <PartForm teamId={t.id} members={members} />
                </div>
              </details>
            </section>
          );
        })}
      </div>
    </>
  );
}
