import "server-only";
import { type Reference, referencesOf } from "@/platform/bundle/catalog";
import { refuse } from "@/platform/command/failure";
import type { Tx } from "@/platform/db/db";

/** Tables of computed values: they go and come back with the facts that they are computed from. */
const computed = new Set(["kept_build", "kept_event", "run_value", "build_summary", "verdict"]);

/** What goes with a row that is taken out, and what lets go of it. */
export interface Belongings {
  readonly table: string;
  /** Tables that hold on to it, and go along. */
  readonly takes?: readonly string[];
  /** References that hold on to it (“review.build_id”), and are let go until it is back. */
  readonly loosens?: readonly string[];
  /** Lists of ids (“task.after”) that name it: it is taken off, and put on again. */
  readonly lists?: readonly string[];
  /** What is said where a row of another table holds on to it, by that table. */
  readonly held?: Readonly<Record<string, string>>;
}

/** A reference that was let go: which row's, and what stood there. */
export interface LetGo {
  readonly table: string;
  readonly column: string;
  readonly id: string;
  readonly value: string;
  /** In a list: where it stood, from 1. */
  readonly place?: number;
}

/**
 * Copies a row and all that goes with it under `withdrawn_row`, then deletes it. Gives how many rows of which table
 * went, and writes down which references were let go. Refuses where something holds on to it that neither goes along
 * nor lets go.
 */
export async function takeOut(
  sql: Tx,
  record: string,
  what: Belongings,
  id: string,
): Promise<Readonly<Record<string, number>>> {
  const references = (await referencesOf(sql)).filter((r) => !computed.has(r.from));
  const went = new Map<string, number>();
  const letGo: LetGo[] = [];
  // Several rows may be taken out under one record.
  const [kept] = await sql<
    { place: number }[]
  >`SELECT coalesce(max(place), 0)::int AS place FROM withdrawn_row WHERE withdrawn_id = ${record}`;
  let place = kept!.place;
  /** Keeps the rows of a table that are not kept yet; gives their contents. */
  const keep = async (table: string, column: string, keys: readonly string[]) => {
    const rows = await sql.unsafe<{ content: Record<string, unknown> }[]>(
      `INSERT INTO withdrawn_row (withdrawn_id, place, table_name, content)
       SELECT $1, $2 + row_number() OVER (), '${table}', to_jsonb(x)
       FROM ${table} x
       WHERE x.${column}::text = ANY($3) AND NOT EXISTS (
         SELECT FROM withdrawn_row w
         WHERE w.withdrawn_id = $1 AND w.table_name = '${table}' AND w.content = to_jsonb(x)
       )
       RETURNING content`,
      [record, place, keys as string[]],
    );
    place += rows.length;
    if (rows.length) went.set(table, (went.get(table) ?? 0) + rows.length);
    return rows.map((r) => r.content);
  };
  const comesAlong = (r: Reference) => r.whenGone === "goes too" || what.takes?.includes(r.from);
  const lets = (r: Reference) => r.whenGone === "let go" || what.loosens?.includes(`${r.from}.${r.column}`);
  const follow = async (table: string, rows: readonly Record<string, unknown>[]): Promise<void> => {
    if (!rows.length) return;
    for (const r of references.filter((x) => x.to === table)) {
      const keys = rows.map((row) => String(row[r.key]));
      if (comesAlong(r)) await follow(r.from, await keep(r.from, r.column, keys));
      else if (lets(r)) {
        const loose = await sql.unsafe<{ id: string; value: string }[]>(
          `UPDATE ${r.from} SET ${r.column} = NULL FROM ${r.from} before
           WHERE before.id = ${r.from}.id AND before.${r.column}::text = ANY($1)
           RETURNING before.id, before.${r.column} AS value`,
          [keys],
        );
        letGo.push(...loose.map((l) => ({ table: r.from, column: r.column, id: l.id, value: l.value })));
      } else if ((await sql.unsafe(`SELECT FROM ${r.from} WHERE ${r.column}::text = ANY($1) LIMIT 1`, [keys])).length)
        refuse(what.held?.[r.from] ?? `A ${r.from.replaceAll("_", " ")} leans on it, so it stays.`);
    }
  };
  await follow(what.table, await keep(what.table, "id", [id]));
  for (const list of what.lists ?? []) {
    const [table, column] = list.split(".") as [string, string];
    const off = await sql.unsafe<{ id: string; place: number }[]>(
      `UPDATE ${table} SET ${column} = array_remove(${table}.${column}, $1::uuid) FROM ${table} before
       WHERE before.id = ${table}.id AND $1::uuid = ANY(before.${column})
       RETURNING before.id, array_position(before.${column}, $1::uuid) AS place`,
      [id],
    );
    letGo.push(...off.map((l) => ({ table, column, id: l.id, value: id, place: l.place })));
  }
  for (const table of what.takes ?? [])
    await sql.unsafe(
      `DELETE FROM ${table} WHERE id IN (
         SELECT (content->>'id')::uuid FROM withdrawn_row WHERE withdrawn_id = $1 AND table_name = '${table}'
       )`,
      [record],
    );
  await sql.unsafe(`DELETE FROM ${what.table} WHERE id = $1`, [id]);
  await sql`UPDATE withdrawn SET links = links || ${sql.json(letGo as never)} WHERE id = ${record}`;
  return Object.fromEntries(went);
}
