import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";
import { projectActs } from "@/platform/project/acts";
import type { Hit, Search, Stage, Stratum } from "@/platform/registry/stage";
import { plural, share } from "@/platform/registry/words";
import * as protocols from "./commands/protocols";
import * as runNotes from "./commands/run-notes";
import * as runs from "./commands/runs";
import * as safety from "./commands/safety";
import * as series from "./commands/series";
import { runsTable } from "./runs-table";
import * as withdrawals from "./withdrawals";

interface Row {
  benchTeams: number;
  tested: number;
  runs: number;
  aside: number;
}

const stratum: Stratum = {
  columns: (sql, p) => sql`
    (SELECT count(*)::int FROM team WHERE project_id = ${p} AND retired_at IS NULL) AS bench_teams,
    (
      SELECT count(*)::int
      FROM (SELECT DISTINCT ON (team_id) id FROM build WHERE project_id = ${p} ORDER BY team_id, number DESC) newest
      WHERE EXISTS (SELECT FROM run WHERE build_id = newest.id AND state = 'valid' AND place = 'bench')
    ) AS tested,
    (SELECT count(*)::int FROM run WHERE project_id = ${p} AND place = 'bench') AS runs,
    (SELECT count(*)::int FROM run WHERE project_id = ${p} AND place = 'bench' AND state = 'void') AS aside
  `,
  line(row) {
    const c = row as unknown as Row;
    const words = `${plural(c.runs, "run")}${c.aside ? ` · ${c.aside} set aside` : ""}`;
    return [share(c.tested, c.benchTeams), c.runs === 0 ? "no runs yet" : words];
  },
};

interface Found {
  attempt: row.Run["attempt"];
  team: row.Team["name"];
  number: row.Build["number"];
  protocol: row.Protocol["name"];
  buildId: row.Build["id"];
  protocolId: row.Protocol["id"];
}

async function search({ projectId, like }: Search): Promise<Hit[]> {
  const rows = await db()<Found[]>`
    SELECT r.attempt, t.name AS team, b.number, p.name AS protocol, b.id AS build_id, p.id AS protocol_id
    FROM (
      SELECT *
      FROM run
      WHERE project_id = ${projectId} AND place = 'bench'
      ORDER BY recorded_at DESC
      LIMIT 400
    ) r
    JOIN build b ON b.id = r.build_id
    JOIN team t ON t.id = b.team_id
    JOIN protocol_version v ON v.id = r.protocol_version_id
    JOIN protocol p ON p.id = v.protocol_id
    WHERE plain(t.name || ' G' || b.number || ' ' || p.name || ' attempt ' || r.attempt) LIKE plain(${like})
    ORDER BY r.recorded_at DESC
    LIMIT 6
  `;
  return rows.map((r) => ({
    kind: "run",
    label: `${r.team} G${r.number}, attempt ${r.attempt}`,
    detail: r.protocol,
    path: `/bench?protocol=${r.protocolId}&build=${r.buildId}`,
  }));
}

export const bench: Stage = {
  key: "bench",
  name: "Bench",
  pages: [
    { label: "Bench", path: "/bench" },
    { label: "Test the whole class", path: "/bench/class" },
    { label: "Compare runs", path: "/bench/compare" },
    { label: "Plan an experiment", path: "/bench/experiment" },
    { label: "Pilot runs", path: "/bench/pilot" },
  ],
  shows: ["run", "protocol", "build", "needs", "evidence", "team"],
  commands: [protocols, runs, runNotes, safety, series, withdrawals],
  stratum,
  search,
  downloads: { runs: { act: projectActs.read, make: runsTable } },
};
