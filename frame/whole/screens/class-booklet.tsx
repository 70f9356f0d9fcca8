import { headed } from "@/core/run/reading";
import { fullDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { plural } from "@/platform/registry/words";
import { projectState } from "@/stages/needs/queries/state";
import { milestonesOf } from "@/stages/plan/queries/milestones";
import Link from "@/ui/link";
import { PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { bookletFacts } from "../booklet-queries";
import { bookletGenerations } from "../booklet-view";
import { BookletAsked } from "../parts/booklet-asked";
import { BookletGenerations } from "../parts/booklet-team";
import { teamView } from "../view";

/** The printed record of a project: every team's builds side by side, without any student's name. */
export async function ClassBookletScreen({ slug }: { slug: string }) {
  const { frame, staff, ownTeam } = await projectPage(slug);
  const p = frame.project;
  const [state, milestones, facts] = await Promise.all([
    projectState(p.id),
    milestonesOf(p.id),
    bookletFacts(p.id, null),
  ]);
  const teams = state.teams.map((team) => ({
    team,
    view: teamView(team, state, milestones, frame.units),
    won: facts.honours.filter((h) => h.teamId === team.id),
  }));
  return (
    <div className="numbered max-w-[760px]">
      <PageHead
        title={`${p.title}: the record of a class`}
        note={
          `${fullDate(p.startsOn)} to ${fullDate(p.endsOn)} · ${plural(teams.length, "team")}, ` +
          `${plural(facts.builds.length, "build")}, ${plural(facts.failures.length, "failure")} recorded`
        }
      >
        <PrintButton />
      </PageHead>
      <BookletAsked purpose={p.purpose} brief={facts.brief} />
      <section aria-labelledby="came" className="mb-5">
        <h2 id="came">What came of it</h2>
        <ul>
          {teams.map(({ team, view, won }) => {
            const best = view.generations.find((g) => g.id === view.newest?.id)?.counted;
            return (
              <li key={team.id} className="flex flex-wrap items-baseline gap-x-3 border-t border-line py-1">
                <span className="min-w-28 font-[650]">{team.name}</span>
                <span>
                  {plural(view.generations.length, "build")}, {view.verified} of {view.musts} musts met
                </span>
                {best && view.channel && (
                  <span>
                    {headed(view.channel)} {best.shown}
                  </span>
                )}
                {won.length > 0 && <span className="font-[600]">{won.map((h) => h.title).join(", ")}</span>}
                {(staff || ownTeam === team.id) && (
                  <Link href={`/p/${slug}/records/booklet/${team.id}`} className="no-print ml-auto underline">
                    {team.name}'s booklet
                  </Link>
                )}
              </li>
            );
          })}
        </ul>
      </section>
      {teams.map(({ team, view }) => (
        <section key={team.id} aria-label={team.name} className="mb-5 print:break-before-page">
          <h2>{team.name}</h2>
          {team.concept && <p className="text-soft">concept “{team.concept}”</p>}
          <BookletGenerations
            generations={bookletGenerations(team.id, view, facts)}
            counted={view.channel ? headed(view.channel) : ""}
            massUnit={frame.units.mass}
          />
        </section>
      ))}
    </div>
  );
}
