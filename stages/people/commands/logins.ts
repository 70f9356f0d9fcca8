import type * as row from "@/platform/db/rows";
import "server-only";
import { hash, verify } from "@node-rs/argon2";
import { loginNameFor } from "@/core/roster/login-name";
import { byName } from "@/core/text/plain";
import { command, found, refuse } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { firstPassword } from "@/platform/sign-in/secrets";
import { accountActs, peopleActs, staffActs } from "../acts";
import { studentSubject, studentsOf } from "../queries/students";
import * as s from "../schema";

/** What a person is given once, on paper: the password is kept as a hash only. */
export interface Slip {
  readonly name: string;
  readonly section: string;
  /** What is typed at the door: the sign-in name, or the email where there is only that. */
  readonly signIn: string;
  readonly password: string;
}

/** The sign-in names that are given already; nobody else makes one until this transaction has ended. */
async function namesTaken(sql: Tx): Promise<Set<string>> {
  await sql`SELECT pg_advisory_xact_lock(714024)`;
  const rows = await sql<{ n: string }[]>`SELECT login_name AS n FROM person WHERE login_name IS NOT NULL`;
  return new Set(rows.map((x) => x.n));
}

/** Gives a person a password; every session ends, but the one that is kept. */
async function setPassword(sql: Tx, personId: string, passwordHash: string, keep = "") {
  await sql`UPDATE person SET password_hash = ${passwordHash}, version = version + 1 WHERE id = ${personId}`;
  await sql`DELETE FROM session_token WHERE person_id = ${personId} AND hash <> ${keep}`;
}

async function give(sql: Tx, personId: string, loginName: string | null, email: string | null, passwordHash: string) {
  await sql`UPDATE person SET login_name = ${loginName}, email = ${email} WHERE id = ${personId}`;
  await setPassword(sql, personId, passwordHash);
}

/**
 * Gives every student of a section (or of the project) who has none a login: a sign-in name made of the name, and a
 * first password, shown once for slips and the list.
 */
export const giveLogins = command({
  name: "giveLogins",
  afterFinish: true,
  shownOnce: true,
  act: peopleActs.edit,
  schema: s.sectionLogins,
  subject: (_, i) => ({ project: i.projectId }),
  async prepare(input) {
    const without = (await studentsOf(input.projectId)).filter(
      (x) => !x.hasLogin && (!input.sectionId || x.sectionId === input.sectionId),
    );
    return new Map(await Promise.all(without.map(async (x) => [x.id as string, await firstPassword()] as const)));
  },
  async run({ sql, audit }, input, made): Promise<{ slips: Slip[] }> {
    const taken = await namesTaken(sql);
    const people = await sql<
      {
        id: row.Person["id"];
        name: row.Person["name"];
        email: row.Person["email"];
        loginName: row.Person["loginName"];
        section: row.Section["name"];
      }[]
    >`
      SELECT DISTINCT ON (p.id) p.id, p.name, p.email, p.login_name, c.name AS section
      FROM person p
      JOIN enrolment e ON e.person_id = p.id AND e.to_on IS NULL
      JOIN project_section ps ON ps.section_id = e.section_id AND ps.project_id = ${input.projectId}
      JOIN section c ON c.id = e.section_id
      WHERE p.id = ANY(${[...made.keys()]}::uuid[]) AND p.password_hash IS NULL AND p.erased_at IS NULL
        AND NOT p.instructor
    `;
    people.sort((a, b) => byName(a.section, b.section) || byName(a.name, b.name));
    const slips: Slip[] = [];
    for (const p of people) {
      const loginName = p.loginName ?? loginNameFor(p.name, taken);
      taken.add(loginName);
      const { password, passwordHash } = made.get(p.id)!;
      await give(sql, p.id, loginName, p.email, passwordHash);
      slips.push({ name: p.name, section: p.section, signIn: loginName, password });
    }
    if (!slips.length) refuse("Everybody here has a login already. A new password is made in the student's row.");
    audit({ type: "logins", label: `${slips.length} logins`, after: { people: slips.map((x) => x.signIn) } });
    return { slips };
  },
});

/** Gives one student a login or a new password; the sign-in name and the email may be set with it. */
export const giveLogin = command({
  name: "giveLogin",
  afterFinish: true,
  shownOnce: true,
  act: peopleActs.edit,
  schema: s.login,
  subject: (sql, i) => studentSubject(sql, i.projectId, i.personId),
  prepare: firstPassword,
  async run({ sql, audit }, input, { password, passwordHash }): Promise<Slip> {
    const [person] = await sql<
      {
        name: row.Person["name"];
        email: row.Person["email"];
        loginName: row.Person["loginName"];
        instructor: row.Person["instructor"];
      }[]
    >`SELECT name, email, login_name, instructor FROM person WHERE id = ${input.personId} AND erased_at IS NULL`;
    const p = found(person, "This student");
    if (p.instructor) refuse("An instructor sets their own password.");
    const email = input.email ? input.email.toLowerCase() : p.email;
    const wanted = input.loginName ? input.loginName.toLowerCase() : p.loginName;
    const loginName = wanted ?? (email ? null : loginNameFor(p.name, await namesTaken(sql)));
    await give(sql, input.personId, loginName, email, passwordHash);
    audit({ type: "person", id: input.personId, label: p.name, after: { login: "given" } });
    return { name: p.name, section: "", signIn: loginName ?? email!, password };
  },
});

/** Gives a co-instructor of the project a new password; the project's owner does it. */
export const resetInstructor = command({
  name: "resetInstructor",
  afterFinish: true,
  shownOnce: true,
  act: staffActs.manage,
  schema: s.student,
  subject: (_, i) => ({ project: i.projectId }),
  prepare: firstPassword,
  async run({ sql, audit, actor }, input, { password, passwordHash }): Promise<Slip> {
    const [row] = await sql<{ name: row.Person["name"]; email: row.Person["email"]; admin: boolean }[]>`
      SELECT p.name, p.email, p.admin
      FROM person p
      JOIN staff s ON s.person_id = p.id
      WHERE p.id = ${input.personId} AND s.project_id = ${input.projectId} AND s.role = 'co'
    `;
    const p = found(row, "This co-instructor");
    if (p.admin) refuse("Who keeps the school changes their own password.");
    const elsewhere = await sql`
      SELECT FROM staff s
      WHERE s.person_id = ${input.personId} AND s.project_id <> ${input.projectId}
        AND NOT EXISTS (SELECT FROM staff o WHERE o.project_id = s.project_id AND o.person_id = ${actor.id})
    `;
    if (elsewhere.length)
      refuse(`${p.name} has projects of their own, which a new password would open. Ask whoever keeps the school.`);
    await setPassword(sql, input.personId, passwordHash);
    audit({ type: "person", id: input.personId, label: p.name, after: { password: "new" } });
    return { name: p.name, section: "", signIn: p.email ?? "", password };
  },
});

/** Takes a co-instructor out of a project; what they wrote stays. */
export const removeStaff = command({
  name: "removeStaff",
  afterFinish: true,
  act: staffActs.manage,
  schema: s.student,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const [gone] = await sql<{ name: string }[]>`
      DELETE FROM staff s
      USING person p
      WHERE s.project_id = ${input.projectId} AND s.person_id = ${input.personId} AND s.role = 'co'
        AND p.id = s.person_id
      RETURNING p.name
    `;
    audit({ type: "staff", id: input.personId, label: found(gone, "This co-instructor").name, after: { role: null } });
  },
});

/** Changes one's own password; every other device is signed out. */
export const changePassword = command({
  name: "changePassword",
  act: accountActs.own,
  schema: s.ownPassword,
  subject: (_, _i, actor) => ({ person: actor.kind === "person" ? actor.id : "" }),
  prepare: (i) => hash(i.password),
  async run({ sql, audit, actor }, input, passwordHash) {
    const [p] = await sql<
      { name: row.Person["name"]; passwordHash: row.Person["passwordHash"] }[]
    >`SELECT name, password_hash FROM person WHERE id = ${actor.id} FOR UPDATE`;
    if (!p?.passwordHash || !(await verify(p.passwordHash, input.current)))
      refuse("This is not your password now.", "current");
    await setPassword(sql, actor.id, passwordHash, input.keep);
    audit({ type: "person", id: actor.id, label: p!.name, after: { password: "changed" } });
  },
});

/** Signs out other devices of the person: one, or all of them. */
export const endSessions = command({
  name: "endSessions",
  act: accountActs.own,
  schema: s.sessions,
  subject: (_, _i, actor) => ({ person: actor.kind === "person" ? actor.id : "" }),
  async run({ sql, audit, actor }, input) {
    const ended = await sql`
      DELETE FROM session_token
      WHERE person_id = ${actor.id} AND hash <> ${input.keep}
        AND (${input.one ?? null}::text IS NULL OR hash = ${input.one ?? null})
      RETURNING hash
    `;
    audit({ type: "person", id: actor.id, label: `${ended.length} devices signed out` });
  },
});
