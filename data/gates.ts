import "server-only";
import { gateStates, type ItemState, mayBuild } from "@/core/gates/gate";
import { command, found, projectOf, refuse } from "./command";
import { everyConcept, mustsOf, screen } from "./concepts";
import { db, newId, type Tx } from "./db";
import { requirementsOf } from "./needs";
import * as s from "./schemas/front";
import { settingsOf } from "./settings";

const stages = ["mock-up", "proof of concept", "prototype", "final"] as const;
export type BuildStage = (typeof stages)[number];
interface Item {
  id: string;
  milestoneId: string;
  kind: "each" | "team" | "tool" | "coverage";
  label: string;
  needs: number;
  toolId: string | null;
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
export interface Tool {
  id: string;
  name: string;
  caution: string;
  signed: { personId: string; on: string; by: string }[];
}

export const toolsOf = (projectId: string, sql: Tx = db()) => sql<Tool[]>`
  SELECT
    t.id, t.name, t.caution,
    (
      SELECT coalesce(json_agg(json_build_object('personId', x.person_id, 'on', x.signed_on, 'by', x.signed_by)), '[]')
      FROM tool_sign_off x
      WHERE x.tool_id = t.id
    ) AS signed
  FROM tool t
  WHERE t.project_id = ${projectId}
  ORDER BY t.name
`;

/** What has been ticked by hand, by item and team or person. */
export const gateTicks = (projectId: string, sql: Tx = db()) =>
  sql<
    { itemId: string; teamId: string | null; personId: string | null }[]
  >`SELECT item_id, team_id, person_id FROM gate_tick WHERE project_id = ${projectId}`;

/** Every gate of a project with its checklist as it stands for each team. */
export async function gatesOf(projectId: string, sql: Tx = db()): Promise<Gate[]> {
  const gates = await sql<{ id: string; title: string; dueOn: string; stage: BuildStage }[]>`
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
      { milestoneId: string; teamId: string; signedBy: string; signedAt: string; missing: string }[]
    >`SELECT milestone_id, team_id, signed_by, signed_at, missing FROM gate_sign_off WHERE project_id = ${projectId}`,
    sql<{ id: string; name: string; conceptId: string | null; members: { id: string; name: string }[] }[]>`
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
          answered: concept ? screen(musts, concept).filter((x) => x.status.value === "met").length : 0,
          have: Object.fromEntries(
            mine.map((i) => [
              i.id,
              i.kind === "tool"
                ? (tools.find((x) => x.id === i.toolId)?.signed.map((x) => x.personId) ?? [])
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
    .filter((g) => stages.indexOf(g.stage) <= stages.indexOf(stage))
    .flatMap((g) => {
      const t = g.teams.find((x) => x.id === teamId);
      if (!t) return [];
      const may = mayBuild(set.gateStrictness, !!t.signed, t.states);
      return [{ allowed: may.allowed, says: may.says ? `Gate “${g.title}”: ${may.says}` : null }];
    });
  return { allowed: answers.every((a) => a.allowed), says: answers.flatMap((a) => a.says ?? []) };
}

const ofMilestone = (sql: Tx, id: string) => projectOf(sql, "milestone", id);

/** Makes a milestone a gate before builds of a stage, or a plain milestone again. */
export const setGate = command({
  name: "setGate",
  act: "plan.edit",
  schema: s.gate,
  subject: (sql, i) => ofMilestone(sql, i.milestoneId),
  async run({ sql, audit }, input) {
    const [m] = await sql<
      { title: string; scope: string }[]
    >`SELECT title, scope FROM milestone WHERE id = ${input.milestoneId} FOR UPDATE`;
    if (input.stage && m!.scope !== "team")
      refuse("A gate is passed by teams; this milestone is passed by each student.");
    await sql`
      UPDATE milestone SET gate_stage = ${input.stage || null}, version = version + 1 WHERE id = ${input.milestoneId}
    `;
    audit({ type: "gate", id: input.milestoneId, label: m!.title, after: { stage: input.stage || null } });
  },
});

export const addGateItem = command({
  name: "addGateItem",
  act: "plan.edit",
  schema: s.gateItem,
  subject: (sql, i) => ofMilestone(sql, i.milestoneId),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const [m] = await sql<
      { projectId: string; stage: string | null }[]
    >`SELECT project_id, gate_stage AS stage FROM milestone WHERE id = ${input.milestoneId}`;
    if (!m!.stage) refuse("Make the milestone a gate first.");
    const [tool] =
      input.kind === "tool"
        ? await sql<
            { name: string }[]
          >`SELECT name FROM tool WHERE id = ${input.toolId ?? null} AND project_id = ${m!.projectId}`
        : [undefined];
    if (input.kind === "tool") found(tool, "This tool");
    const id = newId();
    const label =
      input.label || (input.kind === "tool" ? `Signed for the ${tool!.name.toLowerCase()}` : "Musts answered");
    await sql`
      INSERT INTO gate_item ${sql({
        id,
        projectId: m!.projectId,
        milestoneId: input.milestoneId,
        kind: input.kind,
        label,
        needs: input.kind === "coverage" ? input.needs || 100 : input.needs,
        toolId: input.kind === "tool" ? input.toolId! : null,
      })}
    `;
    audit({ type: "gate", id: input.milestoneId, label, after: input });
    return { id };
  },
});

const ofItem = async (sql: Tx, id: string) => {
  const [i] = await sql<
    { projectId: string; label: string; kind: string }[]
  >`SELECT project_id, label, kind FROM gate_item WHERE id = ${id}`;
  return i ?? null;
};

export const removeGateItem = command({
  name: "removeGateItem",
  act: "plan.edit",
  schema: s.byId,
  async subject(sql, i) {
    const x = await ofItem(sql, i.id);
    return x && { project: x.projectId };
  },
  async run({ sql, audit }, input) {
    const [i] = await sql`DELETE FROM gate_item WHERE id = ${input.id} RETURNING label, kind`;
    audit({ type: "gate", id: input.id, label: String(i?.label), before: i });
  },
});

/**
 * Says that a member has handed something in (the student too, for the own one) or that the team has it (instructors);
 * or takes it back.
 */
export const tickGate = command({
  name: "tickGate",
  act: "gate.handIn",
  schema: s.gateTick,
  async subject(sql, i, actor) {
    const x = await ofItem(sql, i.itemId);
    if (!x || !!i.teamId === !!i.personId) return null;
    return i.personId
      ? { project: x.projectId, person: i.personId }
      : {
          project: x.projectId,
          person: actor.kind === "person" && actor.projects[x.projectId]?.role !== "student" ? actor.id : "",
        };
  },
  async run({ sql, by, audit }, input) {
    const x = (await ofItem(sql, input.itemId))!;
    if (x.kind !== (input.personId ? "each" : "team")) refuse("This line of the checklist is not ticked by hand.");
    const [who] = input.personId
      ? await sql<{ name: string }[]>`
          SELECT p.name
          FROM person p
          JOIN membership m ON m.person_id = p.id AND m.to_on IS NULL
          WHERE p.id = ${input.personId} AND m.project_id = ${x.projectId}
        `
      : await sql<
          { name: string }[]
        >`SELECT name FROM team WHERE id = ${input.teamId!} AND project_id = ${x.projectId}`;
    found(who, input.personId ? "This member" : "This team");
    await sql`
      DELETE
      FROM gate_tick
      WHERE item_id = ${input.itemId}
        AND team_id IS NOT DISTINCT FROM ${input.teamId ?? null}
        AND person_id IS NOT DISTINCT FROM ${input.personId ?? null}
    `;
    if (input.on)
      await sql`
        INSERT INTO gate_tick ${sql({
          id: newId(),
          projectId: x.projectId,
          itemId: input.itemId,
          teamId: input.teamId ?? null,
          personId: input.personId ?? null,
          tickedBy: by,
        })}
      `;
    audit({ type: "gate", id: input.itemId, label: `${x.label}: ${who!.name}`, after: { there: input.on } });
  },
});

/**
 * The instructor signs a gate for a team; what was missing all the same stays written beside the signature. The
 * milestone counts as passed.
 */
export const signGate = command({
  name: "signGate",
  act: "gate.sign",
  schema: s.gateSign,
  subject: (sql, i) => ofMilestone(sql, i.milestoneId),
  async run({ sql, by, today, audit }, input) {
    const { project } = (await ofMilestone(sql, input.milestoneId))!;
    const gate = found(
      (await gatesOf(project, sql)).find((g) => g.id === input.milestoneId),
      "This gate",
    );
    const team = found(
      gate.teams.find((t) => t.id === input.teamId),
      "This team",
    );
    const missing = team.states
      .filter((x) => !x.met)
      .map((x) => `${x.item.label}: ${x.note}`)
      .join("; ");
    await sql`DELETE FROM gate_sign_off WHERE milestone_id = ${input.milestoneId} AND team_id = ${input.teamId}`;
    await sql`DELETE FROM milestone_check WHERE milestone_id = ${input.milestoneId} AND team_id = ${input.teamId}`;
    if (input.on) {
      await sql`
        INSERT INTO gate_sign_off ${sql({
          milestoneId: input.milestoneId,
          teamId: input.teamId,
          projectId: project,
          signedBy: by,
          missing,
        })}
      `;
      await sql`
        INSERT INTO milestone_check (id, project_id, milestone_id, team_id, done_on, checked_by)
        VALUES (${newId()}, ${project}, ${input.milestoneId}, ${input.teamId}, ${today}, ${by})
      `;
    }
    audit({
      type: "gate",
      id: input.milestoneId,
      label: `${gate.title}: ${team.name}`,
      after: { signed: input.on, missing },
    });
  },
});

export const saveTool = command({
  name: "saveTool",
  act: "plan.edit",
  schema: s.tool,
  twice: "There is a tool of this name.",
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const id = newId();
    await sql`INSERT INTO tool ${sql({ id, ...input })}`;
    audit({ type: "tool", id, label: input.name });
    return { id };
  },
});

/** Signs a student for a tool after training, by the school's own rules; or takes the signature back. */
export const signTool = command({
  name: "signTool",
  act: "tool.sign",
  schema: s.toolSign,
  subject: (sql, i) => projectOf(sql, "tool", i.toolId),
  async run({ sql, by, today, audit }, input) {
    const [t] = await sql<
      { projectId: string; name: string }[]
    >`SELECT project_id, name FROM tool WHERE id = ${input.toolId}`;
    const [p] = await sql<{ name: string }[]>`
      SELECT p.name
      FROM person p
      JOIN enrolment e ON e.person_id = p.id AND e.to_on IS NULL
      JOIN project_section ps USING (section_id)
      WHERE ps.project_id = ${t!.projectId} AND p.id = ${input.personId}
    `;
    found(p, "This student");
    await sql`DELETE FROM tool_sign_off WHERE tool_id = ${input.toolId} AND person_id = ${input.personId}`;
    if (input.on)
      await sql`
        INSERT INTO tool_sign_off ${sql({
          toolId: input.toolId,
          personId: input.personId,
          projectId: t!.projectId,
          signedOn: today,
          signedBy: by,
        })}
      `;
    audit({ type: "tool", id: input.toolId, label: `${t!.name}: ${p!.name}`, after: { signed: input.on } });
  },
});
