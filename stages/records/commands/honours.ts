import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { contestIn, freshenContest } from "@/stages/contest/queries/contest";
import { awardsOf } from "@/stages/contest/view/awards";
import { recordActs } from "../acts";
import { unconfirmedEvents } from "../queries/honours";
import * as s from "../schema-kept";
import { engraving, toGive } from "../view/honours";

/** Writes down the awards that the contest's record gives, those that were not given yet; in a finished project too. */
export const giveHonours = command({
  name: "giveHonours",
  afterFinish: true,
  act: recordActs.honour,
  schema: s.giveHonours,
  subject: (_, i) => ({ project: i.projectId }),
  prepare: ({ projectId }) => freshenContest(projectId, true),
  async run({ sql, audit, by, today }, { projectId }): Promise<{ given: number }> {
    await sql`SELECT FROM project WHERE id = ${projectId} FOR UPDATE`;
    const open = await unconfirmedEvents(projectId, sql);
    if (open.length) refuse(`Confirm first: ${open.join(", ")}. Until then the places may change.`);
    const teams = await sql<{ id: row.Team["id"]; name: row.Team["name"] }[]>`
      SELECT id, name FROM team WHERE project_id = ${projectId}
    `;
    const given = await sql<{ title: string; team: string }[]>`
      SELECT h.title, t.name AS team FROM honour h JOIN team t ON t.id = h.team_id WHERE h.project_id = ${projectId}
    `;
    const [p] = await sql<{ year: string }[]>`
      SELECT left(coalesce(event_on, ends_on)::text, 4) AS year FROM project WHERE id = ${projectId}
    `;
    const awards = toGive(awardsOf(await contestIn(projectId, sql)), given);
    if (awards.length === 0) refuse("Every award that the contest gives is given.");
    for (const a of awards) {
      const team = found(
        teams.find((t) => t.name === a.team),
        `Team ${a.team}`,
      );
      await sql`
        INSERT INTO honour ${sql({
          id: newId(),
          projectId,
          teamId: team.id,
          kind: a.kind,
          title: a.title,
          says: a.says,
          engraved: engraving(p!.year, a.title, a.team, a.says),
          givenOn: today,
          givenBy: by,
        })}
      `;
    }
    audit({ type: "award", label: "awards given", after: awards });
    return { given: awards.length };
  },
});

/** An award of the class's own, or one corrected; in a finished project too. */
export const saveHonour = command({
  name: "saveHonour",
  afterFinish: true,
  act: recordActs.honour,
  schema: s.honour,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<{ id: string }> {
    const { id, projectId, teamId, title, says, engraved, givenOn } = input;
    if (!(await sql`SELECT FROM team WHERE id = ${teamId} AND project_id = ${projectId}`).length)
      refuse("This team is not of the project.", "teamId");
    const [old] = await sql<row.Honour[]>`SELECT * FROM honour WHERE id = ${id} FOR UPDATE`;
    if (old && input.version > 0) {
      if (old.projectId !== projectId) found(null, "This award");
      const fields = { title: "Award", says: "By what", engraved: "Engraved", givenOn: "Given on" };
      checkVersion(old, input.version, fields, input, { ...old });
      await sql`
        UPDATE honour
        SET team_id = ${teamId}, title = ${title}, says = ${says}, engraved = ${engraved}, given_on = ${givenOn},
          version = version + 1
        WHERE id = ${id}
      `;
    } else
      await sql`
        INSERT INTO honour ${sql({ id, projectId, teamId, title, says, engraved, givenOn, givenBy: by })}
        ON CONFLICT (id) DO NOTHING
      `;
    audit({ type: "award", id, label: title, before: old, after: { says, engraved, givenOn } });
    return { id };
  },
});
