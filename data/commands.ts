import "server-only";
import * as bench from "./bench";
import * as brief from "./brief";
import * as builds from "./builds";
import type { Command } from "./command";
import * as concepts from "./concepts";
import * as contest from "./contest";
import * as forming from "./forming";
import * as gates from "./gates";
import * as grades from "./grades";
import * as interviews from "./interviews";
import * as needs from "./needs";
import * as notebook from "./notebook";
import * as people from "./people";
import * as plan from "./plan";
import * as projects from "./projects";
import * as register from "./register";
import * as reviews from "./reviews";
import * as selection from "./selection";
import * as settings from "./settings";
import * as teams from "./teams";

const isCommand = (x: unknown): x is Command<unknown, unknown> =>
  typeof x === "object" && x !== null && "schema" in x && "act" in x && "run" in x;

/** Every command of the application by its name: what the permission test walks. */
export const commands: Readonly<Record<string, Command<unknown, unknown>>> = Object.fromEntries(
  [
    bench,
    brief,
    builds,
    concepts,
    contest,
    forming,
    gates,
    grades,
    interviews,
    needs,
    notebook,
    people,
    plan,
    projects,
    register,
    reviews,
    selection,
    settings,
    teams,
  ]
    .flatMap((m) => Object.values(m))
    .filter(isCommand)
    .map((c) => [c.name, c]),
);
