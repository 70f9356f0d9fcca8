import { notFound } from "next/navigation";
import { headed } from "@/core/run/reading";
import { isId } from "@/platform/db/id";
import { fullDate, longDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { plural } from "@/platform/registry/words";
import { projectState } from "@/stages/needs/queries/state";
import { milestonesOf } from "@/stages/plan/queries/milestones";
import { LinkButton, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { bookletFacts } from "../booklet-queries";
import { bookletGenerations } from "../booklet-view";
import { BookletAsked } from "../parts/booklet-asked";
import { BookletGenerations, BookletVerdicts } from "../parts/booklet-team";
import { teamView } from "../view";

/** The printed record of a team: what was asked, what it built, what failed and held, what was decided and won. */
export async function TeamBookletScreen({ slug, team: id }: { slug: string; team: string }) {
  const { frame, staff, ownTeam } = await projectPage(slug);
  if (!isId(id) || (!staff && ownTeam !== id)) notFound();
  const p = frame.project;
  const [state, milestones, facts] = await Promise.all([
    projectState(p.id),
    milestonesOf(p.id),
    bookletFacts(p.id, id),
  ]);
  const team = state.teams.find((t) => t.id === id);
  if (!team) notFound();
  const view = teamView(team, state, milestones, frame.units);
  return (
    <div className="numbered max-w-[760px]">
      <PageHead
        title={`${team.name}: the record of a team`}
        note={`${p.title}${p.client && `, for ${p.client}`} · ${fullDate(p.startsOn)} to ${fullDate(p.endsOn)}`}
      >
        <PrintButton />
        <LinkButton href={`/p/${slug}/records/booklet`}>The class's booklet</LinkButton>
      </PageHead>
      <p className="mb-3">
        {team.members.map((m) => (m.role ? `${m.name} (${m.role})` : m.name)).join(", ")}
        {team.concept && <span className="text-soft"> · concept “{team.concept}”</span>}
      </p>
      <BookletAsked purpose={p.purpose} brief={facts.brief} />
      <section aria-labelledby="built" className="mb-5">
        <h2 id="built">What was built</h2>
        <BookletGenerations
          generations={bookletGenerations(id, view, facts)}
          counted={view.channel ? headed(view.channel) : ""}
          massUnit={frame.units.mass}
        />
      </section>
      <section aria-labelledby="held" className="mb-5">
        <h2 id="held">
          What holds in the end: {view.verified} of {view.musts} musts
        </h2>
        <BookletVerdicts verdicts={view.verdicts} />
      </section>
      {facts.decisions.length > 0 && (
        <section aria-labelledby="decided" className="mb-5">
          <h2 id="decided">What reviews decided</h2>
          <ul>
            {facts.decisions.map((d) => (
              <li key={d.id} className="border-t border-line py-1 break-inside-avoid">
                {d.what}{" "}
                <span className="text-soft">
                  {d.review}, {longDate(d.heldOn)} · {d.closed ? d.closingEvidence || "done" : "still open"}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {(facts.places.length > 0 || facts.honours.length > 0) && (
        <section aria-labelledby="won" className="mb-5">
          <h2 id="won">The contest</h2>
          <ul>
            {facts.places.map((x) => (
              <li key={x.event} className="border-t border-line py-1">
                {x.event}: place {x.place}
                {!x.confirmed && <span className="text-soft">, not confirmed yet</span>}
              </li>
            ))}
            {facts.honours.map((h) => (
              <li key={h.id} className="border-t border-line py-1">
                <span className="font-[650]">{h.title}</span> <span className="text-soft">{h.says}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <p className="text-sm text-soft">
        {plural(view.generations.length, "build")}, {plural(facts.failures.length, "failure")} recorded. Printed from
        the record on {fullDate(frame.today)}.
      </p>
    </div>
  );
}
