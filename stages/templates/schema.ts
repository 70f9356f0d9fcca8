import * as yup from "yup";
import { buildStage } from "@/core/vocabulary/builds";
import { gateItemKind, milestoneScope, projectKind } from "@/core/vocabulary/project";
import { settings } from "@/platform/project/schema";
import * as c from "@/platform/schema/fields";
import { protocol } from "@/stages/bench/schema";
import { event, matchEvent } from "@/stages/contest/schema";
import { judgedEvent } from "@/stages/contest/schema-judged";
import { definition as scheme } from "@/stages/grades/schema";
import { requirement } from "@/stages/needs/schema";
import { rubric } from "@/stages/reviews/schema";
import { tool } from "@/stages/shop/schema";

/** A class session of the template, counted from the first. */
const session = () => c.whole(1, 400);

const milestone = yup.object({
  title: c.text(120),
  session: session().required(),
  scope: c.oneOf(milestoneScope).default("team"),
  /** Before builds of which stage it stands, and what it asks for. */
  gate: yup
    .object({
      stage: c.oneOf(buildStage).required(),
      items: yup
        .array(
          yup.object({
            kind: c.oneOf(gateItemKind).required(),
            label: c.optionalText(80),
            needs: c.whole(0, 100).default(0),
            /** A tool by its name. */
            tool: c.optionalText(80),
          }),
        )
        .max(20)
        .default([]),
    })
    .default(undefined)
    .optional(),
});

const task = yup.object({
  title: c.text(120),
  /** In class sessions. */
  length: c.whole(1, 200).required(),
  /** Tasks and milestones by their titles. */
  after: yup.array(c.text(120)).max(40).default([]),
  milestone: c.optionalText(120),
});

/** What an event of a template is, by how it is played; a protocol stands by its name. */
const events = {
  attempts: event.omit(["projectId", "id", "version", "protocolId"]).shape({ protocol: c.text(80) }),
  matches: matchEvent.omit(["projectId", "id", "version"]),
  judged: judgedEvent.omit(["projectId", "id", "version"]),
};
const anEvent = yup.object({
  attempts: events.attempts.default(undefined).optional(),
  matches: events.matches.default(undefined).optional(),
  judged: events.judged.default(undefined).optional(),
});

const list = <S extends yup.AnySchema>(of: S, most: number) => yup.array(of).max(most).default([]);

/**
 * A project to begin with, as an open file: its parts are what the forms send, named instead of numbered, and dates are
 * class sessions. Nobody's name and no result stands in it.
 */
export const template = yup.object({
  ironstone: yup
    .string()
    .oneOf(["project template"], "This is not a project template: a template begins with its kind.")
    .required("This is not a project template."),
  version: yup.number().oneOf([1], "This template is of a newer version. Update Ironstone, then use it.").required(),
  name: c.text(120),
  about: c.optionalText(300),
  /** For how many class sessions it is planned; in a project of another length its plan is stretched. */
  sessions: session().required(),
  project: yup
    .object({
      title: c.text(120),
      purpose: c.optionalText(300),
      kind: c.oneOf(projectKind).required(),
      client: c.optionalText(120),
      currency: c.optionalText(8),
    })
    .required(),
  settings: settings.omit(["projectId", "conceptsOpen"]).default({}),
  brief: c.optionalText(40_000),
  questions: list(c.text(400), 100),
  tools: list(tool.omit(["projectId", "id", "version"]), 60),
  protocols: list(protocol.pick(["name", "definition"]), 30),
  /** `measure` is a channel where a protocol is named. */
  requirements: list(
    requirement.omit(["projectId", "id", "version", "reason"]).shape({ protocol: c.optionalText(80) }),
    200,
  ),
  rubrics: list(rubric.pick(["name", "criteria"]), 30),
  milestones: list(milestone, 60),
  tasks: list(task, 120),
  events: list(anEvent, 30),
  /** Protocols, events and milestones stand in it by their names. */
  scheme: scheme.omit(["peers"]).default(undefined).optional(),
});
export type Template = yup.InferType<typeof template>;
