import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";
import type { Hit, Search, Stage, Stratum } from "@/platform/registry/stage";
import { plural } from "@/platform/registry/words";
import * as commands from "./commands/builds";
import * as failures from "./commands/failures";
import * as parts from "./commands/parts";
import * as pieces from "./commands/pieces";
import * as withdrawals from "./withdrawals";

interface Row {
  builds: number;
  stageMean: number | null;
}

const stratum: Stratum = {
  columns: (sql, p) => sql`
    (SELECT count(*)::int FROM build WHERE project_id = ${p}) AS builds,
    (
      SELECT avg(
        CASE stage WHEN 'mock-up' THEN 0.25 WHEN 'proof of concept' THEN 0.5 WHEN 'prototype' THEN 0.75 ELSE 1 END
      )::float
      FROM (
        SELECT DISTINCT ON (team_id) stage FROM build WHERE project_id = ${p} ORDER BY team_id, number DESC
      ) newest
    ) AS stage_mean
  `,
  line(row) {
    const c = row as unknown as Row;
    return [c.stageMean ?? 0, c.builds === 0 ? "none yet" : plural(c.builds, "generation")];
  },
};

async function search({ projectId, like }: Search): Promise<Hit[]> {
  const rows = await db()<
    {
      id: row.Build["id"];
      number: row.Build["number"];
      team: row.Team["name"];
      whatChanged: row.Build["whatChanged"];
    }[]
  >`
    SELECT b.id, b.number, t.name AS team, b.what_changed
    FROM build b
    JOIN team t ON t.id = b.team_id
    WHERE b.project_id = ${projectId} AND plain(t.name || ' G' || b.number || ' ' || b.what_changed) LIKE plain(${like})
    ORDER BY t.name, b.number
    LIMIT 6
  `;
  return rows.map((b) => ({
    kind: "build",
    label: `${b.team} G${b.number}`,
    detail: b.whatChanged,
    path: `/builds/${b.id}`,
  }));
}

export const builds: Stage = {
  key: "builds",
  name: "Builds",
  pages: [
    { label: "Builds", path: "/builds" },
    { label: "Family tree of the builds", path: "/builds/tree" },
    { label: "Mass, cost and size against the limits", path: "/builds/limits" },
    { label: "What comes together", path: "/builds/meeting" },
    { label: "Failures", path: "/builds/failures" },
  ],
  shows: ["build", "failure", "part", "run", "needs", "team", "gate", "file"],
  commands: [commands, failures, parts, pieces, withdrawals],
  stratum,
  search,
};
