import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";
import type { Hit, HomePart, Search, Stage, Stratum, Waiting } from "@/platform/registry/stage";
import { plural, share } from "@/platform/registry/words";
import * as choosing from "./commands/choosing";
import * as forming from "./commands/forming";
import * as parts from "./commands/parts";
import * as commands from "./commands/teams";
import * as withdrawals from "./withdrawals";

interface Row {
  teams: number;
  placed: number;
  toPlace: number;
}

const stratum: Stratum = {
  columns: (sql, p) => sql`
    (SELECT count(*)::int FROM team WHERE project_id = ${p} AND retired_at IS NULL) AS teams,
    (SELECT count(*)::int FROM membership WHERE project_id = ${p} AND to_on IS NULL) AS placed,
    (
      SELECT count(DISTINCT e.person_id)::int
      FROM enrolment e
      JOIN project_section ps USING (section_id)
      WHERE ps.project_id = ${p} AND e.to_on IS NULL
    ) AS to_place
  `,
  line(row) {
    const c = row as unknown as Row;
    const words = `${plural(c.teams, "team")} · ${plural(c.placed, "student")}`;
    return [share(c.placed, c.toPlace), c.teams === 0 ? "not formed yet" : words];
  },
};

interface Mate {
  name: string;
  role: string;
}

const home: HomePart = {
  columns: (sql, me) => sql`
    (
      SELECT coalesce(json_agg(json_build_object('name', x.name, 'role', y.role) ORDER BY x.name), '[]')
      FROM membership y
      JOIN person x ON x.id = y.person_id
      WHERE y.team_id = t.id AND y.to_on IS NULL
    ) AS mates,
    EXISTS (SELECT FROM wish w WHERE w.project_id = p.id AND w.person_id = ${me.id}) AS wished
  `,
  about(row) {
    if (row.team === null) return [{ label: "My team", text: "none yet" }];
    const mates = row.mates as Mate[];
    const text = mates.map((m) => `${m.name.split(" ")[0]}${m.role ? ` (${m.role})` : ""}`).join(", ");
    return [{ label: "My team", text, path: "/teams" }];
  },
  items: (row) =>
    row.team === null && !row.wished && row.concept !== null
      ? [{ what: "Tell your wishes for a team", note: "only your instructor sees them", path: "/teams/wishes" }]
      : [],
};

async function search({ projectId, like }: Search): Promise<Hit[]> {
  const rows = await db()<{ id: row.Team["id"]; name: row.Team["name"] }[]>`
    SELECT id, name
    FROM team
    WHERE project_id = ${projectId} AND retired_at IS NULL AND plain(name) LIKE plain(${like})
    ORDER BY name
    LIMIT 6
  `;
  return rows.map((t) => ({ kind: "team", label: t.name, detail: "team", path: `/builds?team=${t.id}` }));
}

async function waiting(projectIds: readonly string[]): Promise<Waiting[]> {
  const sql = db();
  const rows = await sql<{ projectId: row.Project["id"]; students: number; placed: number; teams: number }[]>`
    SELECT
      p.id AS project_id,
      (
        SELECT count(*)::int
        FROM enrolment e
        JOIN project_section ps USING (section_id)
        WHERE ps.project_id = p.id AND e.to_on IS NULL
      ) AS students,
      (SELECT count(*)::int FROM membership WHERE project_id = p.id AND to_on IS NULL) AS placed,
      (SELECT count(*)::int FROM team WHERE project_id = p.id AND retired_at IS NULL) AS teams
    FROM project p
    WHERE p.id IN ${sql(projectIds)}
  `;
  return rows.flatMap(({ projectId, students, placed, teams }): Waiting[] => {
    if (students === 0)
      return [{ projectId, who: "Class", what: "Bring in the roster", stage: "People", path: "/people" }];
    if (placed >= students || teams === 0) return [];
    const what = `${students - placed} students are in no team`;
    return [{ projectId, who: "Class", what, stage: "Teams", path: "/teams" }];
  });
}

export const teams: Stage = {
  key: "teams",
  name: "Teams",
  pages: [
    { label: "Teams", path: "/teams" },
    { label: "Parts and owners", path: "/teams/parts" },
    { label: "Forming teams", path: "/teams/form", for: "staff" },
    { label: "My wishes", path: "/teams/wishes", for: "student" },
  ],
  shows: ["team", "wish", "part", "concept", "people"],
  commands: [choosing, forming, parts, commands, withdrawals],
  stratum,
  home,
  search,
  waiting,
};
