import "server-only";
import type { Stage, Stratum } from "@/platform/registry/stage";
import * as archive from "./commands/archive";
import * as artefacts from "./commands/artefacts";
import * as editions from "./commands/editions";
import * as guides from "./commands/guides";
import * as honours from "./commands/honours";
import * as withdrawn from "./commands/withdrawn";
import * as withdrawals from "./withdrawals";

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
    { label: "Editions", path: "/records/editions" },
    { label: "Features over the years", path: "/records/features" },
    { label: "Faults and cures", path: "/records/cures" },
    { label: "Start from an earlier build", path: "/records/start" },
    { label: "Kept models", path: "/records/models" },
    { label: "Build guides", path: "/records/guides" },
    { label: "Honours", path: "/records/honours" },
    { label: "Withdrawn", path: "/records/withdrawn" },
  ],
  shows: ["contest", "project", "run", "build"],
  commands: [archive, artefacts, editions, guides, honours, withdrawals, withdrawn],
  stratum,
};
