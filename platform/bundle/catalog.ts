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

/** A reference of one table to another, and what becomes of it when what it refers to goes. */
export interface Reference {
  readonly from: string;
  readonly column: string;
  readonly to: string;
  readonly key: string;
  readonly whenGone: "goes too" | "let go" | "holds";
  /** Looked at when the transaction ends: what refers may come before what is referred to. */
  readonly later: boolean;
}

/** Every reference between two tables over one column. */
export const referencesOf = (sql: Tx) => sql<Reference[]>`
  SELECT
    a.relname AS from, fa.attname AS column, b.relname AS to, ta.attname AS key,
    CASE c.confdeltype WHEN 'c' THEN 'goes too' WHEN 'n' THEN 'let go' ELSE 'holds' END AS when_gone,
    c.condeferred AS later
  FROM pg_constraint c
  JOIN pg_class a ON a.oid = c.conrelid
  JOIN pg_class b ON b.oid = c.confrelid
  JOIN pg_attribute fa ON fa.attrelid = a.oid AND fa.attnum = c.conkey[1]
  JOIN pg_attribute ta ON ta.attrelid = b.oid AND ta.attnum = c.confkey[1]
  WHERE c.contype = 'f' AND cardinality(c.conkey) = 1
  ORDER BY a.relname, fa.attname
`;

/** Tables in an order in which their rows can be inserted: what is referred to comes first. */
export async function inOrder<T extends Pick<Table, "name">>(sql: Tx, tables: readonly T[]): Promise<T[]> {
  const links = (await referencesOf(sql)).filter((l) => !l.later);
  const out: T[] = [];
  const done = new Set<string>();
  const visit = (t: T) => {
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
