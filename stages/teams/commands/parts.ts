import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, refuse, teamOf } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { partActs } from "../acts";
import * as s from "../schema";

const ofPart = (sql: Tx, id: string) => teamOf(sql, "part", id);

export const savePart = command({
  name: "savePart",
  act: partActs.edit,
  schema: s.part,
  async subject(sql, i) {
    const [t] = await sql<{ projectId: row.Team["projectId"] }[]>`SELECT project_id FROM team WHERE id = ${i.teamId}`;
    if (i.id && (await ofPart(sql, i.id))?.team !== i.teamId) return null;
    return t ? { project: t.projectId, team: i.teamId } : null;
  },
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const [t] = await sql<
      { projectId: row.Team["projectId"] }[]
    >`SELECT project_id FROM team WHERE id = ${input.teamId}`;
    const members = new Set(
      (
        await sql<
          { personId: row.Membership["personId"] }[]
        >`SELECT person_id FROM membership WHERE team_id = ${input.teamId} AND to_on IS NULL`
      ).map((m) => m.personId),
    );
    if (input.owners.some((o) => !members.has(o))) refuse("A part's owners are members of the team.", "owners");
    const id = input.id ?? newId();
    if (input.id) {
      const [old] = await sql<
        { version: number; name: string; role: string }[]
      >`SELECT version, name, role FROM part WHERE id = ${id} FOR UPDATE`;
      checkVersion(found(old, "This part"), input.version, { name: "Part", role: "Role" }, input, old!);
      await sql`UPDATE part SET name = ${input.name}, role = ${input.role}, version = version + 1 WHERE id = ${id}`;
      await sql`DELETE FROM part_owner WHERE part_id = ${id}`;
    } else
      await sql`
        INSERT INTO part ${sql({
          id,
          projectId: t!.projectId,
          teamId: input.teamId,
          name: input.name,
          role: input.role,
        })}
      `;
    if (input.owners.length)
      await sql`INSERT INTO part_owner ${sql(input.owners.map((personId) => ({ partId: id, personId })))}`;
    audit({ type: "part", id, label: input.name, after: { owners: input.owners.length } });
    return { id };
  },
});
