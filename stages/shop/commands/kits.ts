import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { stockActs } from "../acts";
import * as s from "../schema-stock";
import { type KitLine, missingOf, readContents } from "../view/kits";

/** A kit with what is in it, new or corrected; kits that are out keep what was handed out. */
export const saveKit = command({
  name: "saveKit",
  act: stockActs.keep,
  schema: s.kit,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const read = readContents(input.contents);
    const contents = sql.json((read.ok ? read.lines : []) as never);
    const [old] = await sql<row.Kit[]>`SELECT * FROM kit WHERE id = ${input.id} FOR UPDATE`;
    if (old && input.version > 0) {
      if (old.projectId !== input.projectId) found(null, "This kit");
      checkVersion(old, input.version, { name: "Kit", contents: "What is in it" }, input, { ...old });
      await sql`
        UPDATE kit SET name = ${input.name}, contents = ${contents}, version = version + 1 WHERE id = ${old.id}
      `;
    } else
      await sql`
        INSERT INTO kit ${sql({ id: input.id, projectId: input.projectId, name: input.name, contents })}
        ON CONFLICT (id) DO NOTHING
      `;
    audit({ type: "stock", id: input.id, label: input.name, before: old, after: { contents: input.contents } });
    return { id: input.id };
  },
});

/** Hands a kit out to a team, with what is in it today. */
export const handOutKit = command({
  name: "handOutKit",
  act: stockActs.keep,
  schema: s.handOutKit,
  subject: (sql, i) => projectOf(sql, "kit", i.kitId),
  async run({ sql, audit, by, today }, input): Promise<{ id: string }> {
    const [kit] = await sql<(Omit<row.Kit, "contents"> & { contents: KitLine[] })[]>`
      SELECT * FROM kit WHERE id = ${input.kitId}
    `;
    const [team] = await sql<{ name: row.Team["name"] }[]>`
      SELECT name FROM team WHERE id = ${input.teamId} AND project_id = ${kit!.projectId}
    `;
    found(team, "This team");
    const [again] = await sql`SELECT FROM kit_out WHERE id = ${input.id}`;
    if (!again)
      await sql`
        INSERT INTO kit_out ${sql({
          id: input.id,
          projectId: kit!.projectId,
          kitId: input.kitId,
          teamId: input.teamId,
          contents: sql.json(kit!.contents as never),
          outOn: today,
          outBy: by,
        })}
      `;
    audit({ type: "stock", id: input.kitId, label: `${kit!.name} to ${team!.name}` });
    return { id: input.id };
  },
});

/** Writes what of a kit was counted back; or corrects the count. */
export const countKit = command({
  name: "countKit",
  act: stockActs.keep,
  schema: s.countKit,
  subject: (sql, i) => projectOf(sql, "kit_out", i.id),
  async run({ sql, audit, by, today }, input): Promise<{ missing: string[] }> {
    const [asked] = await sql<(Omit<row.KitOut, "contents"> & { contents: KitLine[] })[]>`
      SELECT * FROM kit_out WHERE id = ${input.id} FOR UPDATE
    `;
    const old = found(asked, "This kit");
    checkVersion(old, input.version, { note: "Note" }, input, { ...old });
    if (input.counted.length !== old.contents.length) refuse("Count every line of the kit.", "counted");
    const over = old.contents.find((l, i) => input.counted[i]! > l.count);
    if (over) refuse(`Only ${over.count} × ${over.name} went out. Put the others back where they belong.`, "counted");
    await sql`
      UPDATE kit_out
      SET counted = ${[...input.counted]}, back_on = coalesce(back_on, ${today}), back_by = ${by}, note = ${input.note},
        version = version + 1
      WHERE id = ${input.id}
    `;
    const missing = missingOf(old.contents, input.counted);
    audit({ type: "stock", id: input.id, label: "kit counted", before: old.counted ? old : undefined, after: input });
    return { missing };
  },
});
