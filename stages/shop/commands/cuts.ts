import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { projectUnits } from "@/platform/project/settings";
import { cutActs } from "../acts";
import { ofCutList } from "../queries/stock";
import * as s from "../schema-stock";
import { readCuts, type TypedCuts } from "../view/cutting";

const labels = {
  title: "Title",
  kind: "What is cut",
  way: "How it is cut",
  kerf: "Width of a cut",
  border: "Border",
  blanks: "Cut from",
  pieces: "Pieces",
};

/** Refuses what cannot be read, at its field. */
function readable(typed: TypedCuts, unit: string): void {
  const read = readCuts(typed, unit);
  if (!read.ok) refuse(read.message, read.field);
}

/** Keeps a list of pieces to be cut, the class's or a team's. */
export const keepCutList = command({
  name: "keepCutList",
  act: cutActs.edit,
  schema: s.cutList,
  async subject(sql, i) {
    if (!i.teamId) return { project: i.projectId };
    const [t] = await sql`SELECT FROM team WHERE id = ${i.teamId} AND project_id = ${i.projectId}`;
    return t ? { project: i.projectId, team: i.teamId } : null;
  },
  async run({ sql, audit, by }, input): Promise<{ id: string }> {
    const { side: unit } = await projectUnits(input.projectId, sql);
    readable(input, unit);
    const { id, projectId, teamId = null, ...values } = input;
    await sql`
      INSERT INTO cut_list ${sql({ ...values, id, projectId, teamId, unit, madeBy: by })} ON CONFLICT (id) DO NOTHING
    `;
    audit({ type: "cut list", id, label: input.title, after: values });
    return { id };
  },
});

/** Corrects a list of pieces to be cut. */
export const editCutList = command({
  name: "editCutList",
  act: cutActs.edit,
  schema: s.editCutList,
  subject: (sql, i) => ofCutList(sql, i.id),
  async run({ sql, audit }, input) {
    const [asked] = await sql<row.CutList[]>`SELECT * FROM cut_list WHERE id = ${input.id} FOR UPDATE`;
    const old = found(asked, "This list");
    checkVersion(old, input.version, labels, input, { ...old });
    readable(input, old.unit);
    const { id, version: _, ...values } = input;
    await sql`UPDATE cut_list SET ${sql(values)}, version = version + 1 WHERE id = ${id}`;
    audit({ type: "cut list", id, label: input.title, before: old, after: values });
  },
});
