import { listed } from "@/core/text/listed";
import type { PlacedEvent } from "../queries/events";
import type { JudgedEvent } from "../queries/judged";
import type { MatchEvent } from "../queries/matches";
import type { EventSafety } from "../queries/safety";
import { toJudge } from "./judged-face";
import { playedView, toPlay } from "./lives";
import type { EventProgramme } from "./programme";
import { upNext } from "./up-next";

/** Somebody who is on, or comes next. */
export interface Due {
  readonly when: "now" | "next";
  readonly who: string;
  /** The lane and the time of the programme; empty where it does not say. */
  readonly where: string;
  /** What calls them to the boards. */
  readonly call: string;
}

/** An event as the steward of the day sees it. */
export interface Watched {
  readonly id: string;
  readonly name: string;
  readonly state: string;
  readonly due: readonly Due[];
  /** Minutes behind or ahead, in words. */
  readonly late: string;
  /** What keeps it from going on, in sentences. */
  readonly hinders: readonly string[];
}

interface Entered {
  readonly team: string;
  readonly inspection: string;
}

function hindersOf(entries: readonly Entered[], safety: EventSafety | undefined, twice: readonly string[]): string[] {
  const of = (inspection: string) => entries.filter((n) => n.inspection === inspection).map((n) => n.team);
  const [waiting, away] = [of("waiting"), of("turned away")];
  return [
    ...(safety?.halt ? [`Halted: ${safety.halt.reason}.`] : []),
    ...(safety?.copied ? ["Its rules were copied and are not ticked."] : []),
    ...(safety && safety.cautions.length > 0 && !safety.check
      ? [`Its cautions are not ticked today${safety.officer && `: ${safety.officer} ticks them`}.`]
      : []),
    ...(waiting.length ? [`Not inspected: ${listed(waiting)}.`] : []),
    ...(away.length ? [`Turned away: ${listed(away)}.`] : []),
    ...(twice.length ? [`Scored by two people, and to be chosen: ${listed(twice)}.`] : []),
  ];
}

/** Who is on and who is next in each lane by the programme, of turns that are not made. */
function byProgramme(name: string, planned: EventProgramme): Due[] {
  const left = planned.turns.filter((t) => !t.made);
  const lanes = [...new Set(planned.turns.map((t) => t.lane))].sort((a, b) => a - b);
  return lanes.flatMap((lane) =>
    left
      .filter((t) => t.lane === lane)
      .slice(0, 2)
      .map((t, i): Due => {
        const bench = lanes.length > 1 ? `lane ${lane}` : "";
        return {
          when: i === 0 ? "now" : "next",
          who: t.team,
          where: [bench, `${t.at}, attempt ${t.attempt}`].filter(Boolean).join(", "),
          call: `${t.team}: please come to ${name}${bench && `, ${bench}`}`,
        };
      }),
  );
}

const byOrder = (name: string, who: readonly string[]): Due[] =>
  who.slice(0, 2).map((w, i) => ({
    when: i === 0 ? "now" : "next",
    who: w,
    where: "",
    call: `${w}: please come to ${name}`,
  }));

/** The events of the day as their steward sees them: what runs, who must come, what is late, and what is in the way. */
export function stewardView(of: {
  readonly events: readonly PlacedEvent[];
  readonly judged: readonly JudgedEvent[];
  readonly races: readonly MatchEvent[];
  readonly planned: readonly EventProgramme[];
  readonly safety: ReadonlyMap<string, EventSafety>;
  /** Teams with an attempt that two people scored, by event. */
  readonly twice: ReadonlyMap<string, readonly string[]>;
}): Watched[] {
  const watched = (
    e: { readonly id: string; readonly name: string; readonly state: string; readonly entries: readonly Entered[] },
    next: readonly string[],
    inspects = true,
  ): Watched => {
    const planned = of.planned.find((p) => p.id === e.id);
    const open = e.state !== "confirmed";
    const turns = planned?.turns.length ? byProgramme(e.name, planned) : byOrder(e.name, next);
    return {
      id: e.id,
      name: e.name,
      state: e.state,
      due: open ? turns : [],
      late: open ? (planned?.late ?? "") : "",
      hinders: open ? hindersOf(inspects ? e.entries : [], of.safety.get(e.id), of.twice.get(e.id) ?? []) : [],
    };
  };
  return [
    ...of.events.map((e) => watched(e, upNext(e))),
    ...of.judged.map((e) => watched(e, toJudge(e), false)),
    ...of.races.map((e) =>
      watched(
        e,
        toPlay(playedView(e)).map((m) => m.teams.join(" against ")),
      ),
    ),
  ];
}
