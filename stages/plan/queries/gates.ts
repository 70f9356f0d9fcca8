import { type BuildStage, buildStage } from "@/core/vocabulary/builds";
import type * as row from "@/platform/db/rows";
import "server-only";
import { cache } from "react";
import { gateStates, type ItemState, mayBuild } from "@/core/gates/gate";
import { trained, trainingState } from "@/core/shop/training";
import { today } from "@/platform/command/command";
import { db, type Tx } from "@/platform/db/db";
import { settingsOf } from "@/platform/project/settings";
import { everyConcept } from "@/stages/concepts/queries/concepts";
import { mustsOf, screen } from "@/stages/concepts/view/concepts";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { toolsOf } from "@/stages/shop/queries/tools";

interface Item {
  id: row.GateItem["id"];
  milestoneId: row.GateItem["milestoneId"];
  kind: row.GateItem["kind"];
  label: row.GateItem["label"];
  needs: row.GateItem["needs"];
  toolId: row.GateItem["toolId"];
}

export interface GateTeam {
  id: string;
  name: string;
  states: ItemState[];
  signed: { by: string; at: string; missing: string } | null;
}

export interface Gate {
  id: string;
  title: string;
  dueOn: string;
  stage: BuildStage;
  items: Item[];
  teams: GateTeam[];
}

const ticksOf = cache(
  (projectId: string, sql: Tx) =>
    sql<
      { itemId: row.GateTick["itemId"]; teamId: row.GateTick["teamId"]; personId: row.GateTick["personId"] }[]
    >`SELECT item_id, team_id, person_id FROM gate_tick WHERE project_id = ${projectId}`,
);

/** What has been ticked by hand, by item and team or person; asked once a page. */
export const gateTicks = (projectId: string, sql: Tx = db()) => ticksOf(projectId, sql);

/** Whether a training is not over today. */
const holds = (x: { readonly expiresOn: string | null }) => trained(trainingState(x, today()));

/** Every gate of a project with its checklist as it stands for each team. */
export async function gatesOf(projectId: string, sql: Tx = db()): Promise<Gate[]> {
  const gates = await sql<
    {
      id: row.Milestone["id"];
      title: row.Milestone["title"];
      dueOn: row.Milestone["dueOn"];
      stage: NonNullable<row.Milestone["gateStage"]>;
    }[]
  >`
    SELECT id, title, due_on, gate_stage AS stage
    FROM milestone
    WHERE project_id = ${projectId} AND gate_stage IS NOT NULL
    ORDER BY due_on, title
  `;
  if (!gates.length) return [];
  const [items, ticks, signs, teams, tools, requirements, concepts] = await Promise.all([
    sql<
      Item[]
    >`SELECT id, milestone_id, kind, label, needs, tool_id FROM gate_item WHERE project_id = ${projectId} ORDER BY id`,
    gateTicks(projectId, sql),
    sql<
      {
        milestoneId: row.GateSignOff["milestoneId"];
        teamId: row.GateSignOff["teamId"];
        signedBy: row.GateSignOff["signedBy"];
        signedAt: row.GateSignOff["signedAt"];
        missing: row.GateSignOff["missing"];
      }[]
    >`SELECT milestone_id, team_id, signed_by, signed_at, missing FROM gate_sign_off WHERE project_id = ${projectId}`,
    sql<
      {
        id: row.Team["id"];
        name: row.Team["name"];
        conceptId: string | null;
        members: { id: string; name: string }[];
      }[]
    >`
      SELECT
        t.id, t.name,
        coalesce(
          t.concept_id, (SELECT k.id FROM concept k WHERE k.team_id = t.id AND k.fate = 'goes on' LIMIT 1)
        ) AS concept_id,
        (
          SELECT coalesce(json_agg(json_build_object('id', p.id, 'name', p.name) ORDER BY p.name), '[]')
          FROM membership m
          JOIN person p ON p.id = m.person_id
          WHERE m.team_id = t.id AND m.to_on IS NULL
        ) AS members
      FROM team t
      WHERE t.project_id = ${projectId} AND t.retired_at IS NULL
      ORDER BY t.name
    `,
    toolsOf(projectId, sql),
    requirementsOf(projectId, sql),
    everyConcept(projectId, sql),
  ]);
  const musts = mustsOf(requirements);
  return gates.map((g) => {
    const mine = items.filter((i) => i.milestoneId === g.id);
    return {
      ...g,
      items: mine,
      teams: teams.map((t) => {
        const concept = concepts.find((k) => k.id === t.conceptId);
        const states = gateStates(mine, {
          members: t.members,
          musts: musts.length,
          answered: concept ? screen(musts, concept).filter((x) => x.status.value === "met").length : null,
          have: Object.fromEntries(
            mine.map((i) => [
              i.id,
              i.kind === "tool"
                ? (tools
                    .find((x) => x.id === i.toolId)
                    ?.signed.filter(holds)
                    .map((x) => x.personId) ?? [])
                : ticks.flatMap((k) => (k.itemId === i.id && k.personId ? [k.personId] : [])),
            ]),
          ),
          ticked: Object.fromEntries(
            mine.map((i) => [i.id, ticks.some((k) => k.itemId === i.id && k.teamId === t.id)]),
          ),
        });
        const sign = signs.find((x) => x.milestoneId === g.id && x.teamId === t.id);
        return {
          id: t.id,
          name: t.name,
          states,
          signed: sign ? { by: sign.signedBy, at: sign.signedAt, missing: sign.missing } : null,
        };
      }),
    };
  });
}

/**
 * Whether a team may record a build of a stage, by the gates that stand before it and the project's strictness; what it
 * says is shown where the build is made.
 */
export async function gateBefore(
  projectId: string,
  teamId: string,
  stage: BuildStage,
  sql: Tx = db(),
): Promise<{ allowed: boolean; says: string[] }> {
  const [set, gates] = await Promise.all([settingsOf(projectId, sql), gatesOf(projectId, sql)]);
  const answers = gates
    .filter((g) => buildStage.values.indexOf(g.stage) <= buildStage.values.indexOf(stage))
    .flatMap((g) => {
      const t = g.teams.find((x) => x.id === teamId);
      if (!t) return [];
      const may = mayBuild(set.gateStrictness, !!t.signed, t.states);
      return [{ allowed: may.allowed, says: may.says ? `Gate “${g.title}”: ${may.says}` : null }];
    });
  return { allowed: answers.every((a) => a.allowed), says: answers.flatMap((a) => a.says ?? []) };
}
