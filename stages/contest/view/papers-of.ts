import { formatNumber } from "@/core/quantity/quantity";
import { unitAfter } from "@/core/run/reading";
import type { PlacedEvent } from "../queries/events";
import type { JudgedEvent } from "../queries/judged";
import type { MatchEvent } from "../queries/matches";
import type { EventSafety } from "../queries/safety";
import { playedView } from "./lives";
import type { overallView } from "./overall";
import {
  attemptSheet,
  judgedRules,
  judgingSheet,
  matchRules,
  matchSheet,
  measuredRules,
  pointsText,
  type ScoreSheet,
} from "./papers";
import type { EventProgramme } from "./programme";
import { slotWords } from "./words";

interface Of {
  readonly events: readonly PlacedEvent[];
  readonly judged: readonly JudgedEvent[];
  readonly races: readonly MatchEvent[];
}

/** Each event's rules with its time and turns, as they are printed on one sheet. */
export function rulesOnPaper(
  of: Of,
  planned: readonly EventProgramme[],
  safety: ReadonlyMap<string, Pick<EventSafety, "cautions">>,
) {
  const one = (e: { readonly id: string; readonly name: string }, rules: readonly string[]) => {
    const plan = planned.find((p) => p.id === e.id);
    return {
      id: e.id,
      name: e.name,
      rules,
      when: plan ? `${plan.from} to ${plan.until}` : "",
      cautions: safety.get(e.id)?.cautions ?? [],
      turns:
        plan?.turns.map((t) => `${t.at} ${t.team}${plan.lanes.length ? ` (lane ${t.lane})` : ""}`).join(", ") ?? "",
    };
  };
  return [
    ...of.events.map((e) => one(e, measuredRules(e))),
    ...of.judged.map((e) => one(e, judgedRules(e))),
    ...of.races.map((e) => one(e, matchRules(e))),
  ];
}

/** The sheets on which the events are scored by hand. */
export function sheetsOf(
  of: Of,
  planned: readonly EventProgramme[],
): { id: string; name: string; sheet: ScoreSheet }[] {
  const named = (e: { readonly id: string; readonly name: string }, sheet: ScoreSheet) => ({ ...e, sheet });
  const short = ({ id, name }: { readonly id: string; readonly name: string }) => ({ id, name });
  return [
    ...of.events.map((e) =>
      named(
        short(e),
        attemptSheet(
          e,
          planned.find((p) => p.id === e.id),
        ),
      ),
    ),
    ...of.judged.map((e) => named(short(e), judgingSheet(e))),
    ...of.races.map((e) => {
      const { matches, names } = playedView(e);
      const lines = matches
        .filter((m) => m.state !== "bye" && m.state !== "empty")
        .map((m) => ({
          slot: m.slot.key,
          title: slotWords(m.slot),
          teams: [m.a, m.b].map((id) => (id ? (names.get(id) ?? "") : "")),
        }));
      return named(short(e), matchSheet(e, lines));
    }),
  ];
}

/** Every event's places with what they earn, and the overall ranking. */
export function resultsOf(of: Of, overall: ReturnType<typeof overallView>) {
  const note = (e: { readonly state: string }) => (e.state === "confirmed" ? "confirmed" : "not confirmed yet");
  return {
    events: [
      ...of.events.map((e) => ({
        id: e.id as string,
        name: e.name as string,
        note: note(e),
        head: "Counts",
        rows: e.standings.map((s) => ({
          name: s.name,
          place: s.place,
          shown: s.counted === null ? "–" : unitAfter(s.shown, e.definition.unit),
          points: pointsText(s.points),
        })),
      })),
      ...of.judged.map((e) => ({
        id: e.id as string,
        name: e.name as string,
        note: note(e),
        head: "Of 100",
        rows: e.standings.map((s) => ({ ...s, points: pointsText(s.points) })),
      })),
      ...of.races.map((e) => ({
        id: e.id as string,
        name: e.name as string,
        note: note(e),
        head: "Won, lost",
        rows: e.standings.map((s) => ({
          name: s.name,
          place: s.place,
          shown: `${s.won}, ${s.lost}`,
          points: s.points === null ? "–" : formatNumber(s.points, 1),
        })),
      })),
    ],
    overall: overall.rows.map((r) => ({ name: r.team, place: r.place, shown: r.shown, points: "" })),
  };
}
