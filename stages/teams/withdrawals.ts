import "server-only";
import { teamOf } from "@/platform/command/command";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { partActs, teamActs } from "./acts";

export const removePart = withdrawal({
  name: "removePart",
  kind: "part",
  table: "part",
  act: partActs.edit,
  subject: (sql, id) => teamOf(sql, "part", id),
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
