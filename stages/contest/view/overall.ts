import { type CountedEvent, type Overall, overall, type Reached, whatIf } from "@/core/contest/overall";
import { applyRule } from "@/core/points/rule";
import { formatNumber, formatSi } from "@/core/quantity/quantity";
import { unitAfter } from "@/core/run/reading";
import { type CombineMethod, combineMethod } from "@/core/vocabulary/contest";
import type { Better } from "@/core/vocabulary/runs";
import type { PlacedEvent } from "../queries/events";
import type { JudgedEvent } from "../queries/judged";
import type { MatchEvent } from "../queries/matches";
import { allPlaced } from "./lives";

type Measured = Pick<PlacedEvent, "id" | "name" | "state" | "definition" | "standings" | "entries">;
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
  return applyRule({ kind: "place", points, floor: "0" } as Parameters<typeof applyRule>[0], "0", "", {
    place,
    sharing,
  }).value;
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

const winners = (rows: readonly Overall[]) => rows.filter((o) => o.place === 1).map((o) => o.entry);
const shownDigits = (method: CombineMethod) => (method === "points" || method === "places" ? 2 : 3);

/** An award: what for, who has it, and by what. */
export interface Award {
  readonly kind: "champion" | "best" | "judged" | "race" | "lightest";
  readonly title: string;
  readonly teams: readonly string[];
  readonly says: string;
}

/**
 * The awards that the record gives: the champion, the best of each event, the lightest that finished all measured
 * events. What is still open gives none.
 */
export function awardsOf(contest: Contest, massUnit: string): Award[] {
  const { first, open, rows } = overallView(contest);
  const top = (standings: readonly { name: string; place: number | null }[]) =>
    standings.filter((s) => s.place !== null && s.place < 2).map((s) => s.name);
  const settled = rows.length > 0 && open.length === 0;
  const finished = contest.events[0]?.entries.filter((n) =>
    contest.events.every((e) => e.standings.some((s) => s.name === n.team && s.place !== null)),
  );
  const masses = (finished ?? []).flatMap((n) => (n.mass === null ? [] : [{ team: n.team, mass: n.mass }]));
  const least = Math.min(...masses.map((m) => Number(m.mass)));
  const lightest = masses.filter((m) => Number(m.mass) === least);
  return [
    ...(settled ? [{ kind: "champion" as const, title: "Champion", teams: first, says: "first overall" }] : []),
    ...contest.events.flatMap((e): Award[] => {
      const best = top(e.standings);
      const value = e.standings.find((s) => s.name === best[0])?.shown ?? "";
      return best.length
        ? [{ kind: "best", title: `Best in ${e.name}`, teams: best, says: unitAfter(value, e.definition.unit) }]
        : [];
    }),
    ...contest.judged.flatMap((e): Award[] => {
      const best = top(e.standings);
      const mark = e.standings.find((s) => s.name === best[0])?.shown ?? "";
      return best.length
        ? [{ kind: "judged", title: `Best judged in ${e.name}`, teams: best, says: `${mark} of 100` }]
        : [];
    }),
    ...contest.races.flatMap((e): Award[] => {
      const won = top(e.standings);
      return won.length && allPlaced(e.standings)
        ? [{ kind: "race", title: `Winner of ${e.name}`, teams: won, says: "" }]
        : [];
    }),
    ...(lightest.length
      ? [
          {
            kind: "lightest" as const,
            title: "Lightest that finished",
            teams: lightest.map((m) => m.team),
            says: `${formatSi(lightest[0]!.mass, massUnit, 2)} ${massUnit}`,
          },
        ]
      : []),
  ];
}

/** Who deserves a word besides the champion: the best of an event who is not first overall. */
export const besides = (awards: readonly Award[]): string[] => {
  const champion = awards.find((a) => a.kind === "champion");
  if (!champion) return [];
  return awards
    .filter((a) => (a.kind === "best" || a.kind === "judged") && !a.teams.some((t) => champion.teams.includes(t)))
    .map((a) => {
      const what = `${a.title[0]!.toLowerCase()}${a.title.slice(1)} (${a.says})`;
      return `${a.teams.join(" and ")}: not the champion, and yet the ${what}.`;
    });
};
