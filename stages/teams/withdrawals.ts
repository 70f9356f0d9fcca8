import type * as row from "@/platform/db/rows";
import "server-only";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { partActs, teamActs } from "./acts";

export const removePart = withdrawal({
  name: "removePart",
  kind: "part",
  table: "part",
  act: partActs.edit,
  async subject(sql, id) {
    const [p] = await sql<
      { projectId: row.Part["projectId"]; teamId: row.Part["teamId"] }[]
    >`SELECT project_id, team_id FROM part WHERE id = ${id}`;
    return p ? { project: p.projectId, team: p.teamId } : null;
  },
  label: "(SELECT name FROM team WHERE id = x.team_id) || ': ' || x.name",
});

export const removeConstraint = withdrawal({
  name: "removeConstraint",
  kind: "limit on teams",
  table: "team_constraint",
  act: teamActs.edit,
  label: "x.kind || ': ' || (SELECT string_agg(name, ', ' ORDER BY name) FROM person WHERE id = ANY(x.people))",
});

export const withdrawTeamPlan = withdrawal({
  name: "withdrawTeamPlan",
  kind: "plan of teams",
  table: "team_plan",
  act: teamActs.edit,
  label: "x.name",
});
