import type * as row from "../db/rows";
import "server-only";
import { type Zippable, zipSync } from "fflate";
import { db, inTransaction, type Tx } from "@/platform/db/db";
import { readContent, writeContent } from "@/platform/files/files";
import { type Table, travels } from "../registry/table";
import { columnsOf, inOrder } from "./catalog";
import { asBundleError, BundleError, encode, type Opened, openBundle, type Row } from "./open";
import { schemaVersion } from "./version";

/** People travel with the projects that name them in some column. */
function narrowed(t: Table, tables: readonly Table[]): string | undefined {
  if (t.name !== "person") return t.of;
  const named = tables.flatMap((x) => (x.people ?? []).map((c) => `SELECT ${c} FROM ${x.name} WHERE ${x.of}`));
  return `id IN (${named.join(" UNION ")})`;
}

async function rowsOf(sql: Tx, t: Table, tables: readonly Table[], projectId: string | null): Promise<Row[]> {
  const omit = projectId === null ? (t.name === "file" ? ["content"] : []) : [...(t.omit ?? [])];
  // to_jsonb writes dates, instants, numerics and arrays in one stable way; rows are in the order of their text, so
  // that the same content gives the same file.
  const found = await sql.unsafe<{ j: Row }[]>(
    `SELECT to_jsonb(x) - $${projectId === null ? 1 : 2}::text[] AS j FROM ${t.name} x ` +
      `${projectId === null ? "" : `WHERE ${narrowed(t, tables)}`} ORDER BY to_jsonb(x)::text COLLATE "C"`,
    projectId === null ? [omit] : [projectId, omit],
  );
  return found.map((r) => r.j);
}

async function pack(tables: readonly Table[], projectId: string | null, meta: Row): Promise<Uint8Array> {
  return inTransaction(async (sql) => {
    const parts: Zippable = {};
    const counts: Record<string, number> = {};
    for (const t of (await inOrder(sql, tables)).filter((x) => projectId === null || travels(x))) {
      const rows = await rowsOf(sql, t, tables, projectId);
      counts[t.name] = rows.length;
      parts[`tables/${t.name}.json`] = encode(rows);
      if (t.name === "file")
        for (const f of rows) {
          const stored = await readContent(String(f.hash), sql);
          if (stored) parts[`files/${f.hash}`] = [new Uint8Array(stored.content), { level: 0 }];
        }
    }
    parts["manifest.json"] = encode({ format: "ironstone", schemaVersion, ...meta, counts });
    return zipSync(parts, { level: 6, mtime: new Date("2020-01-01T00:00:00Z") });
  }, "ISOLATION LEVEL REPEATABLE READ READ ONLY");
}

/**
 * One project as a bundle (zip): a manifest, one JSON a table, and its files. No logins, passwords or guest links
 * travel.
 */
export async function exportProject(tables: readonly Table[], projectId: string): Promise<Uint8Array> {
  const [p] = await db()<
    { slug: row.Project["slug"]; title: row.Project["title"] }[]
  >`SELECT slug, title FROM project WHERE id = ${projectId}`;
  if (!p) throw new BundleError("There is no such project.");
  return pack(tables, projectId, { kind: "project", project: p.slug, title: p.title });
}

/** The whole school, logins and guest links included: for keeping, not for handing on. */
export const backupSchool = (tables: readonly Table[]) => pack(tables, null, { kind: "backup" });

async function insertRows(
  sql: Tx,
  tables: readonly Table[],
  bundle: Opened,
  kind: "project" | "backup",
): Promise<void> {
  const columns = await columnsOf(sql);
  for (const t of (await inOrder(sql, tables)).filter((x) => kind === "backup" || travels(x))) {
    const rows: Row[] = JSON.parse(new TextDecoder().decode(bundle.read(`tables/${t.name}.json`)));
    const known = columns.filter((c) => c.table === t.name && !(kind === "project" && t.omit?.includes(c.column)));
    const stray = rows.flatMap((r) => Object.keys(r)).find((k) => !known.some((c) => c.column === k));
    if (stray)
      throw new BundleError(
        `${t.name} has a column “${stray}” that is not known here: the bundle is from another version.`,
      );
    if (t.name === "file") {
      for (const f of rows as unknown as {
        hash: string;
        mime: string;
        size: number;
        width: number;
        height: number;
      }[]) {
        const content = bundle.read(`files/${f.hash}`);
        if (!content) throw new BundleError(`The file ${f.hash.slice(0, 12)}… is missing in the bundle.`);
        await writeContent(
          sql,
          { hash: f.hash, mime: f.mime, size: f.size, width: f.width, height: f.height },
          Buffer.from(content),
        );
      }
      continue;
    }
    const used = known.filter((c) => rows.some((r) => c.column in r)).map((c) => c.column);
    for (let i = 0; i < rows.length; i += 2000)
      await sql.unsafe(
        `INSERT INTO ${t.name} (${used.join(", ")}) SELECT ${used.join(", ")} FROM ` +
          `jsonb_populate_recordset(NULL::${t.name}, $1::jsonb) ` +
          `${t.name === "person" && kind === "project" ? "ON CONFLICT (id) DO NOTHING" : ""}`,
        [rows.slice(i, i + 2000) as never],
      );
  }
}

/**
 * Brings a project in, all of it or nothing. The importing person becomes its owner. A project that is here already is
 * refused.
 */
export async function importProject(
  tables: readonly Table[],
  bytes: Uint8Array,
  ownerId: string | null,
): Promise<{ slug: string; title: string }> {
  const bundle = openBundle(tables, bytes, "project");
  const [p] = JSON.parse(new TextDecoder().decode(bundle.read("tables/project.json"))) as {
    id: string;
    slug: string;
    title: string;
  }[];
  if (!p) throw new BundleError("The bundle holds no project.");
  try {
    await inTransaction(async (sql) => {
      const [here] = await sql<
        { title: row.Project["title"] }[]
      >`SELECT title FROM project WHERE id = ${p.id} OR slug = ${p.slug}`;
      if (here) throw new BundleError(`“${here.title}” is here already. Nothing was imported.`);
      await insertRows(sql, tables, bundle, "project");
      if (ownerId)
        await sql`
          INSERT INTO staff (project_id, person_id, role)
          VALUES (${p.id}, ${ownerId}, 'owner')
          ON CONFLICT (project_id, person_id) DO UPDATE SET role = 'owner'
        `;
    });
  } catch (error) {
    throw asBundleError(error);
  }
  return { slug: p.slug, title: p.title };
}

/** Replaces the whole school by a backup, all of it or nothing. Everybody is signed out. */
export async function restoreSchool(tables: readonly Table[], bytes: Uint8Array): Promise<void> {
  const bundle = openBundle(tables, bytes, "backup");
  try {
    await inTransaction(async (sql) => {
      await sql.unsafe(
        `TRUNCATE ${tables.map((t) => t.name).join(", ")}, session_token, sign_in_attempt, request_done CASCADE`,
      );
      await insertRows(sql, tables, bundle, "backup");
    });
  } catch (error) {
    throw asBundleError(error);
  }
}
