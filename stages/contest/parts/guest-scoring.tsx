import { Empty } from "@/ui/page";
import { requirementLimits } from "../queries/attempts";
import { contestOf } from "../queries/events";
import { matchEventsOf } from "../queries/matches";
import { playedView, toPlay } from "../view/lives";
import { MatchEntry } from "./match-entry";
import { Scoring } from "./scoring";

/** Inspection and scoring for judges and scorers: every event that is not confirmed; large targets, in their name. */
export async function GuestScoring({ project }: { project: string }) {
  const [all, matches, limits] = await Promise.all([
    contestOf(project),
    matchEventsOf(project),
    requirementLimits(project),
  ]);
  const events = all.filter((e) => e.state !== "confirmed");
  const races = matches.filter((e) => e.state !== "confirmed");
  if (!events.length && !races.length)
    return <Empty title="Nothing to score now">The instructor sets up the event; this page shows it by itself.</Empty>;
  return (
    <>
      {events.map((e) => (
        <section key={e.id} className="mb-6">
          <h1>{e.name}</h1>
          <p className="mb-2 text-soft">
            {e.definition.policy.n} attempts each, {e.definition.unit}. What is saved is named below each team at once.
          </p>
          <Scoring event={e} via="guest" large limits={limits} />
        </section>
      ))}
      {races.map((e) => {
        const next = toPlay(playedView(e));
        return (
          <section key={e.id} className="mb-6">
            <h1>{e.name}</h1>
            {next.length === 0 && <p className="text-soft">No match can be played now.</p>}
            {next.map((m) => (
              <MatchEntry key={`${m.slot} ${m.a} ${m.b}`} eventId={e.id} match={m} rules={e.rules} via="guest" large />
            ))}
          </section>
        );
      })}
    </>
  );
}
