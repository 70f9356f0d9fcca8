import { listed } from "@/core/text/listed";
import { byName } from "@/core/text/plain";
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
  /** They are not inspected yet. */
  readonly waits: boolean;
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

const against = " against ";

/** A turn of a team, or of those who play a match. */
type Turn = Omit<Due, "who" | "waits"> & { readonly teams: readonly string[] };
const alone = (teams: readonly string[]) => teams.map((t) => [t]);

interface Entered {
  readonly team: string;
  readonly inspection: string;
}

function hindersOf(safety: EventSafety | undefined, twice: readonly string[]): string[] {
  return [
    ...(safety?.halt ? [`Halted: ${safety.halt.reason}.`] : []),
    ...(safety?.copied ? ["Its rules were copied and are not ticked."] : []),
    ...(safety && safety.cautions.length > 0 && !safety.check
      ? [`Its cautions are not ticked today${safety.officer && `: ${safety.officer} ticks them`}.`]
      : []),
    ...(twice.length ? [`Scored by two people, and to be chosen: ${listed(twice)}.`] : []),
  ];
}

/** Who is on and who is next in each lane by the programme, of turns that are not made. */
function byProgramme(name: string, planned: EventProgramme): Turn[] {
  const left = planned.turns.filter((t) => !t.made);
  const lanes = [...new Set(planned.turns.map((t) => t.lane))].sort((a, b) => a - b);
  return lanes.flatMap((lane) =>
    left
      .filter((t) => t.lane === lane)
      .slice(0, 2)
      .map((t, i) => {
        const bench = lanes.length > 1 ? `lane ${lane}` : "";
        return {
          when: i === 0 ? ("now" as const) : ("next" as const),
          teams: [t.team],
          where: [bench, `${t.at}, attempt ${t.attempt}`].filter(Boolean).join(", "),
          call: `${t.team}: please come to ${name}${bench && `, ${bench}`}`,
        };
      }),
  );
}

const byOrder = (name: string, turns: readonly (readonly string[])[]): Turn[] =>
  turns.slice(0, 2).map((teams, i) => ({
    when: i === 0 ? "now" : "next",
    teams,
    where: "",
    call: `${teams.join(against)}: please come to ${name}`,
  }));

/** Who of the open events is not inspected and who was turned away, in sentences: a build is inspected once for all. */
export function inspectionLeft(of: Pick<Day, "events" | "races">): string[] {
  const open = [...of.events, ...of.races]
    .filter((e) => e.state !== "confirmed")
    .flatMap((e): readonly Entered[] => e.entries);
  const names = (inspection: string) =>
    [...new Set(open.filter((n) => n.inspection === inspection).map((n) => n.team))].sort(byName);
  const [waiting, away] = [names("waiting"), names("turned away")];
  return [
    ...(waiting.length ? [`Not inspected: ${listed(waiting)}.`] : []),
    ...(away.length ? [`Turned away: ${listed(away)}.`] : []),
  ];
}

/** What the steward's page is made of. */
interface Day {
  readonly events: readonly PlacedEvent[];
  readonly judged: readonly JudgedEvent[];
  readonly races: readonly MatchEvent[];
  readonly planned: readonly EventProgramme[];
  readonly safety: ReadonlyMap<string, EventSafety>;
  /** Teams with an attempt that two people scored, by event. */
  readonly twice: ReadonlyMap<string, readonly string[]>;
}

const dueOf = ({ teams, ...turn }: Turn, waiting: readonly string[]): Due => ({
  ...turn,
  who: teams.join(against),
  waits: teams.some((t) => waiting.includes(t)),
});

/** The events of the day as their steward sees them: what runs, who must come, what is late, and what is in the way. */
export function stewardView(of: Day): Watched[] {
  const watched = (
    e: { readonly id: string; readonly name: string; readonly state: string; readonly entries: readonly Entered[] },
    next: readonly (readonly string[])[],
    inspects = true,
  ): Watched => {
    const planned = of.planned.find((p) => p.id === e.id);
    const open = e.state !== "confirmed";
    const waiting = inspects ? e.entries.filter((n) => n.inspection === "waiting").map((n) => n.team) : [];
    const turns = planned?.turns.length ? byProgramme(e.name, planned) : byOrder(e.name, next);
    return {
      id: e.id,
      name: e.name,
      state: e.state,
      due: open ? turns.map((d) => dueOf(d, waiting)) : [],
      late: open ? (planned?.late ?? "") : "",
      hinders: open ? hindersOf(of.safety.get(e.id), of.twice.get(e.id) ?? []) : [],
    };
  };
  return [
    ...of.events.map((e) => watched(e, alone(upNext(e)))),
    ...of.judged.map((e) => watched(e, alone(toJudge(e)), false)),
    ...of.races.map((e) =>
      watched(
        e,
        toPlay(playedView(e)).map((m) => m.teams),
      ),
    ),
  ];
}
