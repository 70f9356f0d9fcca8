import { behind, clashes, clockOf, laneTable, matchesEnd, programme, type Turn } from "@/core/contest/programme";
import type { ProgrammeEvent } from "../queries/programme";
import { minutesAt } from "./words";

/** A turn as it stands in the programme. */
export interface TurnLine {
  readonly key: string;
  readonly at: string;
  readonly lane: number;
  readonly team: string;
  readonly attempt: number;
  readonly made: boolean;
}

/** An event as it stands in the programme of the day. */
export interface EventProgramme {
  readonly id: string;
  readonly from: string;
  readonly until: string;
  readonly turns: readonly TurnLine[];
  /** How often each team is in each lane, where there is more than one. */
  readonly lanes: readonly { readonly team: string; readonly counts: readonly number[] }[];
  /** How far behind it is, and when it ends so; empty where it is not under way. */
  readonly late: string;
}

/** Fewer minutes than this are nobody's concern. */
const onTime = 2;

const keyOf = (t: { readonly entry: string; readonly attempt: number }): string => `${t.entry} ${t.attempt}`;

const planOf = (e: ProgrammeEvent, starts: number) => ({
  starts,
  lanes: e.lanes,
  minutes: Number(e.minutes),
  repair: e.repair,
});

function lateWords(event: ProgrammeEvent, turns: readonly Turn[]): string {
  const by = behind(
    turns,
    event.made.map((m) => ({ ...m, at: minutesAt(m.recordedAt) })),
  );
  if (by === null || event.state === "confirmed" || event.made.length >= turns.length) return "";
  if (Math.abs(by) <= onTime) return "on time";
  const ends = clockOf(turns.at(-1)!.until + by);
  return by > 0
    ? `${Math.round(by)} min behind: ends about ${ends}`
    : `${Math.round(-by)} min ahead: ends about ${ends}`;
}

/**
 * The programme of a contest's day: each event that has a beginning, with its turns and lanes, and who is wanted in two
 * events at once.
 * @param roundsOf how many matches each round of an event of matches has
 */
export function programmeView(
  events: readonly ProgrammeEvent[],
  roundsOf: (id: string) => readonly number[],
): { events: EventProgramme[]; clashes: string[] } {
  const planned = events.flatMap((e) => {
    if (e.starts === null) return [];
    const plan = planOf(e, e.starts);
    const turns = e.attempts === null ? [] : programme(e.teams, e.attempts, plan);
    const until = e.attempts === null ? matchesEnd(roundsOf(e.id), plan) : (turns.at(-1)?.until ?? e.starts);
    return [{ e, turns, until }];
  });
  return {
    events: planned.map(({ e, turns, until }) => {
      const made = new Set(e.made.map(keyOf));
      return {
        id: e.id,
        from: clockOf(e.starts!),
        until: clockOf(until),
        turns: turns.map((t) => ({
          key: keyOf(t),
          at: clockOf(t.from),
          lane: t.lane,
          team: t.entry,
          attempt: t.attempt,
          made: made.has(keyOf(t)),
        })),
        lanes: e.lanes > 1 ? [...laneTable(turns, e.lanes)].map(([team, counts]) => ({ team, counts })) : [],
        late: lateWords(e, turns),
      };
    }),
    clashes: clashes(planned.map(({ e, turns }) => ({ name: e.name, repair: e.repair, turns }))).map(
      (c) => `${c.entry} is in ${c.first} until ${clockOf(c.until)} and in ${c.second} from ${clockOf(c.from)}.`,
    ),
  };
}
