import { type AwardRow, bestRecords, favourite, mostImproved } from "@/core/contest/awards";
import { formatSi } from "@/core/quantity/quantity";
import { unitAfter } from "@/core/run/reading";
import { type AwardKind, awardKind } from "@/core/vocabulary/contest";
import { allPlaced } from "./lives";
import { type Contest, overallView } from "./overall";

/** An award: what for, who has it, and by what. */
export interface Award {
  readonly kind: AwardKind;
  readonly title: string;
  readonly teams: readonly string[];
  readonly says: string;
  /** The whole ranking that it is the first of, where it is one of its own. */
  readonly rows?: readonly AwardRow[];
}

/** What awards are made of besides the standings. */
export interface AwardFacts {
  /** What each team's first build that was tested as the event is reached, in the event's unit. */
  readonly firsts: readonly {
    readonly eventId: string;
    readonly team: string;
    readonly build: number;
    readonly value: string;
  }[];
  /** Days with a notebook entry, over all members. */
  readonly notebooks: readonly { readonly team: string; readonly members: number; readonly days: number }[];
  /** The crowd's vote; null where there was none. */
  readonly ballot: {
    readonly id: string;
    readonly version: number;
    readonly code: string | null;
    readonly open: boolean;
    readonly votes: readonly { readonly name: string; readonly votes: number }[];
  } | null;
}

/** What awards are given for: everything that the record gives, and which of it is wanted. */
export interface Awarded {
  readonly contest: Contest;
  readonly given: readonly AwardKind[];
  readonly facts: AwardFacts;
  readonly massUnit: string;
}

/** The award of a ranking of its own: whoever is first in it. */
function ofRows(kind: AwardKind, title: string, rows: readonly AwardRow[]): Award[] {
  const first = rows.filter((r) => r.place === 1);
  return first.length ? [{ kind, title, teams: first.map((r) => r.name), says: first[0]!.shown, rows }] : [];
}

/** Improvement in each measured event that ranks what is measured itself. */
const improvedOf = ({ contest, facts }: Awarded): Award[] =>
  contest.events
    .filter((e) => e.definition.target === undefined && !e.definition.levels)
    .flatMap((e) => {
      const { better, unit } = e.definition;
      const rows = mostImproved(
        better,
        unit,
        e.standings.map((s) => {
          const first = facts.firsts.find((f) => f.eventId === e.id && f.team === s.name);
          return { name: s.name, build: first?.build ?? null, first: first?.value ?? null, now: s.counted };
        }),
      );
      const one = contest.events.length === 1;
      return ofRows("improved", one ? "Most improved" : `Most improved in ${e.name}`, rows);
    });

/**
 * The awards that the record gives, of the kinds that are wanted: the champion first, the favourite of the crowd last.
 * What is still open gives none.
 */
export function awardsOf(of: Awarded): Award[] {
  const { contest, given, facts, massUnit } = of;
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
  const made: Record<AwardKind, () => Award[]> = {
    champion: () => (settled ? [{ kind: "champion", title: "Champion", teams: first, says: "first overall" }] : []),
    best: () =>
      contest.events.flatMap((e): Award[] => {
        const best = top(e.standings);
        const value = e.standings.find((s) => s.name === best[0])?.shown ?? "";
        return best.length
          ? [{ kind: "best", title: `Best in ${e.name}`, teams: best, says: unitAfter(value, e.definition.unit) }]
          : [];
      }),
    judged: () =>
      contest.judged.flatMap((e): Award[] => {
        const best = top(e.standings);
        const mark = e.standings.find((s) => s.name === best[0])?.shown ?? "";
        return best.length
          ? [{ kind: "judged", title: `Best judged in ${e.name}`, teams: best, says: `${mark} of 100` }]
          : [];
      }),
    race: () =>
      contest.races.flatMap((e): Award[] => {
        const won = top(e.standings);
        return won.length && allPlaced(e.standings)
          ? [{ kind: "race", title: `Winner of ${e.name}`, teams: won, says: "" }]
          : [];
      }),
    lightest: () =>
      lightest.length
        ? [
            {
              kind: "lightest",
              title: "Lightest that finished",
              teams: lightest.map((m) => m.team),
              says: `${formatSi(lightest[0]!.mass, massUnit, 2)} ${massUnit}`,
            },
          ]
        : [],
    improved: () => improvedOf(of),
    records: () =>
      ofRows("records", "Best record keeping", bestRecords(facts.notebooks.map((n) => ({ ...n, name: n.team })))),
    favourite: () =>
      facts.ballot && !facts.ballot.open
        ? ofRows("favourite", "Favourite of the crowd", favourite(facts.ballot.votes))
        : [],
  };
  return awardKind.values.filter((k) => given.includes(k)).flatMap((k) => made[k]());
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

/** How many have voted, for whomever. */
export const votesCast = (ballot: AwardFacts["ballot"]): number => ballot?.votes.reduce((n, v) => n + v.votes, 0) ?? 0;
