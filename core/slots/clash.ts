import { matchTeams } from "./match";
import type { SlotGround, SlotProblem } from "./problem";

/** Why there is no plan. */
export type SlotClash =
  /** No stretch of hours holds even one review. */
  | { readonly kind: "no times" }
  /** Nowhere are as many reviewers there at once as a panel takes; at most so many are. */
  | { readonly kind: "no panel"; readonly most: number }
  /** These teams can come to no time at which a review can go on. */
  | {
      readonly kind: "few places";
      /** Names of teams that need places between them, no more than it takes to see it. */
      readonly teams: readonly string[];
      /** The times that any of them can come to, by index. */
      readonly times: readonly number[];
      /** How many of these teams can be seen at those times. */
      readonly places: number;
      /** At how many of those times more reviews would go on if only there were more rooms, or more reviewers. */
      readonly short: { readonly rooms: number; readonly reviewers: number };
    };

/**
 * Why no plan exists, or null where one does: as gaps are allowed, only places can be too few.
 * @example
 * slotClash(
 *   { days: [], minutes: 20, change: 0, rooms: 1, panel: { least: 1, most: 1 }, reviewers: [], teams: [] },
 *   { times: [], there: [], open: [], capacity: [] },
 * )
 * // => { kind: "no times" }
 */
export function slotClash(problem: SlotProblem, { times, there, open, capacity }: SlotGround): SlotClash | null {
  if (!times.length) return { kind: "no times" };
  const present = times.map((_, t) => there.filter((r) => r[t]).length);
  if (Math.max(...present) < problem.panel.least) return { kind: "no panel", most: Math.max(...present) };
  const seated = matchTeams(open, capacity);
  if (seated.ok) return null;
  const at = [...new Set(seated.stuck.flatMap((team) => open[team]!))].sort((a, b) => a - b);
  return {
    kind: "few places",
    teams: seated.stuck.map((team) => problem.teams[team]!.name),
    times: at,
    places: at.reduce((sum, t) => sum + capacity[t]!, 0),
    short: {
      rooms: at.filter((t) => present[t]! >= (problem.rooms + 1) * problem.panel.least).length,
      reviewers: at.filter((t) => present[t]! < problem.rooms * problem.panel.least).length,
    },
  };
}

/**
 * Why no plan exists, in words, and what would help.
 * @example
 * clashWords({ kind: "no panel", most: 1 }, { teams: 8, least: 2 })
 * // => ["At no time are 2 reviewers there; at most 1 is. Ask for more hours, or let a panel be smaller."]
 */
export function clashWords(clash: SlotClash, { teams, least }: { teams: number; least: number }): string[] {
  if (clash.kind === "no times")
    return ["No stretch of hours is as long as one review. Make reviews shorter, or add hours."];
  if (clash.kind === "no panel")
    return [
      `At no time are ${least} reviewers there; at most ${clash.most} ${clash.most === 1 ? "is" : "are"}. ` +
        "Ask for more hours, or let a panel be smaller.",
    ];
  const all = clash.teams.length === teams;
  const missing = clash.teams.length - clash.places;
  return [
    `${all ? `All ${teams} teams` : clash.teams.join(", ")} ${clash.teams.length === 1 ? "needs" : "need"} ` +
      `${clash.teams.length} ${clash.teams.length === 1 ? "place" : "places"}` +
      `${all ? "" : clash.teams.length === 1 ? ", and can come to" : ", and can come only to"}` +
      `${all ? ", and there are" : ""} ${clash.times.length} ${clash.times.length === 1 ? "time" : "times"}` +
      `${all ? "" : ","} with ${clash.places} ${clash.places === 1 ? "place" : "places"}: ${missing} too few.`,
    ...(clash.short.reviewers
      ? [`At ${clash.short.reviewers} of these times reviewers are too few for every room.`]
      : []),
    ...(clash.short.rooms ? [`At ${clash.short.rooms} of these times there are reviewers for another room.`] : []),
  ];
}
