import type * as row from "../db/rows";
import "server-only";
import { withoutNames } from "@/core/text/names";
import { vocabularies } from "@/core/vocabulary/all";
import { db, type Tx } from "@/platform/db/db";
import type { Table } from "../registry/table";
import { referencesOf } from "./catalog";
import { BundleError } from "./open";
import { type Change, type Columns, narrowed, pack } from "./pack";

/** Pictures of builds; none of a person's notebook, of a sketch, or of a run. */
const ofBuilds = "project_id = $1 AND build_id IS NOT NULL AND entry_id IS NULL AND concept_id IS NULL";

const pictureTables: Readonly<Record<string, string>> = {
  file_use: ofBuilds,
  file: `hash IN (SELECT file_hash FROM file_use WHERE ${ofBuilds})`,
};

/** Columns of a closed list are no texts of people, and an address is not read. */
const closed = new Set([...Object.values(vocabularies).flatMap((v) => v.columns), "project.slug"]);

/** A JSON value with every text in it changed; its keys stay. */
const inside = (value: unknown, change: (text: string) => string): unknown => {
  if (typeof value === "string") return change(value);
  if (Array.isArray(value)) return value.map((v) => inside(v, change));
  if (typeof value === "object" && value !== null)
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, inside(v, change)]));
  return value;
};

/** The students of a project, and whoever else its records name and is no instructor. */
async function studentNames(sql: Tx, tables: readonly Table[], projectId: string): Promise<string[]> {
  const person = tables.find((t) => t.name === "person")!;
  const students = await sql.unsafe<Pick<row.Person, "name">[]>(
    `SELECT name FROM person WHERE NOT instructor AND ${narrowed(person, tables)}`,
    [projectId],
  );
  return students.map((s) => s.name);
}

/** What goes to another school: tables that pass, without people, and texts without the students' names. */
async function nameless(
  sql: Tx,
  tables: readonly Table[],
  columns: Columns,
  { bare, pictures }: { bare: (text: string) => string; pictures: boolean },
): Promise<Change> {
  const goes = new Set(tables.filter((t) => t.passes || (pictures && t.name in pictureTables)).map((t) => t.name));
  const references = await referencesOf(sql);
  const texts = new Set(
    columns
      .filter((c) => ["text", "text[]", "jsonb"].includes(c.type))
      .map((c) => `${c.table}.${c.column}`)
      .filter((c) => !closed.has(c)),
  );
  return {
    table: (t) =>
      goes.has(t.name)
        ? {
            ...t,
            of: pictureTables[t.name] ?? t.of,
            // What it points to stays behind, and so does whoever it names.
            omit: [
              ...(t.omit ?? []),
              ...references.filter((r) => r.from === t.name && !goes.has(r.to)).map((r) => r.column),
            ],
          }
        : null,
    row(table, json) {
      const held = JSON.parse(json) as Record<string, unknown>;
      const told = Object.entries(held).map(([column, value]) => [
        column,
        texts.has(`${table}.${column}`) ? inside(value, bare) : value,
      ]);
      return JSON.stringify(Object.fromEntries(told));
    },
  };
}

/**
 * A project for another school: what was asked, built, tested and won, as a bundle like any other; no student's name
 * is in it, no notebook, mark, rating or training, and pictures of builds only where they are wanted.
 */
export async function exportForSchool(
  tables: readonly Table[],
  projectId: string,
  pictures: boolean,
): Promise<Uint8Array> {
  const [p] = await db()<
    Pick<row.Project, "slug" | "title">[]
  >`SELECT slug, title FROM project WHERE id = ${projectId}`;
  if (!p) throw new BundleError("There is no such project.");
  const bare = withoutNames(await studentNames(db(), tables, projectId));
  const meta = { kind: "project", project: p.slug, title: bare(p.title), names: "taken out" };
  return pack(tables, projectId, meta, (sql, columns) => nameless(sql, tables, columns, { bare, pictures }));
}
