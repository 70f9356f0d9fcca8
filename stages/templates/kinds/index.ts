import type { TemplateKind } from "@/core/vocabulary/project";
import { client } from "./client";
import { drop } from "./drop";
import { energy } from "./energy";
import type { Kind } from "./kind";
import { model } from "./model";
import { ring } from "./ring";
import { steps } from "./steps";
import { structure } from "./structure";
import { vehicle } from "./vehicle";

const file = (kind: Kind) => ({ ironstone: "project template", version: 1, ...kind });

/** The kinds of project that come with the program, each as a template's file; people and places are made up. */
export const kinds: Readonly<Record<TemplateKind, ReturnType<typeof file>>> = {
  client: file(client),
  vehicle: file(vehicle),
  structure: file(structure),
  energy: file(energy),
  drop: file(drop),
  steps: file(steps),
  ring: file(ring),
  model: file(model),
};
