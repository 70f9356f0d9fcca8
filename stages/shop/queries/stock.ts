import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Tx } from "@/platform/db/db";
import { newestBuilds } from "@/stages/builds/queries/builds";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { limitOf } from "@/stages/needs/view/requirements";
import type { KitLine } from "../view/kits";

/** Something in stock, with how much is there: the sum of what came and went. */
export interface StockItem extends row.StockItem {
  readonly there: string;
}

/** What is in stock, by name. */
export const stockOf = (projectId: string, sql: Tx = db()) => sql<StockItem[]>`
  SELECT i.*, coalesce((SELECT trim_scale(sum(m.amount)) FROM stock_move m WHERE m.item_id = i.id), 0)::text AS there
  FROM stock_item i
  WHERE i.project_id = ${projectId}
  ORDER BY lower(i.name)
`;

/** What came and went, the newest first. */
export const stockMoves = (projectId: string) => db()<
  (row.StockMove & { item: row.StockItem["name"]; team: row.Team["name"] | null })[]
>`
  SELECT m.*, i.name AS item, t.name AS team
  FROM stock_move m
  JOIN stock_item i ON i.id = m.item_id
  LEFT JOIN team t ON t.id = m.team_id
  WHERE m.project_id = ${projectId}
  ORDER BY m.made_at DESC, m.id DESC
  LIMIT 60
`;

/** A part that a team's newest build needs. */
export type NeededPart = Pick<
  row.PartLine,
  "id" | "name" | "count" | "mass" | "cost" | "source" | "supplier" | "stockItemId" | "gotOn" | "gotBy"
> & {
  readonly buildId: row.Build["id"];
  readonly number: row.Build["number"];
  readonly teamId: row.Team["id"];
  readonly team: row.Team["name"];
};

/** The parts lists of each team's newest build. */
export const partsNeeded = (projectId: string) => db()<NeededPart[]>`
  SELECT
    p.id, p.name, p.count, p.mass, p.cost, p.source, p.supplier, p.stock_item_id, p.got_on, p.got_by, b.id AS build_id,
    b.number, t.id AS team_id, t.name AS team
  FROM (${newestBuilds(db(), projectId)}) b
  JOIN part_line p ON p.build_id = b.id
  JOIN team t ON t.id = b.team_id AND t.retired_at IS NULL
  ORDER BY t.name, p.id
`;

/** A kit with what is in it. */
export type Kit = Omit<row.Kit, "contents"> & { contents: KitLine[] };

/** The kits of a project. */
export const kitsOf = (projectId: string, sql: Tx = db()): PromiseLike<Kit[]> =>
  sql<Kit[]>`
    SELECT * FROM kit WHERE project_id = ${projectId} ORDER BY lower(name)
  `;

/** A kit that was handed out. */
export type KitOut = Omit<row.KitOut, "contents"> & {
  contents: KitLine[];
  kit: row.Kit["name"];
  team: row.Team["name"];
};

/** What was handed out, what is still out first. */
export const kitsOut = (projectId: string): PromiseLike<KitOut[]> => db()<KitOut[]>`
  SELECT o.*, k.name AS kit, t.name AS team
  FROM kit_out o
  JOIN kit k ON k.id = o.kit_id
  JOIN team t ON t.id = o.team_id
  WHERE o.project_id = ${projectId}
  ORDER BY o.back_on IS NOT NULL, lower(k.name), t.name, o.out_on
`;

/** Lists of pieces to cut: the class's and the teams', those of a reader's own team for students. */
export const cutListsOf = (projectId: string, team: string | null = null) => {
  const sql = db();
  return sql<(row.CutList & { team: row.Team["name"] | null })[]>`
    SELECT c.*, t.name AS team
    FROM cut_list c
    LEFT JOIN team t ON t.id = c.team_id
    WHERE c.project_id = ${projectId} ${team === null ? sql`` : sql`AND (c.team_id IS NULL OR c.team_id = ${team})`}
    ORDER BY c.made_at DESC
  `;
};

/** What parts may cost at most by the requirements in force, SI; null where none limits it. */
export async function costLimit(projectId: string): Promise<string | null> {
  const limits = (await requirementsOf(projectId)).flatMap((r) => {
    const limit = r.measure === "cost" ? limitOf(r) : null;
    return limit?.target && limit.comparator === "≤" ? [limit.target] : [];
  });
  return limits.sort((a, b) => Number(a) - Number(b))[0] ?? null;
}

/** A cut list's project and team; a list of the class has none. */
export async function ofCutList(sql: Tx, id: string) {
  const [c] = await sql<{ projectId: row.CutList["projectId"]; teamId: row.CutList["teamId"] }[]>`
    SELECT project_id, team_id FROM cut_list WHERE id = ${id}
  `;
  return c ? { project: c.projectId, team: c.teamId } : null;
}
