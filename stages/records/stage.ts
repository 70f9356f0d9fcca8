import "server-only";
import type { Stage, Stratum } from "@/platform/registry/stage";
import * as archive from "./commands/archive";
import * as editions from "./commands/editions";
import * as withdrawn from "./commands/withdrawn";

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
  pages: [
    { label: "Records", path: "/records" },
    { label: "Features over the years", path: "/records/features" },
    { label: "Withdrawn", path: "/records/withdrawn" },
  ],
  shows: ["contest", "project", "run", "build"],
  commands: [archive, editions, withdrawn],
  stratum,
};
