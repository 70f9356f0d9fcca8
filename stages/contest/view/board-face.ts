import { isElimination } from "@/core/contest/matches";
import { formatNumber } from "@/core/quantity/quantity";
import { type BoardShows, combineMethod, type EventFormat } from "@/core/vocabulary/contest";
import type { PlacedEvent } from "../queries/events";
import type { JudgedEvent } from "../queries/judged";
import type { MatchEvent } from "../queries/matches";
import { type Awarded, awardsOf, besides, votesCast } from "./awards";
import { onBoard } from "./board";
import { bracketView, type Drawing } from "./bracket";
import { judgedFace, toJudge } from "./judged-face";
import { allPlaced, playedView, progressOf, toPlay } from "./lives";
import { type Contest, overallView } from "./overall";
import { upNext } from "./up-next";
import { placeWords } from "./words";

/** A board as it was set up. */
export interface BoardSetting {
  readonly id: string;
  readonly name: string;
  readonly shows: BoardShows;
  readonly eventId: string | null;
  readonly revealed: number;
  readonly words: string;
  readonly light: boolean;
  readonly version: number;
}

/** What all boards of a contest are made from. */
export interface BoardSource extends Omit<Awarded, "contest"> {
  readonly title: string;
  readonly contest: Omit<Contest, "events" | "races" | "judged"> & {
    readonly events: readonly PlacedEvent[];
    readonly judged: readonly JudgedEvent[];
    readonly races: readonly MatchEvent[];
  };
  /** Why an event is halted, by event. */
  readonly halts: ReadonlyMap<string, string>;
  /** Who is called in the hall now; empty for nobody. */
  readonly call: string;
  readonly boards: readonly BoardSetting[];
  readonly names: readonly { readonly id: string; readonly name: string; readonly format: EventFormat }[];
}

/** A piece of the line below the title; what is strong is what the hall looks for. */
export interface Said {
  readonly text: string;
  readonly strong?: true;
}

export type BoardFace =
  | {
      readonly kind: "attempts";
      readonly unit: string;
      /** What counts, as the column is headed. */
      readonly counts: string;
      readonly points: boolean;
      readonly rows: readonly {
        readonly id: string;
        readonly place: string;
        readonly name: string;
        readonly on: boolean;
        readonly attempts: readonly string[];
        /** Which of the attempts count. */
        readonly counted: readonly number[];
        readonly shown: string;
        readonly points: string;
      }[];
    }
  | { readonly kind: "bracket"; readonly name: string; readonly drawing: Drawing }
  | {
      readonly kind: "table";
      readonly heads: readonly string[];
      readonly rows: readonly { readonly id: string; readonly on: boolean; readonly cells: readonly string[] }[];
    }
  | { readonly kind: "order"; readonly on: readonly { readonly when: string; readonly who: string }[] }
  | {
      readonly kind: "awards";
      readonly left: number;
      readonly awards: readonly { readonly title: string; readonly teams: string; readonly says: string }[];
      readonly besides: readonly string[];
    }
  | { readonly kind: "vote"; readonly code: string; readonly votes: number }
  | { readonly kind: "pause"; readonly words: string }
  | { readonly kind: "empty" };

/** A board as it is drawn: nothing else is sent to it. */
export interface BoardState {
  readonly title: string;
  readonly light: boolean;
  readonly says: readonly Said[];
  readonly seed: string;
  readonly foot: string;
  readonly halt: string;
  readonly call: string;
  readonly face: BoardFace;
}

function tieWords(event: PlacedEvent): string {
  const { resolution, unit } = event.definition;
  const reads = resolution ? `he rig reads to ${resolution} ${unit}` : "";
  const shared = event.standings.filter((s) => s.shared && s.place !== null);
  if (!shared.length) return reads && `T${reads}.`;
  const first = shared.filter((s) => s.place === shared[0]!.place);
  return `${first.map((s) => s.name).join(" and ")} tie at ${first[0]!.shown}${reads && `: t${reads}`}.`;
}

/** The event that a board shows, as what it is. */
interface Chosen {
  readonly event?: PlacedEvent;
  readonly judged?: JudgedEvent;
  readonly race?: MatchEvent;
}

export type Drawn = Pick<BoardState, "says" | "seed" | "foot" | "face">;

function attemptsFace(event: PlacedEvent): Drawn {
  const d = event.definition;
  const next = event.state === "confirmed" ? [] : upNext(event);
  const scored = event.entries.reduce((n, e) => n + e.taken, 0);
  const total = event.entries.filter((n) => n.inspection !== "turned away").length * d.policy.n;
  const on = next[0];
  return {
    says: [
      { text: event.name },
      {
        text: event.state === "confirmed" ? " · final result" : ` · attempt ${Math.min(scored + 1, total)} of ${total}`,
      },
      ...(on ? [{ text: " · next: " }, { text: on, strong: true as const }] : []),
      ...(next[1] ? [{ text: `, then ${next[1]}` }] : []),
    ],
    seed: event.orderSeed ? `run order drawn with seed ${event.orderSeed}` : "",
    foot: tieWords(event),
    face: {
      kind: "attempts",
      unit: d.unit,
      counts: d.policy.school === "best" ? `best of ${d.policy.n}` : d.policy.school,
      points: d.points !== null,
      rows: event.standings.map((s) => ({
        id: s.id,
        place: placeWords(s.place),
        name: s.name,
        on: s.name === on,
        attempts: Array.from({ length: d.policy.n }, (_, i) => s.attempts[i]?.text ?? "–"),
        counted: s.attempts.flatMap((a, i) => (a.counts ? [i] : [])),
        shown: s.shown,
        points: s.points === null ? "–" : formatNumber(s.points, 1),
      })),
    },
  };
}

function matchFace(event: MatchEvent): Drawn {
  const played = playedView(event);
  const next = toPlay(played);
  const champion = event.standings.find((s) => s.place === 1 && s.sharing === 1);
  const on: readonly string[] = next[0]?.teams ?? [];
  return {
    says: [
      { text: `${event.name} · ${progressOf(played.matches)}` },
      ...(next[0] ? [{ text: " · now: " }, { text: on.join(" against "), strong: true as const }] : []),
      ...(next[1] ? [{ text: `, then ${next[1].teams.join(" against ")}` }] : []),
      ...(allPlaced(event.standings) && champion
        ? [{ text: " · first: " }, { text: champion.name, strong: true as const }]
        : []),
    ],
    seed: event.drawSeed ? `seeds drawn with seed ${event.drawSeed}` : "",
    foot: event.rules.format === "double" ? "Who has lost twice is out." : "",
    face: isElimination(event.rules.format)
      ? { kind: "bracket", name: event.name, drawing: bracketView(played.matches, played.names) }
      : {
          kind: "table",
          heads: ["Place", "Team", "Won", "Lost", "Points"],
          rows: event.standings.map((s) => ({
            id: s.id,
            on: on.includes(s.name),
            cells: [placeWords(s.place), s.name, String(s.won), String(s.lost), s.points ?? ""],
          })),
        },
  };
}

const whens = ["Now", "Next", "In the hole"];

function orderFace({ event, race, judged }: Chosen): Drawn {
  const one = event ?? judged ?? race;
  const who =
    one?.state === "confirmed"
      ? []
      : event
        ? upNext(event)
        : judged
          ? toJudge(judged)
          : race
            ? toPlay(playedView(race)).map((m) => m.teams.join(" against "))
            : [];
  const seed = (event ?? judged)?.orderSeed;
  return {
    says: [{ text: one?.name ?? "" }, ...(who.length ? [] : [{ text: " · everybody is through" }])],
    seed: seed ? `run order drawn with seed ${seed}` : "",
    foot: "",
    face: { kind: "order", on: who.slice(0, 6).map((w, i) => ({ when: whens[i] ?? "then", who: w })) },
  };
}

function overallFace(contest: BoardSource["contest"]): Drawn {
  const view = overallView(contest);
  return {
    says: [
      { text: `Overall · ${combineMethod.labels[contest.method].split(":")[0]!}` },
      ...(view.open.length ? [{ text: ` · not confirmed yet: ${view.open.join(", ")}` }] : []),
    ],
    seed: "",
    foot: view.otherwise.join(" "),
    face: {
      kind: "table",
      heads: ["Place", "Team", ...view.counted.map((e) => e.name), "Together"],
      rows: view.rows.map((r) => ({
        id: r.team,
        on: r.place === 1,
        cells: [placeWords(r.place), r.team, ...r.parts, r.shown],
      })),
    },
  };
}

/** The awards that a board has revealed, the last of the list first; what is left is counted and not named. */
function awardsFace(source: BoardSource, revealed: number): Drawn {
  const all = awardsOf(source).toReversed();
  const shown = all.slice(0, revealed);
  return {
    says: [{ text: "Awards" }],
    seed: "",
    foot: "",
    face: {
      kind: "awards",
      left: all.length - shown.length,
      awards: shown.map((a) => ({ title: a.title, teams: a.teams.join(" and "), says: a.says })),
      besides: shown.length === all.length ? besides(all) : [],
    },
  };
}

/** Where the crowd votes, and how many have; for whom is not shown before the vote is closed and revealed. */
function voteFace({ ballot }: BoardSource["facts"]): Drawn {
  const votes = votesCast(ballot);
  return {
    says: [{ text: "Favourite of the crowd" }],
    seed: "",
    foot: "A vote on phones, one a device; it counts for nothing but this award.",
    face:
      ballot?.open && ballot.code
        ? { kind: "vote", code: ballot.code, votes }
        : { kind: "pause", words: `The vote is closed. ${votes} ${votes === 1 ? "vote" : "votes"}.` },
  };
}

/** How many awards a board can reveal. */
export const awardCount = (source: Awarded): number => awardsOf(source).length;

const nothing: Drawn = {
  says: [{ text: "The contest has no event yet." }],
  seed: "",
  foot: "",
  face: { kind: "empty" },
};

/** Why events are halted, the one that is shown first; a hall hears of all of them. */
function haltWords({ halts, names }: BoardSource, shown: string | undefined): string {
  const nameOf = (id: string) => names.find((n) => n.id === id)?.name ?? "";
  return [...halts]
    .sort(([a], [b]) => Number(b === shown) - Number(a === shown))
    .map(([id, reason]) => (id === shown ? reason : `${nameOf(id)} (${reason})`))
    .join("; ");
}

/**
 * What a board shows now: the board of this id as it was set up, or, without one, the event that was asked for or that
 * runs.
 */
export function boardState(source: BoardSource, asked: { board?: string; event?: string }): BoardState {
  const { contest, title } = source;
  const board = source.boards.find((b) => b.id === asked.board);
  const wanted = board ? (board.shows === "running" ? undefined : (board.eventId ?? undefined)) : asked.event;
  const { events, judged, races } = contest;
  const id = onBoard([...events, ...judged, ...races], wanted);
  const of = <E extends { readonly id: string }>(all: readonly E[]) => all.find((e) => e.id === id);
  const chosen: Chosen = { event: of(events), judged: of(judged), race: of(races) };
  const draw = (): Drawn => {
    switch (board?.shows) {
      case "pause":
        return { says: [], seed: "", foot: "", face: { kind: "pause", words: board.words || "We go on in a moment." } };
      case "awards":
        return awardsFace(source, board.revealed);
      case "overall":
        return overallFace(contest);
      case "vote":
        return voteFace(source.facts);
      case "order":
        return orderFace(chosen);
      case "event":
      case "running":
      case undefined:
        if (chosen.event) return attemptsFace(chosen.event);
        if (chosen.judged) return judgedFace(chosen.judged);
        return chosen.race ? matchFace(chosen.race) : nothing;
    }
  };
  return { title, light: board?.light ?? false, halt: haltWords(source, id), call: source.call, ...draw() };
}
