import Decimal from "decimal.js";
import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { projectUnits } from "@/platform/project/settings";
import { stockActs } from "../acts";
import { stockOf } from "../queries/stock";
import * as s from "../schema-stock";
import { readSize } from "../view/stock";

const labels = {
  name: "Name",
  form: "Counted in",
  size: "Size of one",
  price: "Price of one",
  place: "Place",
  supplier: "Supplier",
  low: "Bought again below",
  donated: "Given",
};

const figure = (typed: string): string | null => (typed ? typed.replace(",", ".") : null);

interface Typed {
  readonly name: string;
  readonly form: row.StockItem["form"];
  readonly size: string;
  readonly price: string;
  readonly place: string;
  readonly supplier: string;
  readonly low: string;
  readonly donated: boolean;
}

/** What was typed, as it is stored. */
async function stored(sql: Tx, projectId: string, i: Typed) {
  const { side } = await projectUnits(projectId, sql);
  const size = readSize(i.size, i.form, side);
  if (!size.ok) refuse(size.message, "size");
  const { name, form, place, supplier, donated } = i;
  const { length, width } = size.ok ? size : { length: null, width: null };
  const row = { name, form, place, supplier, donated, length, width, sizeText: i.size };
  return { ...row, price: figure(i.price), low: figure(i.low) };
}

/** Adds something to what is in stock. */
export const addStockItem = command({
  name: "addStockItem",
  act: stockActs.keep,
  schema: s.stockItem,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const values = await stored(sql, input.projectId, input);
    await sql`
      INSERT INTO stock_item ${sql({ ...values, id: input.id, projectId: input.projectId })} ON CONFLICT (id) DO NOTHING
    `;
    audit({ type: "stock", id: input.id, label: input.name, after: values });
    return { id: input.id };
  },
});

/** Corrects what is said of something in stock. */
export const editStockItem = command({
  name: "editStockItem",
  act: stockActs.keep,
  schema: s.editStockItem,
  subject: (sql, i) => projectOf(sql, "stock_item", i.id),
  async run({ sql, audit }, input) {
    const [asked] = await sql<row.StockItem[]>`SELECT * FROM stock_item WHERE id = ${input.id} FOR UPDATE`;
    const old = found(asked, "This stock");
    checkVersion(old, input.version, labels, input, { ...old, size: old.sizeText });
    const values = await stored(sql, old.projectId, input);
    await sql`UPDATE stock_item SET ${sql(values)}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "stock", id: input.id, label: input.name, before: old, after: values });
  },
});

/** Writes down what came or went, or what a count found: what is there is the sum of all that was written. */
export const moveStock = command({
  name: "moveStock",
  act: stockActs.keep,
  schema: s.moveStock,
  subject: (sql, i) => projectOf(sql, "stock_item", i.itemId),
  async run({ sql, audit, by, today }, input): Promise<{ there: string }> {
    const { project } = (await projectOf(sql, "stock_item", input.itemId))!;
    const item = found(
      (await stockOf(project, sql)).find((x) => x.id === input.itemId),
      "This stock",
    );
    const [again] = await sql`SELECT FROM stock_move WHERE id = ${input.id}`;
    if (again) {
      audit({ type: "stock", id: item.id, label: `${item.name}: sent again` });
      return { there: item.there };
    }
    if (input.teamId) {
      const [t] = await sql`SELECT FROM team WHERE id = ${input.teamId} AND project_id = ${project}`;
      found(t, "This team");
    }
    if (input.kind === "taken" && !input.teamId) refuse("Say for which team it was taken.", "teamId");
    const typed = new Decimal(figure(input.amount)!);
    const there = new Decimal(item.there);
    const goes = input.kind === "taken" || input.kind === "scrapped";
    const amount = input.kind === "counted" ? typed.minus(there) : goes ? typed.negated() : typed;
    if (input.kind !== "counted" && typed.isZero()) refuse("Nothing came or went.", "amount");
    if (there.plus(amount).isNegative())
      refuse(
        `There are ${there} ${item.form} by the record. Count what is there, and write the count first.`,
        "amount",
      );
    await sql`
      INSERT INTO stock_move ${sql({
        id: input.id,
        projectId: project,
        itemId: item.id,
        kind: input.kind,
        amount: amount.toString(),
        teamId: input.teamId ?? null,
        note: input.note,
        madeBy: by,
        onDate: today,
      })}
    `;
    audit({ type: "stock", id: item.id, label: `${item.name}: ${input.kind}`, after: { amount: amount.toString() } });
    return { there: there.plus(amount).toString() };
  },
});

/** Says that parts of builds were bought, or takes that back. */
export const gotParts = command({
  name: "gotParts",
  act: stockActs.got,
  schema: s.gotParts,
  async subject(sql, i) {
    const of = await sql<{ projectId: row.Build["projectId"]; teamId: row.Build["teamId"] }[]>`
      SELECT DISTINCT b.project_id, b.team_id
      FROM part_line p
      JOIN build b ON b.id = p.build_id
      WHERE p.id IN ${sql(i.partIds)}
    `;
    const project = of[0]?.projectId;
    if (!project || of.some((x) => x.projectId !== project)) return null;
    // Parts of several teams are nobody's own.
    return { project, team: of.length === 1 ? of[0]!.teamId : null };
  },
  async run({ sql, audit, by, today }, input) {
    const parts = await sql<{ name: row.PartLine["name"] }[]>`
      UPDATE part_line
      SET got_on = ${input.got ? today : null}, got_by = ${input.got ? by : null}
      WHERE id IN ${sql(input.partIds)}
      RETURNING name
    `;
    const label = [...new Set(parts.map((p) => p.name))].join(", ");
    audit({ type: "part", id: input.partIds[0], label, after: { got: input.got } });
  },
});
