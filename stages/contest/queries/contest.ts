import "server-only";
import { settingsOf } from "@/platform/project/settings";
import { eventsOf, placedEventsOf } from "./events";
import { judgedEventsOf } from "./judged";
import { eventNames, matchEventsOf } from "./matches";
import { freshenStandings } from "./standings";

/** Everything that the overall ranking of a contest is made of, and the names of its events. */
async function read<E>(projectId: string, measured: (projectId: string) => Promise<E[]>) {
  // What is marked is computed first, so that every kind of event is read once.
  await freshenStandings(projectId);
  const [events, races, judged, names, settings] = await Promise.all([
    measured(projectId),
    matchEventsOf(projectId),
    judgedEventsOf(projectId),
    eventNames(projectId),
    settingsOf(projectId),
  ]);
  const weights = new Map(names.map((e) => [e.id as string, e.weight]));
  return { names, settings, contest: { events, races, judged, method: settings.combine, weights } };
}

/** The events of a contest with their standings and how they are put together. */
export const contestOf = (projectId: string) => read(projectId, eventsOf);

/** The same where no working of a measured event is opened: boards. */
export const placedContestOf = (projectId: string) => read(projectId, placedEventsOf);
