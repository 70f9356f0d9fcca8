import * as yup from "yup";
import { mostInExperiment, readFactors } from "@/core/stats/factors";
import {
  attemptMethod,
  benchFoulMethod,
  better,
  crossingWay,
  enteredState,
  readingKind,
  takeRule,
} from "@/core/vocabulary/runs";
import * as c from "@/platform/schema/fields";

const number = () => yup.string().trim().default("");

const key = () => yup.string().trim().required("Give a symbol.");

export const protocolDefinition = yup.object({
  conditions: yup
    .array(
      yup.object({
        key: key(),
        name: c.text(60),
        unit: c.optionalText(20),
        target: yup.string().trim().required(),
        tolerance: yup.string().trim().required(),
        u: number(),
      }),
    )
    .max(12)
    .default([]),
  measures: yup
    .array(
      yup.object({
        key: key(),
        name: c.text(60),
        kind: c.oneOf(readingKind),
        levels: yup.array(c.text(40)).max(12).default(undefined),
        unit: c.optionalText(20),
        resolution: yup.string().trim().required(),
        u: number(),
        min: number(),
        max: number(),
        take: yup
          .object({
            rule: c.oneOf(takeRule).required(),
            unit: c.text(20),
            channel: number(),
            stretch: number(),
            level: number(),
            way: c.oneOf(crossingWay),
            towards: number(),
          })
          .default(undefined)
          .optional(),
      }),
    )
    .max(12)
    .default([]),
  constants: yup
    .array(
      yup.object({
        key: key(),
        name: c.text(60),
        unit: c.optionalText(20),
        value: yup.string().trim().required(),
        u: number(),
      }),
    )
    .max(12)
    .default([]),
  derived: yup
    .array(
      yup.object({
        key: key(),
        name: c.text(60),
        unit: c.optionalText(20),
        expression: yup.string().trim().required(),
        decimals: yup.number().integer().min(0).max(6).default(2),
        rule: c.optionalText(200),
        bound: number(),
      }),
    )
    .max(12)
    .default([]),
  primary: yup.string().required(),
  theory: yup
    .string()
    .trim()
    .transform((v) => v || undefined)
    .optional(),
  better: c.oneOf(better).default("more"),
  policy: yup
    .object({
      school: c.oneOf(attemptMethod).default("best"),
      n: yup.number().integer().min(1).max(50).default(3),
      k: yup.number().integer().min(1).max(50).optional(),
      foul: c.oneOf(benchFoulMethod).default("out"),
    })
    .required(),
  safety: yup.array(yup.string().trim().max(300).required()).max(12).default([]),
  steps: yup.array(yup.string().trim().max(80).required()).max(40).default([]),
});

export const protocol = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  whatChanged: c.optionalText(300),
  definition: protocolDefinition.required(),
});

export const run = yup.object({
  id: c.id(),
  buildId: c.id(),
  protocolVersionId: c.id(),
  state: c.oneOf(enteredState).default("valid"),
  reason: c.optionalText(300),
  readings: c.typedReadings(),
  conditions: c.typedReadings(),
  /** It was asked about a reading outside its range, and it is right. */
  sure: yup.boolean().default(false),
  /** It irons the protocol out: it is kept and never counts. */
  pilot: yup.boolean().default(false),
  /** From which readings are taken, where they are not typed. */
  seriesIds: yup.array(c.id()).max(12).default([]),
});

/** A series that begins: the build and the reading that it is for, and where it comes from. */
export const series = yup.object({
  id: c.id(),
  buildId: c.id(),
  protocolVersionId: c.id(),
  key: c.text(40),
  source: c.optionalText(120),
  /** Of several readings that an instrument gives at the same time: what they have in common. */
  capture: c.optionalId(),
  /** It comes from a simulated instrument. */
  simulated: yup.boolean().default(false),
});

/** The most samples of a block, and the most blocks that are sent at once. */
export const blockSize = { samples: 2000, blocks: 20 };

export const seriesBlocks = yup.object({
  seriesId: c.id(),
  blocks: yup
    .array(
      yup.object({
        number: yup.number().integer().min(0).max(5000).required(),
        samples: yup.string().max(60_000).required(),
      }),
    )
    .min(1)
    .max(blockSize.blocks)
    .required(),
});

/** The part of a series that counts, with the reason; without bounds it is all of it. */
export const seriesPart = yup.object({
  id: c.id(),
  version: c.version(),
  from: yup.number().typeError("Give seconds, like 12.5").optional(),
  to: yup
    .number()
    .typeError("Give seconds, like 18")
    .optional()
    .when("from", ([from], s) =>
      from === undefined
        ? s
        : s.required("Give the end too, in seconds").moreThan(from, "The end comes after the start"),
    ),
  reason: c.text(300),
});

/** Each caution of a protocol as it was ticked before the first run of the day: by a team, or for all teams. */
export const safetyCheck = yup.object({
  projectId: c.id(),
  protocolId: c.id(),
  teamId: c.optionalId(),
  cautions: yup.array(yup.string().max(300).required()).max(12).required(),
});

export const correctRun = yup.object({
  id: c.id(),
  version: c.version(),
  readings: c.typedReadings(),
  conditions: c.typedReadings(),
  reason: c.text(300),
});

export const voidRun = yup.object({ id: c.id(), version: c.version(), reason: c.text(300) });

export const runNote = yup.object({ id: c.id(), version: c.version(), note: c.optionalText(1000) });

export const runPhoto = yup.object({ runId: c.id(), caption: c.optionalText(200), base64: c.picture() });

export const restoreRun = yup.object({ id: c.id(), version: c.version() });

/** A run that was recorded for the wrong build. */
export const moveRun = yup.object({ id: c.id(), version: c.version(), buildId: c.id(), reason: c.text(300) });

/** A small experiment: what is set to which levels, how often each combination is measured, the minutes a run takes. */
export const experiment = yup.object({
  factors: yup
    .string()
    .trim()
    .required("Write a factor a line, like valve: flap, ball")
    .test("factors", "", function check(v) {
      const read = readFactors(v ?? "");
      if (!read.ok) return this.createError({ message: read.message });
      const runs = read.factors.reduce((n, f) => n * f.levels.length, Number(this.parent.repeats));
      return (
        runs <= mostInExperiment.runs ||
        this.createError({ message: `That makes ${runs} runs: at most ${mostInExperiment.runs}. Take fewer levels.` })
      );
    }),
  repeats: yup
    .number()
    .typeError("Give a number, like 3")
    .integer("A whole number")
    .min(1, "At least 1")
    .max(20, "At most 20")
    .default(2),
  minutes: yup.number().typeError("Give the minutes, like 4").min(0.5, "At least half a minute").max(240).default(4),
  seed: c.text(40),
});
