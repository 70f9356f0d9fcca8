import * as yup from "yup";
import { buildStage, failureSeverity, ownStep, partSource } from "@/core/vocabulary/builds";
import * as c from "@/platform/schema/fields";
import * as q from "@/platform/schema/quantities";

/** Names with values, `name = value` a line. */
const lines = (example: string) =>
  c
    .optionalText(2000)
    .test("lines", `Write one a line, like: ${example}`, (v) =>
      (v ?? "").split("\n").every((l) => !l.trim() || /^[^=]+=.+$/.test(l)),
    );

/** What is told of a build in words, and what it is called where two versions of it differ. */
export const buildTexts = {
  whatChanged: "What changed",
  why: "Why",
  expected: "Expected",
  learned: "What it taught",
  good: "What was good",
  notGood: "What was not",
} as const;

/** The words of a build alone; empty ones of no build. */
export const textsOf = (build?: Readonly<Record<keyof typeof buildTexts, string>>) =>
  Object.fromEntries(
    (Object.keys(buildTexts) as (keyof typeof buildTexts)[]).map((k) => [k, build?.[k] ?? ""]),
  ) as Record<keyof typeof buildTexts, string>;

export const build = yup.object({
  teamId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  stage: c.oneOf(buildStage).required(),
  builtOn: c.date(),
  whatChanged: c.text(2000),
  why: c.optionalText(2000),
  expected: c.optionalText(1000),
  predicted: c.optionalText(60),
  mass: q.quantity("kg"),
  cost: q.quantity("1"),
  sides: q.sides(),
  learned: c.optionalText(2000),
  /** What was seen that is good, and what is not. */
  good: c.optionalText(1000),
  notGood: c.optionalText(1000),
  features: c.optionalText(1000),
  variables: lines("stroke = 0.25 m"),
  /** What it was made from: the generation before, or several that were brought together. */
  parentIds: c.ids(6),
  /** Who made it alone, before the team's are brought together. */
  makerId: c.optionalId(),
  /** A build of the edition before that it was made from. */
  fromEdition: c.optionalId(),
  /** Features of those that it does without, one a line with the reason. */
  dropped: c
    .optionalText(2000)
    .test("dropped", "Write one a line with its reason, like: leather cup: leaks after an hour", (v) =>
      (v ?? "").split("\n").every((l) => !l.trim() || /^[^:]+:.+$/.test(l)),
    ),
  /** Failures of earlier builds that this one answers. */
  closes: c.ids(40),
  /** Actions that reviews decided on and this build carries out. */
  carries: c.ids(40),
  physical: yup.boolean().default(false),
});

export const photo = yup.object({
  buildId: c.id(),
  caption: c.optionalText(200),
  base64: c.picture(),
  /** The piece of the build that it shows, its trial for one. */
  pieceId: c.optionalId(),
});

const share = () => yup.number().min(0).max(1).optional();

/** What failed, and what is done about it; a pin on a photo is a share of its width and height. */
export const failure = yup.object({
  buildId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  mode: c.text(200),
  place: c.optionalText(120),
  cause: c.optionalText(60),
  severity: c.oneOf(failureSeverity).required("Say how much it matters."),
  nextStep: c.optionalText(400),
  photoId: c.optionalId(),
  pinX: share(),
  pinY: share(),
});

/** Which build answers a failure; none opens it again. */
export const closeFailure = yup.object({ id: c.id(), version: c.version(), closedBy: c.optionalId() });

export const partLine = yup.object({
  buildId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  count: c.whole(1, 9999).default(1),
  mass: q.quantity("kg"),
  cost: q.quantity("1"),
  source: c.oneOf(partSource).default("bought"),
  /** Which of the shop's stock it is taken from; what has its name where nothing is said. */
  stockItemId: c.optionalId(),
  supplier: c.optionalText(80),
});

/** The parts list of another build, taken over. */
export const copyPartLines = yup.object({ buildId: c.id(), fromId: c.id() });

/** A piece that somebody makes: what it should measure and does, and on what it is made. */
export const piece = yup.object({
  buildId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  makerId: c.optionalId(),
  /** The line of the parts list that it is made for. */
  partId: c.optionalId(),
  oneChance: yup.boolean().default(false),
  material: c.optionalText(80),
  machine: c.optionalText(60),
  settings: lines("power = 60 %"),
  chain: c.optionalText(60),
  nominal: q.quantity("mm"),
  tolerance: q.quantity("mm"),
  measured: q.quantity("mm"),
});

/** A step of a piece that its team ticks, or takes back. */
export const markPiece = yup.object({ id: c.id(), step: c.oneOf(ownStep).required(), on: yup.boolean().required() });

/** The instructor's word that a piece may be cut. */
export const releasePiece = yup.object({ id: c.id(), on: yup.boolean().required() });

/** What the parts list says is made here, as pieces. */
export const listPieces = yup.object({ buildId: c.id() });

/** The pieces of another build, to be made again. */
export const copyPieces = yup.object({ buildId: c.id(), fromId: c.id() });
