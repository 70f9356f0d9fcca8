import type * as row from "../db/rows";
import "server-only";
import { type Zippable, zipSync } from "fflate";
import { db, inLongTransaction, type Tx } from "@/platform/db/db";
import { readContent } from "@/platform/files/files";
import { type Table, travels } from "../registry/table";
import { columnsOf, inOrder } from "./catalog";
import { BundleError, encode } from "./open";
import { schemaVersion } from "./version";

export type Columns = Awaited<ReturnType<typeof columnsOf>>;

/** How a bundle differs from the whole project. */
export interface Change {
  /** The table as it goes along; null where it stays behind, and is empty in the bundle. */
  table(t: Table): Table | null;
  /** A row's JSON as it goes along. */
  row(table: string, json: string): string;
}

/** People travel with the projects that name them in some column. */
export function narrowed(t: Table, tables: readonly Table[]): string | undefined {
  if (t.name !== "person") return t.of;
  const named = tables.flatMap((x) => (x.people ?? []).map((c) => `SELECT ${c} FROM ${x.name} WHERE ${x.of}`));
  return `id IN (${named.join(" UNION ")})`;
}

/**
 * A table's rows as JSON texts, never read here: numbers of the database have more digits than numbers of the program.
 * Numerics travel as texts. Rows are in the order of their text, so that the same content gives the same file.
 */
async function rowsOf(
  sql: Tx,
  t: Table,
  { tables, columns, projectId }: { tables: readonly Table[]; columns: Columns; projectId: string | null },
): Promise<string[]> {
  const omit = projectId === null ? (t.name === "file" ? ["content"] : []) : [...(t.omit ?? [])];
  const exact = columns
    .filter((c) => c.table === t.name && !omit.includes(c.column) && c.type.startsWith("numeric"))
    .map((c) => `'${c.column}', x.${c.column}::text${c.type.endsWith("[]") ? "[]" : ""}`);
  const digits = exact.length ? ` || jsonb_build_object(${exact.join(", ")})` : "";
  const json = `to_jsonb(x) - $${projectId === null ? 1 : 2}::text[]${digits}`;
  const found = await sql.unsafe<{ j: string }[]>(
    `SELECT (${json})::text AS j FROM ${t.name} x ` +
      `${projectId === null ? "" : `WHERE ${narrowed(t, tables)}`} ORDER BY (${json})::text COLLATE "C"`,
    projectId === null ? [omit] : [projectId, omit],
  );
  return found.map((r) => r.j);
}

export async function pack(
  tables: readonly Table[],
  projectId: string | null,
  meta: object,
  change?: (sql: Tx, columns: Columns) => Promise<Change>,
): Promise<Uint8Array> {
  return inLongTransaction(async (sql) => {
    const parts: Zippable = {};
    const counts: Record<string, number> = {};
    const columns = await columnsOf(sql);
    const changed = await change?.(sql, columns);
    for (const t of (await inOrder(sql, tables)).filter((x) => projectId === null || travels(x))) {
      const as = changed ? changed.table(t) : t;
      const read = as ? await rowsOf(sql, as, { tables, columns, projectId }) : [];
      const rows = changed ? read.map((r) => changed.row(t.name, r)) : read;
      counts[t.name] = rows.length;
      parts[`tables/${t.name}.json`] = new TextEncoder().encode(`[${rows.length ? `\n${rows.join(",\n")}\n` : ""}]\n`);
      if (t.name === "file")
        for (const f of rows.map((r) => JSON.parse(r) as { hash: string })) {
          const stored = await readContent(f.hash, sql);
          if (stored) parts[`files/${f.hash}`] = [new Uint8Array(stored.content), { level: 0 }];
        }
    }
    parts["manifest.json"] = encode({ format: "ironstone", schemaVersion, ...meta, counts });
    return zipSync(parts, { level: 6, mtime: new Date("2020-01-01T00:00:00Z") });
  }, "ISOLATION LEVEL REPEATABLE READ READ ONLY");
}

/**
 * One project as a bundle (zip): a manifest, one JSON a table, and its files. No logins, passwords, rights or guest
 * links travel.
 */
export async function exportProject(tables: readonly Table[], projectId: string): Promise<Uint8Array> {
  const [p] = await db()<
    { slug: row.Project["slug"]; title: row.Project["title"] }[]
  >`SELECT slug, title FROM project WHERE id = ${projectId}`;
  if (!p) throw new BundleError("There is no such project.");
  return pack(tables, projectId, { kind: "project", project: p.slug, title: p.title });
}

/** The same for somebody who saves it; the project notes of when it is. */
export async function saveProjectBundle(tables: readonly Table[], projectId: string): Promise<Uint8Array> {
  const [begun] = await db()<{ at: string }[]>`SELECT app_now() AS at`;
  const bundle = await exportProject(tables, projectId);
  await db()`UPDATE project SET bundled_at = ${begun!.at} WHERE id = ${projectId}`;
  return bundle;
}

/** The whole school, logins and guest links included: for keeping, not for handing on. */
export const backupSchool = (tables: readonly Table[]) => pack(tables, null, { kind: "backup" });
