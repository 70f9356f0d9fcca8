import * as yup from "yup";
import { penaltiesIn } from "@/core/contest/attempt";
import { clockIn } from "@/core/contest/programme";
import { noZero } from "@/core/run/protocol";
import { linesOf } from "@/core/text/lines";
import {
  awardKind,
  boardShows,
  careMethod,
  combineMethod,
  inspectionEnd,
  matchFormat,
  matchOutcome,
  matchRule,
  placeNumbering,
  tieBreak,
  tieRule,
  twiceMethod,
} from "@/core/vocabulary/contest";
import { verdict } from "@/core/vocabulary/needs";
import { attemptMethod, better, enteredState, foulMethod } from "@/core/vocabulary/runs";
import * as c from "@/platform/schema/fields";
import { optionalDecimal } from "@/platform/schema/fields";
import { rule } from "@/platform/schema/rule";

/** Up to twelve things, one a line. */
const lines = (max: number, what: string) =>
  c.optionalText(max).test("lines", `At most 12 ${what}.`, (v) => linesOf(v ?? "").length <= 12);

/** What has to be so before an event begins, one sentence a line, and who says that it is. */
export const safety = {
  cautions: lines(2000, "lines"),
  officer: c.optionalText(80),
};

export const event = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  protocolId: c.id(),
  channel: yup.string().required("Choose what is measured."),
  better: c.oneOf(better).required(),
  school: c.oneOf(attemptMethod).required(),
  n: yup.number().integer().min(1).max(20).required(),
  k: yup.number().integer().min(1).max(20).default(2),
  foul: c
    .oneOf(foulMethod)
    .required()
    .test("zero", noZero, (v, x) => v !== "zero" || x.parent.better !== "less"),
  ranking: c.oneOf(placeNumbering).required(),
  ties: c.oneOf(tieRule).required(),
  resolution: optionalDecimal().test(
    "needed",
    "Give the instrument's resolution, for example 0.1.",
    (v, x) => x.parent.ties !== "resolution" || Number(v) > 0,
  ),
  tieBreaks: yup.array(c.oneOf(tieBreak).required()).max(4).default([]),
  points: rule.nullable().default(null),
  seed: c.text(40),
  target: optionalDecimal(),
  care: c.oneOf(careMethod, "").default(""),
  penalties: lines(1000, "penalties").test(
    "read",
    ({ value }) => penaltiesIn(String(value ?? "")).wrong,
    (v) => !penaltiesIn(v ?? "").wrong,
  ),
  ...safety,
});

/** An event's rules as they are kept. */
export const eventDefinition = event.pick(["channel", "better", "ranking", "tieBreaks", "points"]).shape({
  unit: c.optionalText(20),
  policy: event
    .pick(["school", "n", "foul"])
    .shape({ k: yup.number().integer().min(1).max(20).optional() })
    .required(),
  resolution: optionalDecimal().nullable(),
  seed: yup.string().max(40).default(""),
  target: c.decimal().optional(),
  care: c.oneOf(careMethod).optional(),
  penalties: yup
    .array(yup.object({ key: c.text(80), name: c.text(60), each: c.decimal() }).required())
    .max(12)
    .optional(),
});

const earns = (start: string) =>
  c
    .decimal()
    .default(start)
    .test("least", "A match earns nothing or more.", (v) => Number(v) >= 0);
const measures = (v: unknown, x: { parent: { decides?: unknown } }) => x.parent.decides !== "measured" || !!v;

/** Points of places as they are typed, with commas between. */
export const placePointsIn = (text: string): string[] =>
  text
    .split(/[,;]/)
    .map((x) => x.trim())
    .filter(Boolean);

/** Points of places, as they are typed. */
export const places = () =>
  c
    .optionalText(200)
    .test("list", "Write numbers with commas between, the first place first: 40, 30, 20.", (v) =>
      placePointsIn(v ?? "").every((x) => /^\d+(\.\d+)?$/.test(x)),
    );

/** An event in which two meet at a time. */
export const matchEvent = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  format: c.oneOf(matchFormat).required(),
  decides: c.oneOf(matchRule).required(),
  games: yup
    .number()
    .typeError("A whole number of games.")
    .integer("A whole number of games.")
    .min(1)
    .max(15, "At most 15 games.")
    .default(1)
    .test("odd", "An odd number of games, so that somebody wins: 3, 5 or 7.", (v, x) => {
      const ends = x.parent.format === "single" || x.parent.format === "double";
      return x.parent.decides !== "games" || !ends || (v ?? 1) % 2 === 1;
    }),
  secondFinal: yup.boolean().default(true),
  third: yup.boolean().default(false),
  rounds: yup
    .number()
    .typeError("A whole number of rounds.")
    .integer("A whole number of rounds.")
    .min(1, "At least one round.")
    .max(15, "At most 15 rounds.")
    .default(4),
  win: earns("2"),
  draw: earns("1"),
  loss: earns("0"),
  placePoints: places(),
  measure: c.optionalText(60).test("named", "Say what is measured, for example time.", measures),
  unit: c.optionalText(20),
  better: c.oneOf(better).default("less"),
  resolution: optionalDecimal()
    .test("needed", "Give the instrument's resolution, for example 0.1.", measures)
    .test("above", "More than zero.", (v) => !v || Number(v) > 0),
  ...safety,
});

/** The rules of an event of matches as they are kept. */
export const matchDefinition = yup.object({
  decides: c.oneOf(matchRule).required(),
  games: yup.number().integer().min(1).max(15).required(),
  secondFinal: yup.boolean().required(),
  third: yup.boolean().required(),
  rounds: yup.number().integer().min(1).max(15).required(),
  points: yup.object({ win: c.decimal(), draw: c.decimal(), loss: c.decimal() }).required(),
  placePoints: yup.array(c.decimal().required()).max(64).default([]),
  measured: yup
    .object({ name: c.text(60), unit: c.optionalText(20), better: c.oneOf(better).required(), resolution: c.decimal() })
    .nullable()
    .default(null),
});

/** In which order those who were tied ended the run-off; an empty order takes it out. */
export const runOff = yup.object({
  id: c.id(),
  version: c.version(),
  /** Those who are tied. */
  tied: c.ids(64),
  /** All of them in the order in which they ended it, or nobody. */
  order: yup.array(c.id()).max(64).default([]),
  reason: c.text(300),
});

/** Seeds in the order of another event's standings. */
export const seedByEvent = yup.object({ id: c.id(), version: c.version(), from: c.id() });

/** Seeds by hand: the entries, the first seed first. */
export const seedByHand = yup.object({
  id: c.id(),
  version: c.version(),
  entries: c.ids(64).test("once", "Each entry stands once.", (v) => new Set(v).size === (v ?? []).length),
});

/** How a match ended. */
export const matchResult = yup.object({
  /** Made by the scorer's device: a retry has the effect of one. */
  id: c.id(),
  eventId: c.id(),
  slot: c.text(20),
  a: c.id(),
  b: c.id(),
  outcome: c.oneOf(matchOutcome).required(),
  /** Which of the two has won, where neither a score says it. */
  winner: yup.string().oneOf(["a", "b"]).nullable().default(null),
  aScore: optionalDecimal(),
  bScore: optionalDecimal(),
  reason: c
    .optionalText(300)
    .test("why", "Say why, in a few words.", (v, x) => !["disqualified", "neither"].includes(x.parent.outcome) || !!v),
  /** It replaces what was recorded of this match; whoever sends it has seen which results are void by it. */
  corrects: yup.boolean().default(false),
  voids: yup.array(c.text(20)).max(200).default([]),
});

/** How the events become one ranking: the method, and how much each counts. */
export const overallRule = yup.object({
  projectId: c.id(),
  method: c.oneOf(combineMethod).required(),
  weights: yup
    .array(
      yup
        .object({
          id: c.id(),
          weight: c
            .decimal()
            .test("share", "A weight is 0 (it does not count) to 100.", (v) => Number(v) >= 0 && Number(v) <= 100),
        })
        .required(),
    )
    .min(1)
    .max(60)
    .default([]),
  reason: c.optionalText(300),
});

export const ofProject = yup.object({ projectId: c.id() });

/** Which awards the contest gives. */
export const awards = yup.object({
  projectId: c.id(),
  given: yup.array(c.oneOf(awardKind).required()).max(awardKind.values.length).default([]),
});

/** Events of the edition before that are copied. */
export const copyEvents = yup.object({ projectId: c.id(), ids: c.ids(60).min(1, "Choose at least one event.") });

/** Results that are made up in a rehearsal: an event's next round, or all of it. */
export const simulate = yup.object({ id: c.id(), seed: c.text(40), all: yup.boolean().default(false) });

/** Words that every board shows. */
export const call = yup.object({ projectId: c.id(), id: c.id(), words: c.text(100) });

/** A vote as a spectator's phone sends it. */
export const voteSent = yup.object({ code: yup.string().max(12).required(), team: c.id() });

export const eventId = yup.object({ id: c.id() });

export const eventVersion = yup.object({ id: c.id(), version: c.version() });

export const drawOrder = yup.object({ id: c.id(), version: c.version(), seed: c.text(40) });

/** An inspection of a build: what was found, as it was typed, line by line. */
export const inspection = yup.object({
  /** Made by the inspector's device: a retry has the effect of one. */
  id: c.id(),
  buildId: c.id(),
  /** How many inspections of this build the inspector has seen. */
  after: yup.number().integer().min(0).required(),
  outcome: c.oneOf(inspectionEnd).required(),
  typed: c.typedReadings(),
  waiver: c.optionalText(300),
  note: c
    .optionalText(400)
    .test("why", "Say why it was turned away.", (v, x) => x.parent.outcome !== "turned away" || !!v),
});

export const release = yup.object({
  id: c.id(),
  buildId: c.id(),
  after: yup.number().integer().min(1).required(),
  reason: c.text(300),
});

/** A part that is allowed, and how many of it. */
export const allowedPart = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  most: yup
    .number()
    .typeError("A whole number, 0 where none is allowed.")
    .integer("A whole number, 0 where none is allowed.")
    .min(0, "0 where none is allowed.")
    .max(9999)
    .required("How many at most? 0 where none is allowed."),
});

/** What was found on one line of an inspection, as it is kept. */
export const inspectionCheck = yup.object({
  key: yup.string().max(60).required(),
  code: c.optionalText(20),
  label: c.optionalText(600),
  must: yup.boolean().required(),
  asks: c.optionalText(200),
  typed: c.optionalText(60),
  verdict: c.oneOf(verdict).required(),
  margin: c.optionalText(60),
});

export const attempt = yup.object({
  id: c.id(),
  entryId: c.id(),
  state: c.oneOf(enteredState).required(),
  reason: c.optionalText(300),
  readings: c.typedReadings(),
  /** What a second person read of the same, where the event measures with care. */
  seconds: c.typedReadings(),
  penalties: yup
    .array(
      yup
        .object({
          key: c.text(80),
          count: yup.number().integer().min(1).max(99).required(),
          reason: c.optionalText(200),
        })
        .required(),
    )
    .max(12)
    .default([]),
  /** Which of the entry's attempts it is, as the scorer counts; another person may have scored the same. */
  nth: yup.number().integer().min(1).max(99).optional(),
  /** It was asked about a reading outside its range, and it is right. */
  sure: yup.boolean().default(false),
});

/** When an event begins on the day, and how it is run through. */
export const programme = yup.object({
  id: c.id(),
  version: c.version(),
  starts: c.optionalText(5).test("clock", "Write a time of the day, like 9:30.", (v) => !v || clockIn(v) !== null),
  lanes: yup.number().typeError("A whole number.").integer().min(1).max(30).required(),
  minutes: c
    .decimal()
    .required()
    .test("some", "More than zero, at most 240.", (v) => Number(v) > 0 && Number(v) <= 240),
  repair: yup.number().typeError("A whole number of minutes.").integer().min(0).max(240).required(),
});

/** Which record stands of an attempt that two people scored. */
export const settleAttempt = yup.object({
  /** The second record. */
  id: c.id(),
  version: c.version(),
  keep: c.oneOf(twiceMethod).required(),
});

export const voidAttempt = yup.object({ id: c.id(), version: c.version(), reason: c.text(300) });

export const renameEvent = yup.object({ id: c.id(), version: c.version(), name: c.text(80) });

export const changeEntry = yup.object({ id: c.id(), version: c.version(), buildId: c.id(), reason: c.text(300) });

/** Every caution of an event ticked, and the name of who answers for it. */
export const eventCheck = yup.object({
  id: c.id(),
  cautions: yup.array(c.text(2000)).max(12).default([]),
  signed: c.text(80),
});

/** An event is stopped, by whoever sees a danger. */
export const halt = yup.object({ id: c.id(), eventId: c.id(), reason: c.text(200) });

/** A halted event goes on. */
export const lift = yup.object({ id: c.id(), note: c.text(300) });

export const board = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(40),
  light: yup.boolean().default(false),
});

/** What a board shows from now on. */
export const showOnBoard = yup.object({
  id: c.id(),
  shows: c.oneOf(boardShows).required(),
  eventId: c.optionalId(),
  words: c.optionalText(120),
});

/** How many awards a board has revealed: the count itself, so that a double press reveals one. */
export const reveal = yup.object({ id: c.id(), count: yup.number().integer().min(0).max(100).required() });
