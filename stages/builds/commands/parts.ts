import "server-only";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { projectUnits } from "@/platform/project/settings";
import { entered, siOrNull } from "@/platform/schema/entered";
import { buildActs } from "../acts";
import { ofBuild, otherBuild } from "../queries/builds";
import { type PartRow, partsOf } from "../queries/parts";
import * as s from "../schema";

const labels = {
  name: "Part",
  count: "Count",
  mass: "Mass (kg)",
  cost: "Price",
  source: "From",
  supplier: "Supplier",
  stockItemId: "Of the stock",
};

/** A line of a build's parts list, new or corrected. */
export const savePartLine = command({
  name: "savePartLine",
  act: buildActs.edit,
  schema: s.partLine,
  subject: (sql, i) => ofBuild(sql, i.buildId),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const units = await projectUnits((await ofBuild(sql, input.buildId))!.project, sql);
    const row = {
      name: input.name,
      count: input.count,
      mass: siOrNull(input.mass, units.mass),
      cost: siOrNull(input.cost, "1"),
      source: input.source ?? "bought",
      supplier: input.supplier,
      stockItemId: input.stockItemId ?? null,
    };
    if (row.stockItemId) {
      const [item] = await sql`
        SELECT FROM stock_item i JOIN build b ON b.project_id = i.project_id
        WHERE i.id = ${row.stockItemId} AND b.id = ${input.buildId}
      `;
      found(item, "This stock");
    }
    for (const key of ["mass", "cost"] as const)
      if (row[key] !== null && Number(row[key]) < 0) refuse("This cannot be below zero.", key);
    const typed = sql.json(entered(input) as never);
    if (!input.id) {
      const id = newId();
      await sql`INSERT INTO part_line ${sql({ ...row, entered: typed, id, buildId: input.buildId })}`;
      audit({ type: "part", id, label: input.name, after: row });
      return { id };
    }
    const [asked] = await sql<PartRow[]>`
      SELECT * FROM part_line WHERE id = ${input.id} AND build_id = ${input.buildId} FOR UPDATE
    `;
    const old = found(asked, "This part");
    checkVersion(old, input.version, labels, row, old as unknown as Record<string, unknown>);
    await sql`UPDATE part_line SET ${sql({ ...row, entered: typed })}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "part", id: input.id, label: input.name, before: old, after: row });
    return { id: input.id };
  },
});

/** Takes over the parts of another build of the project; parts that this one lists already stay as they are. */
export const copyPartLines = command({
  name: "copyPartLines",
  act: buildActs.edit,
  schema: s.copyPartLines,
  subject: (sql, i) => ofBuild(sql, i.buildId),
  async run({ sql, audit }, input): Promise<{ copied: number }> {
    const { label } = found(await otherBuild(sql, input), "The other build");
    const here = new Set((await partsOf(input.buildId, sql)).map((p) => p.name.toLowerCase()));
    const lines = (await partsOf(input.fromId, sql)).filter((p) => !here.has(p.name.toLowerCase()));
    if (lines.length)
      await sql`
        INSERT INTO part_line ${sql(
          lines.map(({ name, count, mass, cost, source, supplier, stockItemId, entered: typed }) => ({
            id: newId(),
            buildId: input.buildId,
            name,
            count,
            mass,
            cost,
            source,
            supplier,
            stockItemId,
            entered: sql.json(typed as never),
          })),
        )}
      `;
    audit({ type: "part", id: input.buildId, label: `${lines.length} parts of ${label}` });
    return { copied: lines.length };
  },
});
