import { isElimination } from "@/core/contest/matches";
import { describeRule } from "@/core/points/rule";
import { formatNumber } from "@/core/quantity/quantity";
import { unitAfter } from "@/core/run/reading";
import { judgeMethod, judgeTie, matchFormat, matchRule, tieBreak } from "@/core/vocabulary/contest";
import { attemptMethod, foulMethod } from "@/core/vocabulary/runs";
import type { PlacedEvent } from "../queries/events";
import type { JudgedEvent } from "../queries/judged";
import type { MatchEvent } from "../queries/matches";
import { fieldRules } from "./field";
import type { EventProgramme } from "./programme";

const first = (label: string) => label.split(":")[0]!;
const capital = (text: string) => `${text[0]!.toUpperCase()}${text.slice(1)}`;

/** The rules of a measured event, a sentence each, as they are printed. */
export function measuredRules({ definition: d, protocol }: Pick<PlacedEvent, "definition" | "protocol">): string[] {
  const counts = first(attemptMethod.labels[d.policy.school])
    .replace(/\bn\b/, String(d.policy.n))
    .replace(/\bk\b/, String(d.policy.k ?? 1));
  return [
    `Measured as in ${protocol}. ${d.policy.n} ${d.policy.n === 1 ? "attempt" : "attempts"} each: ${counts}.`,
    d.target === undefined
      ? `${d.better === "more" ? "More" : "Less"} is better.`
      : `Exactly ${unitAfter(d.target, d.unit)} is best: the distance from it is ranked.`,
    `A foul or no finish: ${first(foulMethod.labels[d.policy.foul])}.`,
    ...(d.penalties ?? []).map((p) => `${p.name}: ${unitAfter(p.each, d.unit)} each time.`),
    ...(d.care ? [`Two people read; ${d.care === "mean" ? "the mean" : "the smaller"} of both is taken.`] : []),
    d.resolution
      ? `Values that agree at ${unitAfter(d.resolution, d.unit)} are tied` +
        `${d.tieBreaks.length ? `; then decides: ${d.tieBreaks.map((t) => tieBreak.labels[t]).join(", ")}` : ""}.`
      : "The recorded digits decide.",
    ...(d.points ? [`Points: ${describeRule(d.points, d.unit)}`] : []),
  ];
}

/** The rules of an event of matches, a sentence each. */
export function matchRules({ rules: r }: Pick<MatchEvent, "rules">): string[] {
  return [
    `${capital(matchFormat.labels[r.format])}.`,
    `A match is won by ${matchRule.labels[r.decides]}${r.decides === "games" ? `, at most ${r.games}` : ""}.`,
    ...(r.format === "double"
      ? [r.secondFinal ? "There is a second final where the unbeaten one loses the first." : "There is one final."]
      : []),
    ...(r.format === "single" && r.third ? ["The losers of the semi-finals play for the third place."] : []),
    ...(isElimination(r.format)
      ? []
      : [`A win earns ${r.points.win}, a draw ${r.points.draw}, a loss ${r.points.loss}.`]),
    ...(r.placePoints?.length ? [`Points of the places: ${r.placePoints.join(", ")}.`] : []),
  ];
}

/** The rules of a judged event, a sentence each. */
export function judgedRules({ rules: r }: Pick<JudgedEvent, "rules">): string[] {
  return [
    `Each judge marks ${r.criteria.map((c) => `${c.name} (counts ${c.weight})`).join(", ")} from 0 to ${r.most}.`,
    `${capital(judgeMethod.labels[r.method])}.`,
    `Where marks agree, ${first(judgeTie.labels[r.tie])}.`,
    ...(r.placePoints.length
      ? [`Points of the places: ${r.placePoints.join(", ")}.`]
      : r.full
        ? [`Full marks earn ${r.full} points.`]
        : []),
  ];
}

/** A sheet on which an event is scored by hand: its columns, and a row for each turn, in the order of the keys. */
export interface ScoreSheet {
  readonly columns: readonly string[];
  readonly rows: readonly { readonly key: string; readonly cells: readonly string[] }[];
}

/** The score sheet of a measured event, in the order of the programme, else in run order. */
export function attemptSheet(event: PlacedEvent, planned: EventProgramme | undefined): ScoreSheet {
  const rules = fieldRules(event);
  const named = (r: { name: string; unit: string }) => (r.unit && r.unit !== "1" ? `${r.name}, ${r.unit}` : r.name);
  const columns = [
    ...rules.readings.map(named),
    ...rules.readings.filter((r) => rules.twice.includes(r.key)).map((r) => `${r.name}, second reader`),
    ...rules.penalties.map((p) => p.name),
    "Foul, no finish",
    "Scorer",
  ];
  const turns = planned?.turns.length
    ? planned.turns.map((t) => ({ ...t, lane: planned.lanes.length ? String(t.lane) : "" }))
    : Array.from({ length: rules.n }, (_, i) => i + 1).flatMap((attempt) =>
        event.entries
          .filter((n) => n.inspection !== "turned away")
          .map((n) => ({ key: `${n.id} ${attempt}`, at: "", lane: "", team: n.team, attempt })),
      );
  const lanes = turns.some((t) => t.lane);
  return {
    columns: ["Time", ...(lanes ? ["Lane"] : []), "Team", "Attempt", ...columns],
    rows: turns.map((t) => ({
      key: t.key,
      cells: [t.at, ...(lanes ? [t.lane] : []), t.team, String(t.attempt), ...columns.map(() => "")],
    })),
  };
}

/** The score sheet of an event of matches: a line for each match that can be known, and room for those to come. */
export function matchSheet(
  event: Pick<MatchEvent, "rules">,
  matches: readonly { readonly slot: string; readonly title: string; readonly teams: readonly string[] }[],
): ScoreSheet {
  const scored = event.rules.decides === "games" || event.rules.decides === "measured";
  return {
    columns: ["Match", "Between", "and", ...(scored ? ["Score", "Score"] : []), "Winner", "Scorer"],
    rows: matches.map((m) => ({
      key: m.slot,
      cells: [m.title, m.teams[0] ?? "", m.teams[1] ?? "", ...(scored ? ["", ""] : []), "", ""],
    })),
  };
}

/** A judge's sheet of all teams. */
export const judgingSheet = (event: JudgedEvent): ScoreSheet => ({
  columns: ["Team", ...event.rules.criteria.map((c) => `${c.name}, 0 to ${event.rules.most}`), "What you saw"],
  rows: event.entries.map((n) => ({ key: n.id, cells: [n.team, ...event.rules.criteria.map(() => ""), ""] })),
});

/** Points as they are printed. */
export const pointsText = (points: string | null): string => (points === null ? "–" : formatNumber(points, 1));
