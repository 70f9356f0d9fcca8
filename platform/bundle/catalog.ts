import "server-only";
import type { Tx } from "@/platform/db/db";
import type { Table } from "../registry/table";

/** A table's columns with their SQL types, as the database has them now. */
export const columnsOf = (sql: Tx) => sql<
  { table: string; column: string; type: string; nullable: boolean; hasDefault: boolean }[]
>`
  SELECT
    c.relname AS table, a.attname AS column, format_type(a.atttypid, a.atttypmod) AS type, NOT a.attnotnull AS nullable,
    a.atthasdef AS has_default
  FROM pg_attribute a
  JOIN pg_class c ON c.oid = a.attrelid
  JOIN pg_namespace n ON n.oid = c.relnamespace
  WHERE n.nspname = 'public' AND c.relkind = 'r' AND a.attnum > 0 AND NOT a.attisdropped
  ORDER BY c.relname, a.attnum
`;

/** Tables in an order in which their rows can be inserted: what is referred to comes first. */
export async function inOrder(sql: Tx, tables: readonly Table[]): Promise<Table[]> {
  const links = await sql<{ from: string; to: string }[]>`
    SELECT a.relname AS from, b.relname AS to
    FROM pg_constraint c
    JOIN pg_class a ON a.oid = c.conrelid
    JOIN pg_class b ON b.oid = c.confrelid
    WHERE c.contype = 'f' AND a.oid <> b.oid
  `;
  const out: Table[] = [];
  const done = new Set<string>();
  const visit = (t: Table) => {
    if (done.has(t.name)) return;
    done.add(t.name);
    for (const l of links)
      if (l.from === t.name) {
        const before = tables.find((x) => x.name === l.to);
        if (before) visit(before);
      }
    out.push(t);
  };
  for (const t of [...tables].sort((a, b) => (a.name < b.name ? -1 : 1))) visit(t);
  return out;
}
