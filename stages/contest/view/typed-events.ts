import { penaltyLines } from "@/core/contest/attempt";
import type { MatchRules } from "@/core/contest/matches";
import type { EventDefinition } from "@/core/contest/standings";
import type { JudgedEvent } from "../queries/judged";

/** An event's rules as its form sends them; the points rule stands beside it. */
export const typedEvent = (d: EventDefinition) => ({
  channel: d.channel,
  better: d.better,
  school: d.policy.school,
  n: d.policy.n,
  k: d.policy.k ?? 2,
  foul: d.policy.foul,
  ranking: d.ranking,
  ties: d.resolution === null ? ("digits" as const) : ("resolution" as const),
  resolution: d.resolution ?? "0.1",
  tieBreaks: [...d.tieBreaks],
  seed: d.seed,
  target: d.target ?? "",
  care: d.care ?? ("" as const),
  penalties: penaltyLines(d.penalties ?? []),
});

/** The rules of an event of matches as its form sends them. */
export const typedMatches = (r: MatchRules) => ({
  format: r.format,
  decides: r.decides,
  games: String(r.games > 1 ? r.games : 3),
  secondFinal: r.secondFinal,
  third: r.third,
  rounds: String(r.rounds),
  win: r.points.win,
  draw: r.points.draw,
  loss: r.points.loss,
  placePoints: r.placePoints?.join(", ") ?? "",
  measure: r.measured?.name ?? "",
  unit: r.measured?.unit ?? "",
  better: r.measured?.better ?? ("less" as const),
  resolution: r.measured?.resolution ?? "",
});

/** The rules of a judged event as its form sends them. */
export const typedJudged = (r: JudgedEvent["rules"]) => ({
  criteria: r.criteria.map((c) => ({ ...c })),
  most: String(r.most),
  method: r.method,
  tie: r.tie,
  full: r.full,
  placePoints: r.placePoints.join(", "),
});
