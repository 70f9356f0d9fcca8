import "server-only";
import { createHash } from "node:crypto";
import { newId, type Tx } from "@/platform/db/db";
import { type FileRow, writeContent } from "@/platform/files/files";
import { type Table, travels } from "../registry/table";
import { columnsOf, inOrder, referencesOf } from "./catalog";
import { BundleError, type Opened, type Row } from "./open";

type Kind = "project" | "backup";

/** Stored bytes are what their name says, and of the one type that pictures are written in. */
async function insertFiles(sql: Tx, bundle: Opened): Promise<void> {
  for (const f of bundle.rows<FileRow>("file")) {
    const short = String(f.hash).slice(0, 12);
    const content = bundle.read(`files/${f.hash}`);
    if (!content) throw new BundleError(`The file ${short}… is missing in the bundle.`);
    const bytes = Buffer.from(content);
    if (createHash("sha256").update(bytes).digest("hex") !== f.hash || bytes.length !== Number(f.size))
      throw new BundleError(`The file ${short}… is not what it was when the bundle was made.`);
    if (f.mime !== "image/jpeg" || bytes[0] !== 0xff || bytes[1] !== 0xd8)
      throw new BundleError(`The file ${short}… is not a picture (JPEG).`);
    await writeContent(
      sql,
      { hash: f.hash, mime: "image/jpeg", size: bytes.length, width: f.width, height: f.height },
      bytes,
    );
  }
}

/**
 * Writes a bundle's rows. They go to the database as the texts that they are, so that numbers keep their digits.
 * @param people new ids of people, by the ids in the bundle
 */
export async function insertRows(
  sql: Tx,
  tables: readonly Table[],
  bundle: Opened,
  kind: Kind,
  people: ReadonlyMap<string, string>,
): Promise<void> {
  const columns = await columnsOf(sql);
  for (const t of (await inOrder(sql, tables)).filter((x) => kind === "backup" || travels(x))) {
    if (t.name === "file") {
      await insertFiles(sql, bundle);
      continue;
    }
    let json = bundle.text(t.name);
    // An id is 36 characters that stand nowhere else: a person's new one goes wherever the old one stood.
    for (const [from, to] of people) json = json.replaceAll(from, to);
    const rows: Row[] = JSON.parse(json);
    const known = columns.filter((c) => c.table === t.name && !(kind === "project" && t.omit?.includes(c.column)));
    const stray = rows.flatMap((r) => Object.keys(r)).find((k) => !known.some((c) => c.column === k));
    if (stray)
      throw new BundleError(
        `${t.name} has a column “${stray}” that is not known here: the bundle is from another version.`,
      );
    if (kind === "project") checkRows(t, rows);
    const used = known.filter((c) => rows.some((r) => c.column in r)).map((c) => c.column);
    if (rows.length)
      await sql.unsafe(
        `INSERT INTO ${t.name} (${used.join(", ")}) SELECT ${used.join(", ")} FROM ` +
          `jsonb_populate_recordset(NULL::${t.name}, $1::text::jsonb) ` +
          `${t.name === "person" && kind === "project" ? "ON CONFLICT (id) DO NOTHING" : ""}`,
        [json],
      );
  }
}

/** Definitions that are evaluated later are checked as those that are typed. */
function checkRows(t: Table, rows: readonly Row[]): void {
  for (const [column, check] of Object.entries(t.check ?? {}))
    for (const r of rows) {
      // A bundle of an earlier version lacks the columns that came later.
      if (!(column in r)) continue;
      const wrong = check(r[column]);
      if (wrong) throw new BundleError(`${t.name} holds a ${column} that cannot be used: ${wrong}`);
    }
}

const idsOf = (bundle: Opened) => bundle.rows<{ id: string }>("person").map((p) => p.id);

/**
 * The people of a bundle: one who is here already stays the same person if the importing one may see them, and comes as
 * a new person otherwise, so that knowing an id opens nothing.
 */
export async function peopleOf(sql: Tx, bundle: Opened, importer: string | null): Promise<Map<string, string>> {
  const ids = idsOf(bundle);
  if (!ids.length) return new Map();
  const strangers = await sql<{ id: string }[]>`
    SELECT p.id
    FROM person p
    WHERE p.id = ANY(${ids}::uuid[])
      AND NOT EXISTS (SELECT FROM person a WHERE a.id = ${importer} AND a.admin)
      AND p.id IS DISTINCT FROM ${importer}
      AND (p.instructor OR NOT EXISTS (
        SELECT
        FROM enrolment e
        JOIN project_section ps USING (section_id)
        JOIN staff s USING (project_id)
        WHERE e.person_id = p.id AND s.person_id = ${importer}
      ))
  `;
  return new Map(strangers.map((s) => [s.id, newId()]));
}

/** Everything that came in belongs to the one project, and speaks of nothing of another. */
export async function checkOwn(
  sql: Tx,
  tables: readonly Table[],
  bundle: Opened,
  people: ReadonlyMap<string, string>,
  projectId: string,
): Promise<void> {
  const persons = idsOf(bundle).map((id) => people.get(id) ?? id);
  const own = tables.filter((t) => t.of && travels(t));
  for (const t of own) {
    const [here] = await sql.unsafe<{ n: number }[]>(`SELECT count(*)::int AS n FROM ${t.name} WHERE ${t.of}`, [
      projectId,
    ]);
    if (here!.n !== bundle.manifest.counts[t.name])
      throw new BundleError(`${t.name} in the bundle holds rows of another project. Nothing was imported.`);
  }
  const links = await referencesOf(sql);
  for (const l of links) {
    const [from, to] = [own.find((t) => t.name === l.from), own.find((t) => t.name === l.to)];
    const person = l.to === "person";
    if (!from || !(to || person) || from.omit?.includes(l.column)) continue;
    const astray = await sql.unsafe(
      `SELECT FROM ${l.from} WHERE ${from.of} AND ${l.column} IS NOT NULL ` +
        (person
          ? `AND ${l.column} <> ALL($2::uuid[])`
          : `AND ${l.column} NOT IN (SELECT ${l.key} FROM ${l.to} WHERE ${to!.of})`),
      person ? [projectId, persons] : [projectId],
    );
    if (astray.length)
      throw new BundleError(`${l.from} in the bundle points to a ${l.to} that is not in it. Nothing was imported.`);
  }
}
