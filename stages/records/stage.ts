import "server-only";
import type { Stage, Stratum } from "@/platform/registry/stage";
import * as commands from "./commands";

const stratum: Stratum = {
  columns: (sql) => sql`true AS recorded`,
  line: (_, project) => [
    project.finishedAt ? 1 : 0,
    project.finishedAt ? "finished" : project.editionOf ? "has last year's" : "open",
  ],
};

export const records: Stage = {
  key: "records",
  name: "Records",
  pages: [{ label: "Records", path: "/records" }],
  shows: ["contest", "project", "run", "build"],
  commands: [commands],
  stratum,
};
