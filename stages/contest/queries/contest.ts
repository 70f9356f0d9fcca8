import "server-only";
import { unitsOf } from "@/core/quantity/systems";
import { settingsOf } from "@/platform/project/settings";
import { freshen } from "@/stages/needs/queries/kept";
import { awardFacts } from "./awards";
import { eventsOf, placedEventsOf } from "./events";
import { judgedEventsOf } from "./judged";
import { eventNames, matchEventsOf } from "./matches";
import { freshenStandings } from "./standings";

/** Everything that the overall ranking of a contest is made of, and the names of its events. */
async function read<E>(projectId: string, measured: (projectId: string) => Promise<E[]>) {
  // What is marked is computed first, so that every kind of event is read once.
  await freshenStandings(projectId);
  const [events, races, judged, names, settings, facts] = await Promise.all([
    measured(projectId),
    matchEventsOf(projectId),
    judgedEventsOf(projectId),
    eventNames(projectId),
    settingsOf(projectId),
    awardFacts(projectId),
  ]);
  const weights = new Map(names.map((e) => [e.id as string, e.weight]));
  const contest = { events, races, judged, method: settings.combine, weights };
  const massUnit = unitsOf(settings.units).mass;
  return { names, settings, contest, massUnit, given: settings.awards, facts };
}

/** The events of a contest with their standings and how they are put together. */
export async function contestOf(projectId: string) {
  // What first builds reached is kept too.
  await freshen([projectId]);
  return read(projectId, eventsOf);
}

/** The same where no working of a measured event is opened: boards. */
export const placedContestOf = (projectId: string) => read(projectId, placedEventsOf);
