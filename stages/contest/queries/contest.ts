import "server-only";
import { unitsOf } from "@/core/quantity/systems";
import { db, type Tx } from "@/platform/db/db";
import { settingsOf } from "@/platform/project/settings";
import { freshen } from "@/stages/needs/queries/kept";
import type { AwardFacts } from "../view/awards";
import { awardFacts } from "./awards";
import { eventsOf, placedEventsOf } from "./events";
import { judgedEventsOf } from "./judged";
import { eventNames, matchEventsOf } from "./matches";
import { freshenStandings } from "./standings";

/** What awards are made of where nobody asks for awards. */
const noFacts: AwardFacts = { firsts: [], notebooks: [], ballot: null };

/** Computes what is marked of a contest first, so that every kind of event is read once; awards lean on builds too. */
export async function freshenContest(projectId: string, awards: boolean): Promise<void> {
  await freshenStandings(projectId);
  if (awards) await freshen([projectId]);
}

/** Everything that the overall ranking of a contest is made of, and the names of its events. */
async function gather<E>(
  projectId: string,
  measured: (projectId: string, sql: Tx) => Promise<E[]>,
  awards: boolean,
  sql: Tx,
) {
  const [events, races, judged, names, settings, facts] = await Promise.all([
    measured(projectId, sql),
    matchEventsOf(projectId, sql),
    judgedEventsOf(projectId, sql),
    eventNames(projectId, sql),
    settingsOf(projectId, sql),
    awards ? awardFacts(projectId, sql) : noFacts,
  ]);
  const weights = new Map(names.map((e) => [e.id as string, e.weight]));
  const contest = { events, races, judged, method: settings.combine, weights };
  const massUnit = unitsOf(settings.units).mass;
  return { names, settings, contest, massUnit, given: settings.awards, facts };
}

/** The events of a contest with their standings, how they are put together, and what awards are made of. */
export async function contestOf(projectId: string) {
  await freshenContest(projectId, true);
  return gather(projectId, eventsOf, true, db());
}

/** The same where no working of a measured event is opened, with what awards are made of or without. */
export async function placedContestOf(projectId: string, awards: boolean) {
  await freshenContest(projectId, awards);
  return gather(projectId, placedEventsOf, awards, db());
}

/** The same with awards in a command's transaction; what is marked was computed before it began. */
export const contestIn = (projectId: string, sql: Tx) => gather(projectId, eventsOf, true, sql);
