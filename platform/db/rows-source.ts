import "server-only";
import { vocabularies } from "@/core/vocabulary/all";
import { db } from "./db";

const types: Readonly<Record<string, string>> = {
  text: "string",
  integer: "number",
  bigint: "string",
  boolean: "boolean",
  date: "string",
  "timestamp with time zone": "string",
  numeric: "string",
  jsonb: "unknown",
  tsvector: "string",
  bytea: "Uint8Array",
  "double precision": "number",
  uuid: "string",
};

const camel = (name: string) => name.replace(/_(\w)/g, (_, c: string) => c.toUpperCase());
const pascal = (name: string) => camel(`_${name}`);

/** The row types of every table as TypeScript, made from the database's catalog: ids are branded by their table. */
export async function rowsSource(): Promise<string> {
  const columns = await db()<
    { table: string; column: string; type: string; nullable: boolean; refers: string | null }[]
  >`
    SELECT
      c.relname AS table, a.attname AS column, format_type(a.atttypid, NULL) AS type, NOT a.attnotnull AS nullable,
      CASE
        WHEN a.attname = 'id' AND a.atttypid = 'uuid'::regtype THEN c.relname
        ELSE (
          SELECT f.relname
          FROM pg_constraint k
          JOIN pg_class f ON f.oid = k.confrelid
          WHERE k.contype = 'f' AND k.conrelid = c.oid AND k.conkey = ARRAY[a.attnum] AND a.atttypid = 'uuid'::regtype
          LIMIT 1
        )
      END AS refers
    FROM pg_attribute a
    JOIN pg_class c ON c.oid = a.attrelid
    JOIN pg_namespace n ON n.oid = c.relnamespace
    WHERE n.nspname = 'public' AND c.relkind = 'r' AND a.attnum > 0 AND NOT a.attisdropped
    ORDER BY c.relname, a.attnum
  `;
  const words = new Map(Object.entries(vocabularies).flatMap(([name, v]) => v.columns.map((c) => [c, name] as const)));
  const typeOf = (c: (typeof columns)[number]): string => {
    const list = words.get(`${c.table}.${c.column}`);
    if (list) return `In<"${list}">`;
    if (c.refers) return `Id<"${c.refers}">`;
    const array = c.type.endsWith("[]");
    const base = types[array ? c.type.slice(0, -2) : c.type];
    if (!base) throw new Error(`${c.table}.${c.column} is of a type that is not known here: ${c.type}`);
    return array ? `${base}[]` : base;
  };
  const tables = [...new Set(columns.map((c) => c.table))];
  const bodies = tables.map((t) => {
    const lines = columns
      .filter((c) => c.table === t)
      .map((c) => `  ${camel(c.column)}: ${typeOf(c)}${c.nullable ? " | null" : ""};`);
    return `export interface ${pascal(t)} {\n${lines.join("\n")}\n}\n`;
  });
  return [
    "// Made from the database's catalog by `./ironstone rows`; a test compares it. Not to be edited by hand.",
    'import type { vocabularies } from "@/core/vocabulary/all";',
    'import type { Term } from "@/core/vocabulary/vocabulary";',
    'import type { Id } from "./id";',
    "",
    "type In<N extends keyof typeof vocabularies> = Term<(typeof vocabularies)[N]>;",
    "",
    ...bodies,
  ].join("\n");
}
