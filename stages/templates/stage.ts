import "server-only";
import type { Stage } from "@/platform/registry/stage";
import * as commands from "./commands";

/** Projects to begin with: it has no page in a project, and writes what the forms of all stages write. */
export const templates: Stage = {
  key: "templates",
  name: "Templates",
  pages: [],
  shows: [],
  commands: [commands],
};
