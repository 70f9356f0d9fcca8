import type * as row from "@/platform/db/rows";
import "server-only";
import { command, found, projectOf, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { gateActs, planActs } from "../acts";
import { type Gate, gatesOf } from "../queries/gates";
import * as s from "../schema";

const ofMilestone = (sql: Tx, id: string) => projectOf(sql, "milestone", id);

/** Makes a milestone a gate before builds of a stage, or a plain milestone again. */
export const setGate = command({
  name: "setGate",
  act: planActs.edit,
  schema: s.gate,
  subject: (sql, i) => ofMilestone(sql, i.milestoneId),
  async run({ sql, audit }, input) {
    const [m] = await sql<
      { title: row.Milestone["title"]; scope: row.Milestone["scope"] }[]
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
  act: planActs.edit,
  schema: s.gateItem,
  subject: (sql, i) => ofMilestone(sql, i.milestoneId),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const [m] = await sql<
      { projectId: row.Milestone["projectId"]; stage: row.Milestone["gateStage"] }[]
    >`SELECT project_id, gate_stage AS stage FROM milestone WHERE id = ${input.milestoneId}`;
    if (!m!.stage) refuse("Make the milestone a gate first.");
    const [tool] =
      input.kind === "tool"
        ? await sql<
            { name: row.Tool["name"] }[]
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
    { projectId: row.GateItem["projectId"]; label: row.GateItem["label"]; kind: row.GateItem["kind"] }[]
  >`SELECT project_id, label, kind FROM gate_item WHERE id = ${id}`;
  return i ?? null;
};

/**
 * Says that a member has handed something in (the student too, for the own one) or that the team has it (instructors);
 * or takes it back.
 */
export const tickGate = command({
  name: "tickGate",
  act: gateActs.handIn,
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
      ? await sql<{ name: row.Person["name"] }[]>`
          SELECT p.name
          FROM person p
          JOIN membership m ON m.person_id = p.id AND m.to_on IS NULL
          WHERE p.id = ${input.personId} AND m.project_id = ${x.projectId}
        `
      : await sql<
          { name: row.Team["name"] }[]
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

/** Signs a gate for one team, or takes the signature back; says what was missing all the same. */
async function sign(sql: Tx, gate: Gate, project: string, teamId: string, on: boolean, by: string, today: string) {
  const team = found(
    gate.teams.find((t) => t.id === teamId),
    "This team",
  );
  const missing = team.states
    .filter((x) => !x.met)
    .map((x) => `${x.item.label}: ${x.note}`)
    .join("; ");
  await sql`DELETE FROM gate_sign_off WHERE milestone_id = ${gate.id} AND team_id = ${teamId}`;
  await sql`DELETE FROM milestone_check WHERE milestone_id = ${gate.id} AND team_id = ${teamId}`;
  if (on) {
    await sql`
      INSERT INTO gate_sign_off ${sql({ milestoneId: gate.id, teamId, projectId: project, signedBy: by, missing })}
    `;
    await sql`
      INSERT INTO milestone_check (id, project_id, milestone_id, team_id, done_on, checked_by)
      VALUES (${newId()}, ${project}, ${gate.id}, ${teamId}, ${today}, ${by})
    `;
  }
  return { team: team.name, missing };
}

const gateOf = async (sql: Tx, milestoneId: string) => {
  const { project } = (await ofMilestone(sql, milestoneId))!;
  const gate = found(
    (await gatesOf(project, sql)).find((g) => g.id === milestoneId),
    "This gate",
  );
  return { project, gate };
};

/**
 * The instructor signs a gate for a team; what was missing all the same stays written beside the signature. The
 * milestone counts as passed.
 */
export const signGate = command({
  name: "signGate",
  act: gateActs.sign,
  schema: s.gateSign,
  subject: (sql, i) => ofMilestone(sql, i.milestoneId),
  async run({ sql, by, today, audit }, input) {
    const { project, gate } = await gateOf(sql, input.milestoneId);
    const { team, missing } = await sign(sql, gate, project, input.teamId, input.on, by, today);
    audit({ type: "gate", id: gate.id, label: `${gate.title}: ${team}`, after: { signed: input.on, missing } });
  },
});

/** The same for several teams at once; those that are signed already keep their signature. */
export const signGates = command({
  name: "signGates",
  act: gateActs.sign,
  schema: s.gatesSign,
  subject: (sql, i) => ofMilestone(sql, i.milestoneId),
  async run({ sql, by, today, audit }, input): Promise<{ signed: number }> {
    const { project, gate } = await gateOf(sql, input.milestoneId);
    const open = [...new Set(input.teamIds)].filter((id) => !gate.teams.find((t) => t.id === id)?.signed);
    for (const teamId of open) {
      const { team, missing } = await sign(sql, gate, project, teamId, true, by, today);
      audit({ type: "gate", id: gate.id, label: `${gate.title}: ${team}`, after: { signed: true, missing } });
    }
    if (!open.length) refuse("All of these teams are signed already.");
    return { signed: open.length };
  },
});
