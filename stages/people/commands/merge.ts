import type * as row from "@/platform/db/rows";
import "server-only";
import { referencesOf } from "@/platform/bundle/catalog";
import { command, found, refuse } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { peopleActs } from "../acts";
import { studentSubject } from "../queries/students";
import * as s from "../schema";

/** What the record that stays had already, so that the other's could not be taken over: by table. */
type Left = Record<string, unknown[]>;

/** Where of a table only one row a person may stand: over which columns beside the person's, and for which rows. */
const onceOf = (sql: Tx, table: string, column: string) => sql<{ others: string[]; rows: string }[]>`
  SELECT
    ARRAY(
      SELECT a.attname::text
      FROM unnest(i.indkey::int[]) k
      JOIN pg_attribute a ON a.attrelid = i.indrelid AND a.attnum = k
      WHERE a.attname <> ${column}
    ) AS others,
    coalesce(pg_get_expr(i.indpred, i.indrelid), 'true') AS rows
  FROM pg_index i
  JOIN pg_attribute p ON p.attrelid = i.indrelid AND p.attname = ${column}
  WHERE i.indrelid = ${table}::regclass AND i.indisunique AND p.attnum = ANY(i.indkey::int[])
`;

/** Lets every reference to one person point to another; where both have the same thing, that of the one who stays. */
async function takeOver(sql: Tx, from: string, to: string): Promise<Left> {
  const left: Left = {};
  // What one record rated the other by would be a rating of oneself.
  const oneself = await sql<{ row: unknown }[]>`
    DELETE FROM peer_rating d
    WHERE rater_id IN ${sql([from, to])} AND ratee_id IN ${sql([from, to])}
    RETURNING to_jsonb(d) AS row
  `;
  if (oneself.length) left.peer_rating = oneself.map((r) => r.row);
  const references = (await referencesOf(sql)).filter((x) => x.to === "person" && x.from !== "session_token");
  for (const { from: table, column } of references) {
    for (const once of await onceOf(sql, table, column)) {
      const same = once.others.map((c) => ` AND x.${c} IS NOT DISTINCT FROM o.${c}`).join("");
      const gone = await sql.unsafe<{ row: unknown }[]>(
        `DELETE FROM ${table} d
         USING
           (SELECT ctid AS this_row, * FROM ${table} WHERE ${column} = $1 AND ${once.rows}) x,
           (SELECT * FROM ${table} WHERE ${column} = $2 AND ${once.rows}) o
         WHERE d.ctid = x.this_row${same}
         RETURNING to_jsonb(d) AS row`,
        [from, to],
      );
      if (gone.length) left[table] = [...(left[table] ?? []), ...gone.map((g) => g.row)];
    }
    await sql.unsafe(`UPDATE ${table} SET ${column} = $2 WHERE ${column} = $1`, [from, to]);
  }
  return left;
}

/** The same where people stand in lists and in what is kept as JSON. */
async function takeOverLists(sql: Tx, from: string, to: string): Promise<void> {
  await sql`
    UPDATE team_constraint
    SET people = CASE
      WHEN ${to}::uuid = ANY(people) THEN array_remove(people, ${from}::uuid)
      ELSE array_replace(people, ${from}::uuid, ${to}::uuid)
    END
    WHERE ${from}::uuid = ANY(people)
  `;
  await sql`
    DELETE FROM wish w
    WHERE kind = 'person' AND target = ${from}
      AND EXISTS (
        SELECT FROM wish o
        WHERE o.project_id = w.project_id AND o.person_id = w.person_id AND o.kind = 'person' AND o.target = ${to}
      )
  `;
  await sql`UPDATE wish SET target = ${to} WHERE kind = 'person' AND target = ${from}`;
  await sql`DELETE FROM wish WHERE kind = 'person' AND target = person_id`;
  await sql`
    UPDATE team_plan
    SET assignment = CASE
      WHEN assignment ? ${to} THEN assignment - ${from}::text
      ELSE replace(assignment::text, ${from}, ${to})::jsonb
    END
    WHERE assignment ? ${from}
  `;
  // A grade that was published for both stays as it was published.
  await sql`
    UPDATE publication
    SET ledger = replace(ledger::text, ${from}, ${to})::jsonb
    WHERE ledger::text LIKE ${`%${from}%`} AND ledger::text NOT LIKE ${`%${to}%`}
  `;
  await sql`
    UPDATE withdrawn_row SET content = replace(content::text, ${from}, ${to})::jsonb
    WHERE content::text LIKE ${`%${from}%`}
  `;
  await sql`UPDATE audit SET actor_id = ${to} WHERE actor_id = ${from}`;
}

/**
 * Two records of one student become one: everything of the second goes to the first, and the second is gone. Where both
 * have the same thing (a mark for the same part), the first one's counts and the audit keeps the other.
 */
export const mergeStudents = command({
  name: "mergeStudents",
  act: peopleActs.edit,
  schema: s.mergeStudents,
  subject: async (sql, i) =>
    (await studentSubject(sql, i.projectId, i.fromId)) && studentSubject(sql, i.projectId, i.personId),
  async run({ sql, audit, actor }, input): Promise<{ left: number }> {
    if (input.personId === input.fromId) refuse("Choose another record of the same student.", "fromId");
    const people = await sql<
      {
        id: row.Person["id"];
        name: row.Person["name"];
        email: row.Person["email"];
        loginName: row.Person["loginName"];
        passwordHash: row.Person["passwordHash"];
        instructor: row.Person["instructor"];
      }[]
    >`
      SELECT id, name, email, login_name, password_hash, instructor
      FROM person
      WHERE id IN ${sql([input.personId, input.fromId])} AND erased_at IS NULL
      ORDER BY id FOR UPDATE
    `;
    const keep = found(
      people.find((p) => p.id === input.personId),
      "The student who stays",
    );
    const from = found(
      people.find((p) => p.id === input.fromId),
      "The other record",
    );
    if (keep.instructor || from.instructor) refuse("An instructor cannot be merged with a student.");
    const elsewhere = await sql<{ title: row.Project["title"] }[]>`
      SELECT DISTINCT p.title
      FROM enrolment e
      JOIN project_section ps USING (section_id)
      JOIN project p ON p.id = ps.project_id
      WHERE e.person_id IN ${sql([keep.id, from.id])}
        AND NOT EXISTS (SELECT FROM staff s WHERE s.project_id = p.id AND s.person_id = ${actor.id})
      ORDER BY p.title
    `;
    if (elsewhere.length)
      refuse(
        `One of them is also in ${elsewhere.map((p) => `“${p.title}”`).join(", ")}, which is another instructor's. ` +
          "Ask that instructor to make you a co-instructor first.",
      );
    // One team a project: that of the one who stays.
    await sql`
      UPDATE membership m SET to_on = greatest(from_on, app_now()::date)
      WHERE person_id = ${from.id} AND to_on IS NULL
        AND EXISTS (
          SELECT FROM membership o WHERE o.project_id = m.project_id AND o.person_id = ${keep.id} AND o.to_on IS NULL
        )
    `;
    // Whoever is in the section by one of the records is in it.
    await sql`
      UPDATE enrolment e SET to_on = NULL
      WHERE person_id = ${keep.id} AND EXISTS (
        SELECT FROM enrolment o WHERE o.person_id = ${from.id} AND o.section_id = e.section_id AND o.to_on IS NULL
      )
    `;
    const left = await takeOver(sql, from.id, keep.id);
    await takeOverLists(sql, from.id, keep.id);
    await sql`DELETE FROM person WHERE id = ${from.id}`;
    await sql`
      UPDATE person
      SET
        email = coalesce(email, ${from.email}), login_name = coalesce(login_name, ${from.loginName}),
        password_hash = coalesce(password_hash, ${from.passwordHash}), version = version + 1
      WHERE id = ${keep.id}
    `;
    const n = Object.values(left).reduce((sum, x) => sum + x.length, 0);
    audit({
      type: "person",
      id: keep.id,
      label: `${from.name} merged into ${keep.name}`,
      before: { merged: from.id, name: from.name, email: from.email, left },
      after: { left: n },
    });
    return { left: n };
  },
});
