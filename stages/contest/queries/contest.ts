import "server-only";
import { unitsOf } from "@/core/quantity/systems";
import type { Tx } from "@/platform/db/db";
import { settingsOf } from "@/platform/project/settings";
import { freshen } from "@/stages/needs/queries/kept";
import type { Awarded, AwardFacts } from "../view/awards";
import { awardFacts } from "./awards";
import { eventsOf, placedEventsOf } from "./events";
import { judgedEventsOf } from "./judged";
import { eventNames, matchEventsOf } from "./matches";
import { freshenStandings } from "./standings";

/** What awards are made of where nobody asks for awards. */
const noFacts: AwardFacts = { firsts: [], notebooks: [], ballot: null };

/** Everything that the overall ranking of a contest is made of, and the names of its events. */
async function read<E>(projectId: string, measured: (projectId: string) => Promise<E[]>, awards: boolean) {
  // What is marked is computed first, so that every kind of event is read once; awards lean on builds too.
  await Promise.all([freshenStandings(projectId), awards ? freshen([projectId]) : undefined]);
  const [events, races, judged, names, settings, facts] = await Promise.all([
    measured(projectId),
    matchEventsOf(projectId),
    judgedEventsOf(projectId),
    eventNames(projectId),
    settingsOf(projectId),
    awards ? awardFacts(projectId) : noFacts,
  ]);
  const weights = new Map(names.map((e) => [e.id as string, e.weight]));
  const contest = { events, races, judged, method: settings.combine, weights };
  const massUnit = unitsOf(settings.units).mass;
  return { names, settings, contest, massUnit, given: settings.awards, facts };
}

/** Computes what is marked of a contest, before a command reads it. */
export async function freshenContest(projectId: string): Promise<void> {
  await freshenStandings(projectId);
  await freshen([projectId]);
}

/** What awards are made of, for a command: read one after the other in its transaction. */
export async function contestIn(projectId: string, sql: Tx): Promise<Awarded> {
  const events = await eventsOf(projectId, sql);
  const races = await matchEventsOf(projectId, sql);
  const judged = await judgedEventsOf(projectId, sql);
  const names = await eventNames(projectId, sql);
  const settings = await settingsOf(projectId, sql);
  const weights = new Map(names.map((e) => [e.id as string, e.weight]));
  return {
    contest: { events, races, judged, method: settings.combine, weights },
    given: settings.awards,
    facts: await awardFacts(projectId, sql),
    massUnit: unitsOf(settings.units).mass,
  };
}

/** The events of a contest with their standings, how they are put together, and what awards are made of. */
export const contestOf = (projectId: string) => read(projectId, eventsOf, true);

/** The same where no working of a measured event is opened, with what awards are made of or without. */
export const placedContestOf = (projectId: string, awards: boolean) => read(projectId, placedEventsOf, awards);
