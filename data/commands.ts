import "server-only";
import * as bench from "./bench";
import * as builds from "./builds";
import type { Command } from "./command";
import * as contest from "./contest";
import * as grades from "./grades";
import * as needs from "./needs";
import * as people from "./people";
import * as projects from "./projects";
import * as reviews from "./reviews";
import * as teams from "./teams";

const isCommand = (x: unknown): x is Command<unknown, unknown> => typeof x === "object" && x !== null && "schema" in x && "act" in x && "run" in x;

/** Every command of the application by its name: what the permission test walks. */
export const commands: Readonly<Record<string, Command<unknown, unknown>>> = Object.fromEntries(
  [bench, builds, contest, grades, needs, people, projects, reviews, teams].flatMap((m) => Object.values(m)).filter(isCommand).map((c) => [c.name, c]),
);
