import "server-only";
import { hash, verify } from "@node-rs/argon2";
import { createHash, randomBytes, randomInt } from "node:crypto";
import type { Actor, GuestRole, Membership } from "@/core/access/can";
import { readRoster, type RosterPreview } from "@/core/roster/roster";
import Papa from "papaparse";
import { columnsOf } from "./bundle";
import { command, found, projectOf, refuse } from "./command";
import { db, inTransaction, newId, type Sql } from "./db";
import * as s from "./schemas/people";

export const digest = (secret: string): string => createHash("sha256").update(secret).digest("hex");
const newSecret = () => randomBytes(24).toString("base64url");
const newPassword = () => randomBytes(9).toString("base64url");

/** The actor that a person is now: every project with the role in it. */
export async function actorOf(personId: string): Promise<Actor> {
  const [row] = await db()<
    {
      name: string;
      instructor: boolean;
      admin: boolean;
      staff: Record<string, "owner" | "co"> | null;
      classes: { project: string; team: string | null }[] | null;
    }[]
  >`
    SELECT p.name, p.instructor, p.admin,
      (SELECT json_object_agg(project_id, role) FROM staff WHERE person_id = p.id) AS staff,
      (SELECT json_agg(json_build_object('project', ps.project_id, 'team', m.team_id))
         FROM enrolment e JOIN project_section ps USING (section_id)
         LEFT JOIN membership m ON m.project_id = ps.project_id AND m.person_id = e.person_id AND m.to_on IS NULL
        WHERE e.person_id = p.id AND e.to_on IS NULL) AS classes
    FROM person p WHERE p.id = ${personId} AND p.erased_at IS NULL`;
  if (!row) return { kind: "nobody" };
  const projects: Record<string, Membership> = {};
  for (const c of row.classes ?? []) projects[c.project] = { role: "student", team: c.team };
  for (const [project, role] of Object.entries(row.staff ?? {})) projects[project] = { role, team: null };
  return { kind: "person", id: personId, name: row.name, instructor: row.instructor, admin: row.admin, projects };
}

// Sign-in ------------------------------------------------------------------------------------------------------------

export async function schoolIsEmpty(): Promise<boolean> {
  return (await db()`SELECT FROM person WHERE password_hash IS NOT NULL LIMIT 1`).length === 0;
}

const sessionDays = 14;
export async function openSession(personId: string): Promise<{ secret: string; maxAge: number }> {
  const secret = newSecret();
  await db()`DELETE FROM session_token WHERE expires_at < now()`;
  await db()`DELETE FROM request_done WHERE at < now() - interval '7 days'`;
  await db()`
    INSERT INTO session_token (hash, person_id, expires_at)
    VALUES (${digest(secret)}, ${personId}, now() + make_interval(days => ${sessionDays}))
  `;
  return { secret, maxAge: sessionDays * 86_400 };
}
export async function personOfSession(secret: string): Promise<string | null> {
  const [row] = await db()<
    { personId: string }[]
  >`SELECT person_id FROM session_token WHERE hash = ${digest(secret)} AND expires_at > now()`;
  return row?.personId ?? null;
}
export async function closeSession(secret: string): Promise<void> {
  await db()`DELETE FROM session_token WHERE hash = ${digest(secret)}`;
}

// Ten failures per account and two hundred per address in a quarter of an hour: a class behind one address still gets
// in.
const limits = [
  ["account", 10],
  ["address", 200],
] as const;

export type SignIn = { ok: true; personId: string } | { ok: false; message: string };

/**
 * Checks an email and password; attempts are counted and limited, and a wrong email takes as long as a wrong password.
 */
export async function signIn(emailTyped: string, password: string, address: string): Promise<SignIn> {
  const email = emailTyped.trim().toLowerCase();
  const keys = [`account:${email}`, `address:${address}`];
  const sql = db();
  await sql`DELETE FROM sign_in_attempt WHERE at < now() - interval '15 minutes'`;
  const counts = await sql<
    { key: string; n: number }[]
  >`SELECT key, count(*)::int AS n FROM sign_in_attempt WHERE key IN ${sql(keys)} GROUP BY key`;
  if (limits.some(([, most], i) => (counts.find((c) => c.key === keys[i])?.n ?? 0) >= most))
    return { ok: false, message: "Too many attempts. Wait a quarter of an hour, then try again." };
  const [person] = await sql<
    { id: string; passwordHash: string | null }[]
  >`SELECT id, password_hash FROM person WHERE email = ${email} AND erased_at IS NULL`;
  const right = await verify(person?.passwordHash ?? (await decoy()), password).catch(() => false);
  if (!person?.passwordHash || !right) {
    await sql`INSERT INTO sign_in_attempt (key) SELECT unnest(${keys}::text[])`;
    return {
      ok: false,
      message: "This email and password do not belong together. Check both; capitals count in the password.",
    };
  }
  return { ok: true, personId: person.id };
}
let decoyHash: Promise<string> | undefined;
const decoy = () => (decoyHash ??= hash("nobody"));

/** Makes the first instructor of an empty school, who also keeps it; a second call is refused. */
export async function createFirstInstructor(raw: unknown): Promise<SignIn> {
  const input = await s.firstInstructor.validate(raw);
  const passwordHash = await hash(input.password);
  return inTransaction(async (sql) => {
    await sql`LOCK TABLE person IN EXCLUSIVE MODE`;
    if ((await sql`SELECT FROM person WHERE password_hash IS NOT NULL LIMIT 1`).length)
      return { ok: false as const, message: "This school has its first instructor already. Sign in instead." };
    const id = newId();
    await sql`
      INSERT INTO person (id, name, email, password_hash, instructor, admin)
      VALUES (${id}, ${input.name}, ${input.email.toLowerCase()}, ${passwordHash}, true, true)
    `;
    await sql`
      INSERT INTO audit (id, actor_kind, actor_id, actor_name, act, subject_type, subject_id, label)
      VALUES (${newId()}, 'person', ${id}, ${input.name}, 'createFirstInstructor', 'person', ${id}, ${input.name})
    `;
    return { ok: true as const, personId: id };
  });
}

// Roster -------------------------------------------------------------------------------------------------------------

const sectionsOf = (sql: Sql, projectId: string) =>
  sql<{ id: string; name: string }[]>`
    SELECT id, name
    FROM section
    JOIN project_section ps ON ps.section_id = id
    WHERE ps.project_id = ${projectId}
    ORDER BY name
  `;

/** Decodes a file's bytes: UTF-8, UTF-16 with a mark, else Windows-1252 and says so. */
export function decodeText(bytes: Uint8Array): { text: string; warning: string | null } {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return { text: new TextDecoder("utf-16le").decode(bytes), warning: null };
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return { text: new TextDecoder("utf-16be").decode(bytes), warning: null };
  try {
    return { text: new TextDecoder("utf-8", { fatal: true }).decode(bytes), warning: null };
  } catch {
    return {
      text: new TextDecoder("windows-1252").decode(bytes),
      warning: "The file is not UTF-8. It was read as Windows-1252: check names with accents before importing.",
    };
  }
}

export interface RosterLook extends RosterPreview {
  readonly warning: string | null;
  readonly known: number;
}

/** What importing a roster would do; nothing is written. */
export const previewRoster = command({
  name: "previewRoster",
  act: "people.edit",
  schema: s.rosterText,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<RosterLook> {
    const sections = await sectionsOf(sql, input.projectId);
    const { text, warning } = input.base64
      ? decodeText(Buffer.from(input.base64, "base64"))
      : { text: input.text, warning: null };
    if (text.includes("\u0000"))
      refuse(
        "This is not a text file. Save the spreadsheet as CSV (UTF-8) and choose that file, or copy the " +
          "cells and paste them.",
        "text",
      );
    const cells = Papa.parse<string[]>(text.replace(/^\ufeff/, "").trim(), {
      delimiter: text.includes("\t") ? "\t" : "",
    }).data;
    const preview = readRoster(
      text.trim() === "" ? [] : cells,
      sections.map((x) => x.name),
    );
    const known = preview.rows.length
      ? (
          await sql<{ n: number }[]>`
            SELECT count(*)::int AS n
            FROM enrolment e
            JOIN person p ON p.id = e.person_id
            JOIN section c ON c.id = e.section_id
            JOIN project_section ps ON ps.section_id = c.id
            WHERE ps.project_id = ${input.projectId}
              AND e.to_on IS NULL
              AND (
                c.name || '/' || lower(p.name)
              ) IN ${sql(preview.rows.map((r) => `${r.section}/${r.name.toLowerCase()}`))}
          `
        )[0]!.n
      : 0;
    audit({ type: "roster", label: `looked at ${preview.rows.length} rows` });
    return { ...preview, warning, known };
  },
});

/** Enrols the rows of a roster, all or none; people already in a section are left as they are. */
export const importRoster = command({
  name: "importRoster",
  act: "people.edit",
  schema: s.rosterRows,
  twice: "One of these email addresses belongs to somebody else already. Nobody was imported.",
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ added: number }> {
    const sections = new Map((await sectionsOf(sql, input.projectId)).map((x) => [x.name, x.id]));
    const present = new Set(
      (
        await sql<{ k: string }[]>`
          SELECT e.section_id || '/' || lower(p.name) AS k
          FROM enrolment e
          JOIN person p ON p.id = e.person_id
          WHERE e.section_id IN ${sql([...sections.values(), newId()])} AND e.to_on IS NULL
        `
      ).map((r) => r.k),
    );
    const fresh = input.rows.flatMap((r) => {
      const sectionId = sections.get(r.section);
      if (!sectionId) refuse(`There is no section “${r.section}”. Nobody was imported.`);
      return present.has(`${sectionId}/${r.name.toLowerCase()}`) ? [] : [{ ...r, sectionId, id: newId() }];
    });
    if (fresh.length) {
      await sql`INSERT INTO person ${sql(fresh.map((r) => ({ id: r.id, name: r.name, email: r.email || null })))}`;
      await sql`
        INSERT INTO enrolment ${sql(fresh.map((r) => ({ id: newId(), sectionId: r.sectionId, personId: r.id })))}
      `;
    }
    audit({
      type: "roster",
      label: `${fresh.length} students`,
      after: fresh.map((r) => ({ name: r.name, section: r.section })),
    });
    return { added: fresh.length };
  },
});

const studentSubject = async (sql: Sql, projectId: string, personId: string) => {
  const [row] = await sql`
      SELECT
      FROM enrolment e
      JOIN project_section ps USING (section_id)
      WHERE ps.project_id = ${projectId} AND e.person_id = ${personId}
    `;
  return row ? { project: projectId, person: personId } : null;
};

/** Gives a student an email to sign in with and a first password, shown once. */
export const giveLogin = command({
  name: "giveLogin",
  shownOnce: true,
  act: "people.edit",
  schema: s.login,
  twice: "This email address belongs to somebody else already.",
  subject: (sql, i) => studentSubject(sql, i.projectId, i.personId),
  async run({ sql, audit }, input): Promise<{ password: string }> {
    const [person] = await sql<
      { name: string; instructor: boolean }[]
    >`SELECT name, instructor FROM person WHERE id = ${input.personId} AND erased_at IS NULL`;
    if (found(person, "This student").instructor) refuse("An instructor sets their own password.");
    const password = newPassword();
    await sql`
      UPDATE person
      SET email = ${input.email.toLowerCase()}, password_hash = ${await hash(password)}, version = version + 1
      WHERE id = ${input.personId}
    `;
    await sql`DELETE FROM session_token WHERE person_id = ${input.personId}`;
    audit({ type: "person", id: input.personId, label: person!.name, after: { login: "given" } });
    return { password };
  },
});

/** Takes a student out of the project's sections; the record keeps what they did. */
export const endEnrolment = command({
  name: "endEnrolment",
  act: "people.edit",
  schema: s.student,
  subject: (sql, i) => studentSubject(sql, i.projectId, i.personId),
  async run({ sql, audit, today }, input) {
    const [p] = await sql<{ name: string }[]>`SELECT name FROM person WHERE id = ${input.personId}`;
    await sql`
      UPDATE enrolment
      SET to_on = ${today}
      WHERE person_id = ${input.personId}
        AND section_id IN (SELECT section_id FROM project_section WHERE project_id = ${input.projectId})
    `;
    await sql`
      UPDATE membership
      SET to_on = ${today}
      WHERE person_id = ${input.personId} AND project_id = ${input.projectId} AND to_on IS NULL
    `;
    audit({ type: "person", id: input.personId, label: p?.name, after: { enrolled: false } });
  },
});

/** Erases a student: name, login and marks' names go; team records stay without the name. Cannot be undone. */
export const eraseStudent = command({
  name: "eraseStudent",
  act: "people.edit",
  schema: s.erase,
  subject: (sql, i) => studentSubject(sql, i.projectId, i.personId),
  async run({ sql, audit, today }, input) {
    const [row] = await sql<
      { name: string; instructor: boolean }[]
    >`SELECT name, instructor FROM person WHERE id = ${input.personId} AND erased_at IS NULL`;
    const p = found(row, "This student");
    if (p.instructor) refuse("An instructor cannot be erased as a student.");
    if (input.confirm.trim() !== p.name) refuse(`Write the student's name, ${p.name}, to confirm.`, "confirm");
    const blank = "erased student";
    await sql`
      UPDATE person
      SET name = ${blank}, email = NULL, password_hash = NULL, erased_at = now(), version = version + 1
      WHERE id = ${input.personId}
    `;
    await sql`DELETE FROM session_token WHERE person_id = ${input.personId}`;
    await sql`DELETE FROM entered_mark WHERE person_id = ${input.personId}`;
    for (const table of [
      "brief_reading",
      "trait",
      "wish",
      "notebook_entry",
      "tool_sign_off",
      "gate_tick",
      "part_owner",
    ])
      await sql`DELETE FROM ${sql(table)} WHERE person_id = ${input.personId}`;
    await sql`UPDATE selection_sheet SET rater_person = NULL WHERE rater_person = ${input.personId}`;
    await sql`
      UPDATE team_constraint
      SET people = array_remove(people, ${input.personId}::uuid)
      WHERE ${input.personId}::uuid = ANY(people) AND cardinality(people) > 1
    `;
    await sql`DELETE FROM team_constraint WHERE people = ARRAY[${input.personId}::uuid]`;
    await sql`UPDATE team_plan SET assignment = assignment - ${input.personId} WHERE project_id = ${input.projectId}`;
    await sql`UPDATE statement_apart SET told_by = ${blank} WHERE told_by = ${p.name}`;
    await sql`UPDATE enrolment SET to_on = coalesce(to_on, ${today}) WHERE person_id = ${input.personId}`;
    await sql`UPDATE membership SET to_on = ${today} WHERE person_id = ${input.personId} AND to_on IS NULL`;
    await sql`
      UPDATE publication
      SET ledger = (
        SELECT jsonb_agg(
          CASE WHEN x->>'personId' = ${input.personId} THEN x || jsonb_build_object(
            'name', ${blank}::text, 'grade', null, 'components', '[]'::jsonb
          ) ELSE x END
        )
        FROM jsonb_array_elements(ledger) x
      )
      WHERE ledger @> ${sql.json([{ personId: input.personId }])}
    `;
    await sql`UPDATE audit SET actor_name = ${blank} WHERE actor_id = ${input.personId}`;
    await sql`UPDATE audit SET label = ${blank}, before = NULL, after = NULL WHERE subject_id = ${input.personId}`;
    await sql`
      UPDATE audit
      SET before = NULL, after = NULL
      WHERE project_id = ${input.projectId}
        AND (before::text LIKE ${`%${p.name}%`} OR after::text LIKE ${`%${p.name}%`})
    `;
    // Wherever else the name was written down in the projects of this student: as who recorded something, in a label,
    // in a draw.
    const projects = (
      await sql<{ id: string }[]>`
        SELECT DISTINCT ps.project_id AS id
        FROM enrolment e
        JOIN project_section ps USING (section_id)
        WHERE e.person_id = ${input.personId}
      `
    ).map((x) => x.id);
    const columns = await columnsOf(sql);
    const owned = new Set(columns.filter((c) => c.column === "project_id").map((c) => c.table));
    const pattern = `\\m${p.name.replace(/[.*+?^${}()|[\]\\]/g, "\\$&")}\\M`;
    for (const c of columns)
      if (owned.has(c.table) && (c.type === "text" || c.type === "jsonb"))
        await sql.unsafe(
          `UPDATE ${c.table} SET ${c.column} = regexp_replace(${c.column}::text, $1, $2, 'g')::${c.type} WHERE ` +
            `project_id = ANY($3::uuid[]) AND ${c.column}::text ~ $1`,
          [pattern, blank, projects],
        );
    audit({ type: "person", id: input.personId, label: blank, reason: "erased at the instructor's order" });
  },
});

// Staff and guests ---------------------------------------------------------------------------------------------------

/** Adds a co-instructor; a person new to the school gets a first password, shown once. */
export const addCoInstructor = command({
  name: "addCoInstructor",
  shownOnce: true,
  act: "staff.manage",
  schema: s.coInstructor,
  twice: "This person is on the project already.",
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ password: string | null }> {
    const email = input.email.toLowerCase();
    const [known] = await sql<
      { id: string; instructor: boolean }[]
    >`SELECT id, instructor FROM person WHERE email = ${email}`;
    if (known && !known.instructor) refuse("This email address belongs to a student.", "email");
    const password = known ? null : newPassword();
    const id = known?.id ?? newId();
    if (password)
      await sql`
        INSERT INTO person (id, name, email, password_hash, instructor)
        VALUES (${id}, ${input.name}, ${email}, ${await hash(password)}, true)
      `;
    await sql`INSERT INTO staff (project_id, person_id, role) VALUES (${input.projectId}, ${id}, 'co')`;
    audit({ type: "staff", id, label: input.name, after: { role: "co-instructor" } });
    return { password };
  },
});

/** Makes a guest link: its secret (and PIN for judges and scorers) is shown once and stored as a hash. */
export const createGuestLink = command({
  name: "createGuestLink",
  shownOnce: true,
  act: "guest.manage",
  schema: s.guestLink,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ secret: string; pin: string | null }> {
    const secret = newSecret();
    const pin = input.role === "judge" || input.role === "scorer" ? String(randomInt(1000, 10_000)) : null;
    const id = newId();
    await sql`
      INSERT INTO guest_link (id, project_id, role, label, secret_hash, pin_hash, expires_at)
      VALUES (
        ${id}, ${input.projectId}, ${input.role}, ${input.label}, ${digest(secret)}, ${pin ? await hash(pin) : null},
        now() + make_interval(days => ${input.days})
      )
    `;
    audit({ type: "guest link", id, label: `${input.label} (${input.role})` });
    return { secret, pin };
  },
});

export const revokeGuestLink = command({
  name: "revokeGuestLink",
  act: "guest.manage",
  schema: s.guestLinkId,
  subject: (sql, i) => projectOf(sql, "guest_link", i.id),
  async run({ sql, audit }, input) {
    const [g] = await sql<{ label: string }[]>`
      UPDATE guest_link
      SET revoked_at = coalesce(revoked_at, now()), version = version + 1
      WHERE id = ${input.id}
      RETURNING label
    `;
    audit({ type: "guest link", id: input.id, label: g?.label, after: { revoked: true } });
  },
});

interface GuestRow {
  id: string;
  projectId: string;
  slug: string;
  role: GuestRole;
  label: string;
  pinHash: string | null;
}

const guestRow = async (secret: string): Promise<GuestRow | null> =>
  (
    await db()<GuestRow[]>`
      SELECT g.id, g.project_id, p.slug, g.role, g.label, g.pin_hash
      FROM guest_link g
      JOIN project p ON p.id = g.project_id
      WHERE g.secret_hash = ${digest(secret)} AND g.revoked_at IS NULL AND g.expires_at > now()
    `
  )[0] ?? null;

export type GuestKnock =
  | { state: "unknown" }
  | { state: "pin"; message: string | null }
  | { state: "open"; guest: Omit<GuestRow, "pinHash"> };

/** Opens a guest link, asking for its PIN where it has one; wrong PINs are counted and limited per link. */
export async function knock(secret: string, pin: string | null): Promise<GuestKnock> {
  const row = await guestRow(secret);
  if (!row) return { state: "unknown" };
  const { pinHash, ...guest } = row;
  if (!pinHash) return { state: "open", guest };
  if (pin === null) return { state: "pin", message: null };
  const key = `pin:${row.id}`;
  const [{ n } = { n: 0 }] = await db()<
    { n: number }[]
  >`SELECT count(*)::int AS n FROM sign_in_attempt WHERE key = ${key} AND at > now() - interval '15 minutes'`;
  if (n >= 10)
    return {
      state: "pin",
      message: "Too many attempts. Wait a quarter of an hour, or ask the instructor for a new link.",
    };
  if (await verify(pinHash, pin.trim())) return { state: "open", guest };
  await db()`INSERT INTO sign_in_attempt (key) VALUES (${key})`;
  return {
    state: "pin",
    message:
      "This is not the link's PIN. It has four digits and stands beside the link on the instructor's People page.",
  };
}

/** A guest's cookie holds the link's secret and, once the PIN was right, a mark derived from both. */
export async function guestActor(cookie: string): Promise<Actor> {
  const [secret = "", mark = ""] = cookie.split(".");
  const row = await guestRow(secret);
  if (!row || (row.pinHash && mark !== digest(`${secret}${row.pinHash}`))) return { kind: "nobody" };
  return { kind: "guest", id: row.id, name: row.label, role: row.role, project: row.projectId };
}
export async function guestCookie(secret: string): Promise<string> {
  const row = await guestRow(secret);
  return row?.pinHash ? `${secret}.${digest(`${secret}${row.pinHash}`)}` : secret;
}

export interface Student {
  id: string;
  name: string;
  email: string | null;
  hasLogin: boolean;
  sectionId: string;
  section: string;
  teamId: string | null;
  team: string | null;
  role: string | null;
}

/** The students now in a project's sections with their teams, by section and name. */
export const studentsOf = (projectId: string) => db()<Student[]>`
  SELECT
    p.id, p.name, p.email, p.password_hash IS NOT NULL AS has_login, c.id AS section_id, c.name AS section,
    t.id AS team_id, t.name AS team, m.role
  FROM enrolment e
  JOIN project_section ps ON ps.section_id = e.section_id
  JOIN section c ON c.id = e.section_id
  JOIN person p ON p.id = e.person_id
  LEFT JOIN membership m ON m.project_id = ps.project_id AND m.person_id = p.id AND m.to_on IS NULL
  LEFT JOIN team t ON t.id = m.team_id
  WHERE ps.project_id = ${projectId} AND e.to_on IS NULL
  ORDER BY c.name, p.name
`;

export const staffOf = (projectId: string) =>
  db()<{ id: string; name: string; email: string | null; role: string }[]>`
    SELECT p.id, p.name, p.email, s.role
    FROM staff s
    JOIN person p ON p.id = s.person_id
    WHERE s.project_id = ${projectId}
    ORDER BY s.role DESC, p.name
  `;
export const guestLinksOf = (projectId: string) => db()<
  { id: string; role: GuestRole; label: string; expiresAt: string; revokedAt: string | null; hasPin: boolean }[]
>`
  SELECT id, role, label, expires_at, revoked_at, pin_hash IS NOT NULL AS has_pin
  FROM guest_link
  WHERE project_id = ${projectId}
  ORDER BY id
`;

/** Everything that is stored about one student in a project, for the student or a parent who asks. */
export async function studentRecord(projectId: string, personId: string) {
  const sql = db();
  const one = <T>(rows: readonly T[]) => rows[0] ?? null;
  const [
    person,
    enrolments,
    memberships,
    readings,
    marks,
    actions,
    concepts,
    checks,
    grades,
    questions,
    notes,
    wishes,
    traits,
    votes,
    parts,
    tools,
    notebook,
  ] = await Promise.all([
    sql`SELECT id, name, email FROM person WHERE id = ${personId}`,
    sql`
      SELECT c.name AS section, e.from_on, e.to_on
      FROM enrolment e
      JOIN section c ON c.id = e.section_id
      WHERE e.person_id = ${personId}
    `,
    sql`
      SELECT t.name AS team, m.role, m.from_on, m.to_on
      FROM membership m
      JOIN team t ON t.id = m.team_id
      WHERE m.person_id = ${personId} AND m.project_id = ${projectId}
    `,
    sql`
      SELECT b.number AS brief_version, r.at
      FROM brief_reading r
      JOIN brief_version b ON b.id = r.brief_version_id
      WHERE r.person_id = ${personId} AND b.project_id = ${projectId}
    `,
    sql`
      SELECT component, kind, share, reason, entered_by, entered_at
      FROM entered_mark
      WHERE person_id = ${personId} AND project_id = ${projectId}
    `,
    sql`
      SELECT what, due_on, closed_at, closing_evidence
      FROM action_item
      WHERE owner_id = ${personId} AND project_id = ${projectId}
    `,
    sql`
      SELECT title, idea, fate, fate_reason, created_at
      FROM concept
      WHERE author_id = ${personId} AND project_id = ${projectId}
    `,
    sql`
      SELECT m.title, k.done_on
      FROM milestone_check k
      JOIN milestone m ON m.id = k.milestone_id
      WHERE k.person_id = ${personId} AND k.project_id = ${projectId}
    `,
    sql`
      SELECT
        number, published_at,
        jsonb_path_query_first(
          ledger, '$[*] ? (@.personId == $id)', jsonb_build_object('id', ${personId}::text)
        ) AS grade
      FROM publication
      WHERE project_id = ${projectId}
      ORDER BY number
    `,
    sql`SELECT text, created_at FROM question WHERE drafter_id = ${personId} AND project_id = ${projectId}`,
    sql`
      SELECT n.text, s.title AS source, n.written_at
      FROM note n
      JOIN source s ON s.id = n.source_id
      WHERE n.author_id = ${personId} AND n.project_id = ${projectId}
    `,
    sql`
      SELECT
        kind, place,
        coalesce((SELECT name FROM person WHERE id = target), (SELECT title FROM concept WHERE id = target)) AS wish
      FROM wish
      WHERE person_id = ${personId} AND project_id = ${projectId}
    `,
    sql`SELECT skills, marked FROM trait WHERE person_id = ${personId} AND project_id = ${projectId}`,
    sql`
      SELECT x.title, h.marks, h.handed_in_at
      FROM selection_sheet h
      JOIN selection x ON x.id = h.selection_id
      WHERE h.rater_person = ${personId} AND h.project_id = ${projectId}
    `,
    sql`
      SELECT p.name, p.role
      FROM part p
      JOIN part_owner o ON o.part_id = p.id
      WHERE o.person_id = ${personId} AND p.project_id = ${projectId}
    `,
    sql`
      SELECT t.name, x.signed_on, x.signed_by
      FROM tool_sign_off x
      JOIN tool t ON t.id = x.tool_id
      WHERE x.person_id = ${personId} AND x.project_id = ${projectId}
    `,
    sql`
      SELECT e.on_date, v.number, v.text, v.reason, v.written_at
      FROM notebook_entry e
      JOIN notebook_version v ON v.entry_id = e.id
      WHERE e.person_id = ${personId} AND e.project_id = ${projectId}
      ORDER BY e.on_date, v.number
    `,
  ]);
  return {
    person: one(person),
    enrolments,
    memberships,
    briefReadings: readings,
    marks,
    actionItems: actions,
    concepts,
    milestoneChecks: checks,
    publishedGrades: grades,
    questions,
    notes,
    wishes,
    traits,
    selectionSheets: votes,
    parts,
    toolSignOffs: tools,
    notebook,
  };
}
