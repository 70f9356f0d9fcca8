import "server-only";
import { columnsOf, inOrder } from "@/platform/bundle/catalog";
import { refuse } from "@/platform/command/failure";
import type { Tx } from "@/platform/db/db";
import type { LetGo } from "./take-out";

/** Brings back everything that was taken out under one record, and what pointed to it before. The record goes. */
export async function putBack(sql: Tx, record: string): Promise<void> {
  const columns = await columnsOf(sql);
  const kept = await sql<{ name: string; keys: string[] }[]>`
    SELECT DISTINCT ON (table_name) table_name AS name, ARRAY(SELECT jsonb_object_keys(content)) AS keys
    FROM withdrawn_row
    WHERE withdrawn_id = ${record}
    ORDER BY table_name
  `;
  try {
    for (const t of await inOrder(sql, kept)) {
      const known = columns.filter((c) => c.table === t.name && t.keys.includes(c.column)).map((c) => c.column);
      const list = known.join(", ");
      await sql.unsafe(
        `INSERT INTO ${t.name} (${list})
         SELECT ${known.map((c) => `r.${c}`).join(", ")}
         FROM withdrawn_row w, jsonb_populate_record(NULL::${t.name}, w.content) r
         WHERE w.withdrawn_id = $1 AND w.table_name = $2
         ORDER BY w.place`,
        [record, t.name],
      );
    }
  } catch (error) {
    if ((error as { code?: string }).code === "23503")
      refuse("What it belongs to is not here (any more). Bring that back first.");
    throw error;
  }
  const [w] = await sql<{ links: LetGo[] }[]>`SELECT links FROM withdrawn WHERE id = ${record}`;
  for (const l of w!.links)
    if (l.place === undefined)
      await sql.unsafe(`UPDATE ${l.table} SET ${l.column} = $1 WHERE id = $2 AND ${l.column} IS NULL`, [l.value, l.id]);
    else
      await sql.unsafe(
        `UPDATE ${l.table} SET ${l.column} = ${l.column}[:$3 - 1] || $1::uuid || ${l.column}[$3:]
         WHERE id = $2 AND $1::uuid <> ALL(${l.column})`,
        [l.value, l.id, l.place],
      );
  await sql`DELETE FROM withdrawn WHERE id = ${record}`;
}
