import "server-only";
import { inLongTransaction, type Sql } from "@/platform/db/db";
import type { Table } from "../registry/table";
import { asBundleError, BundleError, openBundle } from "./open";
import { checkOwn, insertRows, peopleOf } from "./unpack";

/**
 * Brings a project in, all of it or nothing. The importing person becomes its owner. A project that is here already is
 * refused, and so is a bundle that holds anything of another project.
 */
export async function importProject(
  tables: readonly Table[],
  bytes: Uint8Array,
  ownerId: string | null,
): Promise<{ slug: string; title: string }> {
  const bundle = openBundle(tables, bytes, "project");
  const projects = bundle.rows<{ id: string; slug: string; title: string }>("project");
  const [p] = projects;
  if (!p || projects.length > 1) throw new BundleError("The bundle does not hold one project.");
  try {
    await inLongTransaction(async (sql) => {
      const here = await sql`SELECT FROM project WHERE id = ${p.id} OR slug = ${p.slug}`;
      if (here.length) throw new BundleError(`“${p.title}” is here already. Nothing was imported.`);
      const people = await peopleOf(sql, bundle, ownerId);
      await insertRows(sql, tables, bundle, "project", people);
      await checkOwn(sql, tables, bundle, people, p.id);
      if (ownerId) await sql`INSERT INTO staff (project_id, person_id, role) VALUES (${p.id}, ${ownerId}, 'owner')`;
    });
  } catch (error) {
    throw asBundleError(error);
  }
  return { slug: p.slug, title: p.title };
}

/** Takes everything out of the school, sign-in and requests included. */
export const emptySchool = (sql: Sql, tables: readonly Table[]) =>
  sql.unsafe(
    `TRUNCATE ${tables.map((t) => t.name).join(", ")}, session_token, guess, known_device, request_done CASCADE`,
  );

/** Replaces the whole school by a backup, all of it or nothing. Everybody is signed out. */
export async function restoreSchool(tables: readonly Table[], bytes: Uint8Array): Promise<void> {
  const bundle = openBundle(tables, bytes, "backup");
  try {
    await inLongTransaction(async (sql) => {
      await emptySchool(sql, tables);
      await insertRows(sql, tables, bundle, "backup", new Map());
    });
  } catch (error) {
    throw asBundleError(error);
  }
}
