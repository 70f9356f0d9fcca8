import "server-only";
import { db } from "@/platform/db/db";
import type { HomeItem, HomeLine, Person } from "@/platform/registry/stage";
import { stages } from "@/stages/index";

export interface StudentProject {
  readonly slug: string;
  readonly title: string;
  readonly team: string | null;
  /** The next thing that is due by a date. */
  readonly next: { readonly what: string; readonly on: string } | null;
  readonly about: readonly HomeLine[];
  readonly items: readonly HomeItem[];
}

/** What is next for a student in each running project, from what every stage adds: one query for all of it. */
export async function studentHome(actor: Person, today: string): Promise<StudentProject[]> {
  const ids = Object.entries(actor.projects)
    .filter(([, m]) => m.role === "student")
    .map(([id]) => id);
  if (!ids.length) return [];
  const sql = db();
  const parts = stages.flatMap((s) => (s.home ? [s.home] : []));
  const columns = parts.map((h) => h.columns(sql, { id: actor.id, today }));
  const rows = await sql<({ slug: string; title: string; team: string | null } & Record<string, unknown>)[]>`
    SELECT p.slug, p.title, t.name AS team, ${columns.flatMap((c, i) => (i ? [sql`,`, c] : [c]))}
    FROM project p
    LEFT JOIN membership m ON m.project_id = p.id AND m.person_id = ${actor.id} AND m.to_on IS NULL
    LEFT JOIN team t ON t.id = m.team_id
    WHERE p.id IN ${sql(ids)} AND p.finished_at IS NULL
    ORDER BY p.starts_on DESC
  `;
  return rows.map((row) => ({
    slug: row.slug,
    title: row.title,
    team: row.team,
    next: parts.flatMap((h) => h.due?.(row) ?? []).sort((a, b) => (a.on < b.on ? -1 : 1))[0] ?? null,
    about: parts.flatMap((h) => h.about?.(row, today) ?? []),
    items: parts.flatMap((h) => h.items?.(row, today) ?? []).sort((a, b) => (a.rank ?? 0) - (b.rank ?? 0)),
  }));
}
