import "server-only";
import { unzipSync, type Zippable, zipSync } from "fflate";
import { db, inTransaction, type Tx } from "./db";
import { readContent, writeContent } from "./files";

/** Version of the bundle's shape; it grows with every migration that changes an exported table. */
export const schemaVersion = 2;

// Every table in an order in which rows can be inserted. `of` narrows a table to one project; tables without it travel
// in backups only.
interface Table {
  name: string;
  of?: string;
  omit?: string[];
}
const run = "run_id IN (SELECT id FROM run WHERE project_id = $1)";
export const tables: Table[] = [
  {
    name: "person",
    omit: ["email", "password_hash", "instructor", "admin", "version"],
    of: `id IN (
      SELECT person_id FROM staff WHERE project_id = $1
      UNION SELECT e.person_id FROM enrolment e JOIN project_section ps USING (section_id) WHERE ps.project_id = $1
      UNION SELECT person_id FROM membership WHERE project_id = $1
      UNION SELECT person_id FROM brief_reading r
        JOIN brief_version b ON b.id = r.brief_version_id WHERE b.project_id = $1
      UNION SELECT author_id FROM concept WHERE project_id = $1
      UNION SELECT rater_person FROM sheet WHERE project_id = $1
      UNION SELECT owner_id FROM action_item WHERE project_id = $1
      UNION SELECT person_id FROM milestone_check WHERE project_id = $1
      UNION SELECT person_id FROM entered_mark WHERE project_id = $1
      UNION SELECT drafter_id FROM question WHERE project_id = $1
      UNION SELECT asker_id FROM question WHERE project_id = $1
      UNION SELECT author_id FROM note WHERE project_id = $1
      UNION SELECT owner_id FROM requirement WHERE project_id = $1
      UNION SELECT rater_person FROM selection_sheet WHERE project_id = $1
      UNION SELECT person_id FROM trait WHERE project_id = $1
      UNION SELECT person_id FROM wish WHERE project_id = $1
      UNION SELECT o.person_id FROM part_owner o JOIN part p ON p.id = o.part_id WHERE p.project_id = $1
      UNION SELECT person_id FROM tool_sign_off WHERE project_id = $1
      UNION SELECT person_id FROM gate_tick WHERE project_id = $1
      UNION SELECT person_id FROM notebook_entry WHERE project_id = $1
    )`,
  },
  { name: "project", of: "id = $1", omit: ["edition_of"] },
  { name: "section", of: "id IN (SELECT section_id FROM project_section WHERE project_id = $1)" },
  { name: "project_section", of: "project_id = $1" },
  { name: "staff", of: "project_id = $1" },
  { name: "enrolment", of: "section_id IN (SELECT section_id FROM project_section WHERE project_id = $1)" },
  { name: "guest_link" },
  { name: "day_off", of: "project_id = $1" },
  { name: "extra_session", of: "project_id = $1" },
  { name: "milestone", of: "project_id = $1" },
  { name: "milestone_date", of: "milestone_id IN (SELECT id FROM milestone WHERE project_id = $1)" },
  { name: "task", of: "project_id = $1" },
  { name: "brief_version", of: "project_id = $1" },
  { name: "brief_reading", of: "brief_version_id IN (SELECT id FROM brief_version WHERE project_id = $1)" },
  { name: "requirement", of: "project_id = $1" },
  { name: "brief_rule", of: "project_id = $1" },
  { name: "challenge", of: "project_id = $1" },
  { name: "challenge_result", of: "project_id = $1" },
  { name: "requirement_version", of: "requirement_id IN (SELECT id FROM requirement WHERE project_id = $1)" },
  { name: "source", of: "project_id = $1" },
  { name: "statement", of: "project_id = $1" },
  { name: "statement_apart", of: "a IN (SELECT id FROM statement WHERE project_id = $1)" },
  { name: "question", of: "project_id = $1" },
  { name: "note", of: "project_id = $1" },
  { name: "statement_note", of: "statement_id IN (SELECT id FROM statement WHERE project_id = $1)" },
  { name: "baseline", of: "project_id = $1" },
  { name: "change_request", of: "project_id = $1" },
  { name: "team", of: "project_id = $1" },
  { name: "membership", of: "project_id = $1" },
  { name: "concept", of: "project_id = $1" },
  { name: "concept_parent", of: "concept_id IN (SELECT id FROM concept WHERE project_id = $1)" },
  { name: "concept_claim", of: "concept_id IN (SELECT id FROM concept WHERE project_id = $1)" },
  { name: "concept_fate", of: "project_id = $1" },
  { name: "selection", of: "project_id = $1" },
  { name: "selection_sheet", of: "project_id = $1", omit: ["rater_guest"] },
  { name: "trait", of: "project_id = $1" },
  { name: "wish", of: "project_id = $1" },
  { name: "team_constraint", of: "project_id = $1" },
  { name: "team_plan", of: "project_id = $1" },
  { name: "part", of: "project_id = $1" },
  { name: "part_owner", of: "part_id IN (SELECT id FROM part WHERE project_id = $1)" },
  { name: "tool", of: "project_id = $1" },
  { name: "tool_sign_off", of: "project_id = $1" },
  { name: "gate_item", of: "project_id = $1" },
  { name: "gate_tick", of: "project_id = $1" },
  { name: "gate_sign_off", of: "project_id = $1" },
  { name: "notebook_entry", of: "project_id = $1" },
  { name: "notebook_version", of: "entry_id IN (SELECT id FROM notebook_entry WHERE project_id = $1)" },
  { name: "draw", of: "project_id = $1" },
  { name: "build", of: "project_id = $1" },
  { name: "build_parent", of: "build_id IN (SELECT id FROM build WHERE project_id = $1)" },
  { name: "variable_setting", of: "build_id IN (SELECT id FROM build WHERE project_id = $1)" },
  { name: "file", of: "hash IN (SELECT file_hash FROM file_use WHERE project_id = $1)", omit: ["content"] },
  { name: "file_use", of: "project_id = $1" },
  { name: "protocol", of: "project_id = $1" },
  { name: "protocol_version", of: "protocol_id IN (SELECT id FROM protocol WHERE project_id = $1)" },
  { name: "event", of: "project_id = $1" },
  { name: "entry", of: "event_id IN (SELECT id FROM event WHERE project_id = $1)" },
  { name: "run", of: "project_id = $1" },
  { name: "reading", of: run },
  { name: "evidence", of: "project_id = $1" },
  { name: "rubric", of: "project_id = $1" },
  { name: "rubric_version", of: "rubric_id IN (SELECT id FROM rubric WHERE project_id = $1)" },
  { name: "review", of: "project_id = $1" },
  { name: "sheet", of: "project_id = $1", omit: ["rater_guest"] },
  { name: "sheet_mark", of: "sheet_id IN (SELECT id FROM sheet WHERE project_id = $1)" },
  { name: "action_item", of: "project_id = $1" },
  { name: "milestone_check", of: "project_id = $1" },
  { name: "scheme_version", of: "project_id = $1" },
  { name: "entered_mark", of: "project_id = $1" },
  { name: "publication", of: "project_id = $1" },
  { name: "audit", of: "project_id = $1" },
];

export class BundleError extends Error {}

const encode = (value: unknown) => new TextEncoder().encode(`${JSON.stringify(value, null, 1)}\n`);
type Row = Record<string, unknown>;

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

async function rowsOf(sql: Tx, t: Table, projectId: string | null): Promise<Row[]> {
  const omit = projectId === null ? (t.name === "file" ? ["content"] : []) : (t.omit ?? []);
  // to_jsonb writes dates, instants, numerics and arrays in one stable way; rows are in the order of their text, so
  // that the same content gives the same file.
  const found = await sql.unsafe<{ j: Row }[]>(
    `SELECT to_jsonb(x) - $${projectId === null ? 1 : 2}::text[] AS j FROM ${t.name} x ` +
      `${projectId === null ? "" : `WHERE ${t.of}`} ORDER BY to_jsonb(x)::text COLLATE "C"`,
    projectId === null ? [omit] : [projectId, omit],
  );
  return found.map((r) => r.j);
}

async function pack(projectId: string | null, meta: Row): Promise<Uint8Array> {
  return inTransaction(async (sql) => {
    const parts: Zippable = {};
    const counts: Record<string, number> = {};
    for (const t of tables.filter((x) => projectId === null || x.of)) {
      const rows = await rowsOf(sql, t, projectId);
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
export async function exportProject(projectId: string): Promise<Uint8Array> {
  const [p] = await db()<{ slug: string; title: string }[]>`SELECT slug, title FROM project WHERE id = ${projectId}`;
  if (!p) throw new BundleError("There is no such project.");
  return pack(projectId, { kind: "project", project: p.slug, title: p.title });
}

/** The whole school, logins and guest links included: for keeping, not for handing on. */
export const backupSchool = () => pack(null, { kind: "backup" });

interface Opened {
  manifest: { kind: string; schemaVersion: number; title?: string; counts: Record<string, number> };
  read(path: string): Uint8Array | undefined;
}

/** Opens a bundle and checks that it is whole and of a known version; says what is wrong otherwise. */
export function openBundle(bytes: Uint8Array, kind: "project" | "backup"): Opened {
  let parts: Record<string, Uint8Array>;
  try {
    parts = unzipSync(bytes);
  } catch {
    throw new BundleError(
      "The file is not a whole zip: it was cut short, or it is something else. Export it again and send " +
        "the whole file.",
    );
  }
  const json = (path: string) => {
    if (!parts[path])
      throw new BundleError(
        `The bundle holds no ${path}: this is not an Ironstone bundle, or a part of it is missing.`,
      );
    try {
      return JSON.parse(new TextDecoder().decode(parts[path]));
    } catch {
      throw new BundleError(`${path} in the bundle cannot be read.`);
    }
  };
  const manifest = json("manifest.json");
  if (manifest.format !== "ironstone") throw new BundleError("This zip is not an Ironstone bundle.");
  if (manifest.schemaVersion > schemaVersion)
    throw new BundleError(
      `The bundle is of a newer version (${manifest.schemaVersion}); this Ironstone reads up to ` +
        `${schemaVersion}. Update Ironstone, then import it.`,
    );
  if (manifest.kind !== kind)
    throw new BundleError(
      kind === "project"
        ? "This is a backup of a whole school. Use restore for it."
        : "This is the bundle of one project. Use import for it.",
    );
  for (const t of tables.filter((x) => kind === "backup" || x.of)) {
    // A bundle of an earlier version lacks the tables that came later.
    if (manifest.schemaVersion < schemaVersion && !parts[`tables/${t.name}.json`]) {
      parts[`tables/${t.name}.json`] = encode([]);
      manifest.counts[t.name] = 0;
    }
    const rows = json(`tables/${t.name}.json`);
    if (!Array.isArray(rows) || rows.length !== manifest.counts?.[t.name])
      throw new BundleError(
        `${t.name} holds ${Array.isArray(rows) ? rows.length : "no"} rows, but the manifest says ` +
          `${manifest.counts?.[t.name]}: the bundle is not whole.`,
      );
  }
  return { manifest, read: (path) => parts[path] };
}

async function insertRows(sql: Tx, bundle: Opened, kind: "project" | "backup"): Promise<void> {
  const columns = await columnsOf(sql);
  for (const t of tables.filter((x) => kind === "backup" || x.of)) {
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
  bytes: Uint8Array,
  ownerId: string | null,
): Promise<{ slug: string; title: string }> {
  const bundle = openBundle(bytes, "project");
  const [p] = JSON.parse(new TextDecoder().decode(bundle.read("tables/project.json"))) as {
    id: string;
    slug: string;
    title: string;
  }[];
  if (!p) throw new BundleError("The bundle holds no project.");
  try {
    await inTransaction(async (sql) => {
      const [here] = await sql<{ title: string }[]>`SELECT title FROM project WHERE id = ${p.id} OR slug = ${p.slug}`;
      if (here) throw new BundleError(`“${here.title}” is here already. Nothing was imported.`);
      await insertRows(sql, bundle, "project");
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
export async function restoreSchool(bytes: Uint8Array): Promise<void> {
  const bundle = openBundle(bytes, "backup");
  try {
    await inTransaction(async (sql) => {
      await sql.unsafe(
        `TRUNCATE ${tables.map((t) => t.name).join(", ")}, session_token, sign_in_attempt, request_done CASCADE`,
      );
      await insertRows(sql, bundle, "backup");
    });
  } catch (error) {
    throw asBundleError(error);
  }
}

function asBundleError(error: unknown): unknown {
  const e = error as { code?: string; message: string; table_name?: string };
  if (error instanceof BundleError || !e.code || !/^(22|23)/.test(e.code)) return error;
  return new BundleError(
    `The bundle does not hold together (${e.table_name ? `${e.table_name}: ` : ""}${e.message}). Nothing was imported.`,
  );
}

/** The JSON Schema of a project bundle's tables, made from the database itself. */
export async function bundleSchema(): Promise<object> {
  const columns = await columnsOf(db());
  const kinds: Record<string, object> = {
    uuid: { type: "string", format: "uuid" },
    text: { type: "string" },
    integer: { type: "integer" },
    boolean: { type: "boolean" },
    date: { type: "string", format: "date" },
    "timestamp with time zone": { type: "string", format: "date-time" },
    numeric: { type: "number" },
    "numeric[]": { type: "array", items: { type: "number" } },
    "text[]": { type: "array", items: { type: "string" } },
    jsonb: {},
  };
  const kindOf = (type: string, nullable: boolean) =>
    nullable && type !== "jsonb" ? { anyOf: [kinds[type] ?? {}, { type: "null" }] } : (kinds[type] ?? {});
  return {
    $schema: "http://json-schema.org/draft-07/schema#",
    title: `Ironstone project bundle, schema version ${schemaVersion}`,
    type: "object",
    required: ["manifest", ...tables.filter((t) => t.of).map((t) => t.name)],
    additionalProperties: false,
    properties: {
      manifest: {
        type: "object",
        required: ["format", "schemaVersion", "kind", "counts"],
        properties: {
          format: { const: "ironstone" },
          schemaVersion: { const: schemaVersion },
          kind: { const: "project" },
          project: { type: "string" },
          title: { type: "string" },
          counts: { type: "object", additionalProperties: { type: "integer" } },
        },
      },
      ...Object.fromEntries(
        tables
          .filter((t) => t.of)
          .map((t) => {
            const own = columns.filter((c) => c.table === t.name && !t.omit?.includes(c.column));
            return [
              t.name,
              {
                type: "array",
                items: {
                  type: "object",
                  additionalProperties: false,
                  required: own.map((c) => c.column),
                  properties: Object.fromEntries(own.map((c) => [c.column, kindOf(c.type, c.nullable)])),
                },
              },
            ];
          }),
      ),
    },
  };
}
