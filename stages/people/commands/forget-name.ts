import "server-only";
import { columnsOf } from "@/platform/bundle/catalog";
import type { Sql } from "@/platform/db/db";
import { tables } from "@/stages/tables";
import type { Mention } from "../queries/students";

/** Columns that say who did something, by name. */
const who = /(_by|^author|^rater_name|^actor_name)$/;
/** Tables whose labels the program wrote. */
const labelled = new Set(["audit", "withdrawn"]);
/** Under these names a name of a person stands in what is kept as JSON. */
const whoKeys = new Set(["name", "student", "person", "by", "author", "rater", "member", "members", "people"]);

/** A JSON value without the name: wherever a whole text is the name, under a key that names people. */
function without(value: unknown, name: string, blank: string, key = ""): unknown {
  // A name of several words is nobody's symbol or state; one of a single word may be.
  if (value === name && (whoKeys.has(key) || who.test(key) || /\s/.test(name))) return blank;
  if (Array.isArray(value)) return value.map((v) => without(v, name, blank, key));
  if (typeof value === "object" && value !== null)
    return Object.fromEntries(
      Object.entries(value).map(([k, v]) => [k === name && /\s/.test(name) ? blank : k, without(v, name, blank, k)]),
    );
  return value;
}

/**
 * Takes a person's name out of what the program itself wrote down in some projects: who did something, people in what
 * is kept as JSON, labels of records. What people wrote is left as it is; its places are given. Where somebody else of
 * the projects has the same name, it is theirs too, and stays.
 */
export async function forgetName(
  sql: Sql,
  name: string,
  blank: string,
  projects: readonly string[],
): Promise<Mention[]> {
  const namesakes = await sql`
    SELECT FROM person p
    WHERE p.name = ${name} AND p.erased_at IS NULL AND (
      EXISTS (
        SELECT FROM enrolment e JOIN project_section ps USING (section_id)
        WHERE e.person_id = p.id AND ps.project_id = ANY(${projects}::uuid[])
      ) OR EXISTS (SELECT FROM staff s WHERE s.person_id = p.id AND s.project_id = ANY(${projects}::uuid[]))
    )
  `;
  if (namesakes.length) return [];
  const columns = await columnsOf(sql);
  const found: Mention[] = [];
  const word = `\\m${name.replace(/[.*+?^${}()|[\]\\]/g, "\\$&")}\\M`;
  for (const t of tables.filter((x) => x.of && x.name !== "file"))
    for (const c of columns.filter((x) => x.table === t.name)) {
      // The table's own narrowing, for all of the projects.
      const of = `EXISTS (SELECT FROM unnest($1::uuid[]) AS wanted(id) WHERE ${t.of!.replaceAll("$1", "wanted.id")})`;
      if (c.type === "text" && who.test(c.column))
        await sql.unsafe(`UPDATE ${t.name} SET ${c.column} = $2 WHERE ${of} AND ${c.column} = $3`, [
          projects as string[],
          blank,
          name,
        ]);
      else if (c.type === "jsonb") {
        const rows = await sql.unsafe<{ at: string; value: unknown }[]>(
          `SELECT ctid::text AS at, ${c.column} AS value FROM ${t.name} ` +
            `WHERE ${of} AND position($2 in ${c.column}::text) > 0`,
          [projects as string[], name],
        );
        for (const r of rows)
          await sql.unsafe(`UPDATE ${t.name} SET ${c.column} = $1 WHERE ctid = $2::tid`, [
            sql.json(without(r.value, name, blank) as never),
            r.at,
          ] as never);
      } else if (c.type === "text") {
        // A label of the record is the program's own; every other text is somebody's.
        if (labelled.has(t.name) && c.column === "label" && /\s/.test(name))
          await sql.unsafe(
            `UPDATE ${t.name} SET label = replace(label, $2, $3) WHERE ${of} AND position($2 in label) > 0`,
            [projects as string[], name, blank],
          );
        const [left] = await sql.unsafe<{ n: number }[]>(
          `SELECT count(*)::int AS n FROM ${t.name} WHERE ${of} AND ${c.column} ~ $2`,
          [projects as string[], word],
        );
        if (left!.n) found.push({ table: t.name, column: c.column, n: left!.n });
      }
    }
  return found;
}
