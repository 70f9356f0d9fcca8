import { type CountedEvent, type Overall, overall, type Reached, whatIf } from "@/core/contest/overall";
import { pointsOfPlaces } from "@/core/points/rule";
import { formatNumber } from "@/core/quantity/quantity";
import { type CombineMethod, combineMethod } from "@/core/vocabulary/contest";
import type { Better } from "@/core/vocabulary/runs";
import type { PlacedEvent } from "../queries/events";
import type { JudgedEvent } from "../queries/judged";
import type { MatchEvent } from "../queries/matches";

export type Measured = Pick<PlacedEvent, "id" | "name" | "state" | "definition" | "standings" | "entries">;
type Judged = Pick<JudgedEvent, "id" | "name" | "state" | "standings" | "entries">;
type Race = Pick<MatchEvent, "id" | "name" | "state" | "rules" | "standings" | "entries">;

/** What the overall ranking is made of. */
export interface Contest {
  readonly events: readonly Measured[];
  readonly races: readonly Race[];
  readonly judged: readonly Judged[];
  readonly weights: ReadonlyMap<string, string>;
  readonly method: CombineMethod;
}

const valuedEvent = (e: Measured | Judged, better: Better, weight: string): CountedEvent => ({
  id: e.id,
  name: e.name,
  weight,
  better,
  by: new Map(
    e.standings.map((s): [string, Reached] => [
      s.name,
      { place: s.first, sharing: s.sharing, points: s.points, value: s.counted },
    ]),
  ),
});

/** What a place of an event of matches earns: the points of the places that are shared, in equal parts. */
function pointsOf(e: Race, place: number | null, sharing: number): string | null {
  const points = e.rules.placePoints ?? [];
  if (place === null || !points.length) return null;
  return pointsOfPlaces(points, place, sharing);
}

const raceEvent = (e: Race, weight: string): CountedEvent => ({
  id: e.id,
  name: e.name,
  weight,
  better: "more",
  by: new Map(
    e.standings.map((s): [string, Reached] => [
      s.name,
      { place: s.place, sharing: s.sharing, points: pointsOf(e, s.place, s.sharing), value: null },
    ]),
  ),
});

/** The overall ranking with what each event adds, what other methods would say, and what is still open. */
export function overallView({ events, races, judged, weights, method }: Contest) {
  const weightOf = (id: string) => weights.get(id) ?? "1";
  const counted = [
    ...events.map((e) => valuedEvent(e, e.definition.better, weightOf(e.id))),
    ...judged.map((e) => valuedEvent(e, "more", weightOf(e.id))),
    ...races.map((e) => raceEvent(e, weightOf(e.id))),
  ].filter((e) => Number(e.weight) > 0);
  const all = [...events, ...judged, ...races];
  const teams = [...new Set(all.flatMap((e) => e.entries.map((n) => n.team as string)))].sort();
  const rows = counted.length ? overall(method, counted, teams) : [];
  const states = new Map(all.map((e) => [e.id as string, e.state]));
  const open = counted.filter((e) => states.get(e.id) !== "confirmed").map((e) => e.name);
  // Before anybody has a place anywhere, nobody is first.
  const begun = counted.some((e) => [...e.by.values()].some((r) => r.place !== null));
  const first = begun ? winners(rows) : [];
  const others = begun ? whatIf(counted, teams).filter((w) => w.method !== method) : [];
  return {
    counted: counted.map((e) => ({ id: e.id, name: e.name, weight: e.weight })),
    rows: rows.map((o) => ({
      team: o.entry,
      place: begun ? o.place : null,
      total: Number(o.total),
      shown: formatNumber(o.total, shownDigits(method)),
      parts: counted.map((e) => formatNumber(o.parts.get(e.id)!, shownDigits(method))),
      working: o.working,
    })),
    open,
    begun,
    otherwise: others
      .filter((w) => w.first.join() !== first.join())
      .map((w) => `By the ${combineMethod.labels[w.method].split(":")[0]} ${w.first.join(" and ")} would be first.`),
    first,
  };
}

/**
 * A contest as everybody may see it: marks of judges are kept back until their event is confirmed, so that nobody plays
 * to the judges who are still to come.
 */
export const withoutOpenMarks = <E extends Judged, C extends { readonly judged: readonly E[] }>(contest: C): C => ({
  ...contest,
  judged: contest.judged.map((e) =>
    e.state === "confirmed"
      ? e
      : {
          ...e,
          standings: e.standings.map((s) => ({
            ...s,
            ...{ place: null, first: null, sharing: 1, shared: false, counted: null, shown: "–" },
            ...{ raw: null, adjusted: null, points: null, decidedBy: null },
          })),
        },
  ),
});

const winners = (rows: readonly Overall[]) => rows.filter((o) => o.place === 1).map((o) => o.entry);
const shownDigits = (method: CombineMethod) => (method === "points" || method === "places" ? 2 : 3);
