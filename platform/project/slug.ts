import type * as row from "../db/rows";
import "server-only";
import type { Tx } from "@/platform/db/db";

/** The address of a project from its title; a number is added where the address is taken. */
export async function freeSlug(sql: Tx, title: string): Promise<string> {
  const base =
    title
      .normalize("NFKD")
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-+|-+$/g, "")
      .slice(0, 60) || "project";
  const taken = new Set(
    (
      await sql<
        { slug: row.Project["slug"] }[]
      >`SELECT slug FROM project WHERE slug = ${base} OR slug LIKE ${`${base}-%`}`
    ).map((r) => r.slug),
  );
  for (let i = 1; ; i++) {
    const slug = i === 1 ? base : `${base}-${i}`;
    if (!taken.has(slug)) return slug;
  }
}
