import Decimal from "decimal.js";
import { formatNumber } from "../quantity/quantity";
import { rank } from "../ranking/rank";
import type { Better } from "../vocabulary/runs";
import { equation } from "../working/equation";
import { makeWorking, type Working } from "../working/working";

/** A row of an award's own ranking. */
export interface AwardRow {
  readonly name: string;
  /** null where there is nothing to rank. */
  readonly place: number | null;
  readonly shown: string;
  readonly working: Working;
}

interface Line {
  readonly name: string;
  readonly value: string | null;
  readonly shown: string;
  readonly working: Omit<Parameters<typeof makeWorking>[0], "title" | "result">;
}

/** Lines to rows, the first place first; values that are shown alike share their place. */
function ranked(title: string, lines: readonly Line[], resolution: string): AwardRow[] {
  const places = rank(
    lines.map((l) => ({ id: l.name, value: l.value, breaks: [] })),
    { better: "more", school: "competition", resolution, tieBreaks: [] },
  );
  return places.map((p) => {
    const line = lines.find((l) => l.name === p.id)!;
    return {
      name: line.name,
      place: p.place,
      shown: line.shown,
      working: makeWorking({ title: `${line.name}: ${title}`, result: line.shown, ...line.working }),
    };
  });
}

/**
 * Who improved most: how many times better the contest's value is than that of the first build that was tested the same
 * way. Ranked to two decimals.
 * @param teams values in the event's unit; null where there is none
 * @example
 * mostImproved("more", "L/min", [
 *   { name: "Alder", build: 1, first: "4.0", now: "8.8" },
 *   { name: "Gully", build: 2, first: "6.0", now: "9.0" },
 * ]).map((r) => [r.name, r.place, r.shown])
 * // => [["Alder", 1, "2.20 times"], ["Gully", 2, "1.50 times"]]
 */
export function mostImproved(
  better: Better,
  unit: string,
  teams: readonly {
    readonly name: string;
    readonly build: number | null;
    readonly first: string | null;
    readonly now: string | null;
  }[],
): AwardRow[] {
  const lines = teams.map(({ name, build, first, now }): Line => {
    const known = first !== null && now !== null && Number(first) > 0 && Number(now) > 0;
    const [over, under] = better === "more" ? [now, first] : [first, now];
    const value = known ? new Decimal(over!).div(under!).toDecimalPlaces(9).toString() : null;
    const figure = value === null ? "–" : formatNumber(value, 2);
    return {
      name,
      value,
      shown: value === null ? "–" : `${figure} times`,
      working: {
        rule:
          "The contest's value over that of the first build tested the same way" +
          `${better === "less" ? ", turned round: less is better" : ""}.`,
        steps: value === null ? [] : [equation([{ of: over! }, " ÷ ", { of: under! }], figure)],
        inputs: [
          {
            label: build === null ? "First build" : `First build, G${build}`,
            value: first === null ? "–" : `${first} ${unit}`.trim(),
          },
          { label: "Contest", value: now === null ? "–" : `${now} ${unit}`.trim() },
        ],
        warnings: known || first === null || now === null ? [] : ["A value of zero or below has no ratio."],
      },
    };
  });
  return ranked("improvement since the first build", lines, "0.01");
}

/**
 * Whose record is kept best: the days with a notebook entry, a member. Ranked to two decimals.
 * @example
 * bestRecords([{ name: "Alder", members: 4, days: 30 }, { name: "Gully", members: 3, days: 27 }])
 *   .map((r) => [r.name, r.place, r.shown])
 * // => [["Gully", 1, "9.00 days a member"], ["Alder", 2, "7.50 days a member"]]
 */
export function bestRecords(
  teams: readonly { readonly name: string; readonly members: number; readonly days: number }[],
): AwardRow[] {
  const lines = teams.map(({ name, members, days }): Line => {
    const value = members > 0 && days > 0 ? new Decimal(days).div(members).toDecimalPlaces(9).toString() : null;
    const figure = value === null ? "–" : formatNumber(value, 2);
    return {
      name,
      value,
      shown: value === null ? "–" : `${figure} days a member`,
      working: {
        rule: "Days with a notebook entry of each member, added up, over the number of members.",
        steps: value === null ? [] : [equation([{ of: days, digits: 0 }, " ÷ ", { of: members, digits: 0 }], figure)],
        inputs: [
          { label: "Days written", value: String(days) },
          { label: "Members", value: String(members) },
        ],
        warnings: [],
      },
    };
  });
  return ranked("record keeping", lines, "0.01");
}

/**
 * The favourite of the crowd, by votes on phones: a vote, not a measurement.
 * @example
 * favourite([{ name: "Alder", votes: 12 }, { name: "Gully", votes: 30 }]).map((r) => [r.name, r.place, r.shown])
 * // => [["Gully", 1, "30 of 42 votes"], ["Alder", 2, "12 of 42 votes"]]
 */
export function favourite(teams: readonly { readonly name: string; readonly votes: number }[]): AwardRow[] {
  const all = teams.reduce((sum, t) => sum + t.votes, 0);
  const lines = teams.map(
    ({ name, votes }): Line => ({
      name,
      value: votes > 0 ? String(votes) : null,
      shown: votes > 0 ? `${votes} of ${all} votes` : "–",
      working: {
        rule: "Votes on phones, one a device. Nobody is asked who they are, so it is a vote and not a measurement.",
        steps: [],
        inputs: [
          { label: "Votes", value: String(votes) },
          { label: "Votes in all", value: String(all) },
        ],
        warnings: [],
      },
    }),
  );
  return ranked("favourite of the crowd", lines, "1");
}
