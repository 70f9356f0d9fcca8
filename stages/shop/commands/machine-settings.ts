import "server-only";
import { checkVersion, command, found, projectOf } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import type * as row from "@/platform/db/rows";
import { projectUnits } from "@/platform/project/settings";
import { siOrNull } from "@/platform/schema/entered";
import { toolActs } from "../acts";
import * as s from "../schema";

interface Typed {
  readonly machine: string;
  readonly material: string;
  readonly thickness: string;
  readonly settings: string;
  readonly outcome: row.MachineSetting["outcome"];
  readonly seen: string;
}

/** What was typed, as it is stored; the thickness in the project's unit of sides. */
async function stored(sql: Tx, projectId: string, { thickness, machine, material, settings, outcome, seen }: Typed) {
  const { side } = await projectUnits(projectId, sql);
  return { machine, material, settings, outcome, seen, thicknessText: thickness, thickness: siOrNull(thickness, side) };
}

const labels = {
  machine: "Machine",
  material: "Material",
  thickness: "Thickness",
  settings: "Settings",
  outcome: "What came of it",
  seen: "What was seen",
};

/** Records what was tried at a machine and what came of it. */
export const recordSetting = command({
  name: "recordSetting",
  together: true,
  act: toolActs.record,
  schema: s.machineSetting,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by, today }, input): Promise<{ id: string }> {
    const values = await stored(sql, input.projectId, input);
    await sql`
      INSERT INTO machine_setting
      ${sql({ ...values, id: input.id, projectId: input.projectId, triedBy: by, triedOn: today })}
      ON CONFLICT (id) DO NOTHING
    `;
    audit({ type: "tool", id: input.id, label: `${input.machine}, ${input.material}`, after: values });
    return { id: input.id };
  },
});

/** Corrects a record of a setting. */
export const editSetting = command({
  name: "editSetting",
  act: toolActs.sign,
  schema: s.editSetting,
  subject: (sql, i) => projectOf(sql, "machine_setting", i.id),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const [asked] = await sql<row.MachineSetting[]>`SELECT * FROM machine_setting WHERE id = ${input.id} FOR UPDATE`;
    const old = found(asked, "This setting");
    checkVersion(old, input.version, labels, input, { ...old, thickness: old.thicknessText });
    const values = await stored(sql, old.projectId, input);
    await sql`UPDATE machine_setting SET ${sql(values)}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "tool", id: input.id, label: `${input.machine}, ${input.material}`, before: old, after: values });
    return { id: input.id };
  },
});
