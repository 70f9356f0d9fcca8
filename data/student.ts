import "server-only";
import { format, parseISO } from "date-fns";
import type { Actor } from "@/core/access/can";
import { db } from "./db";

export interface StudentProject { slug: string; title: string; team: string | null; items: { what: string; note: string; href: string }[] }

/** What is next for a student in each running project: the brief to read, actions, milestones, the review to come. */
export async function studentHome(actor: Extract<Actor, { kind: "person" }>, today: string): Promise<StudentProject[]> {
  const ids = Object.entries(actor.projects).filter(([, m]) => m.role === "student").map(([id]) => id);
  if (!ids.length) return [];
  const sql = db();
  const rows = await sql<{ slug: string; title: string; team: string | null; unread: number | null; actions: { what: string; dueOn: string; reviewId: string }[]; milestones: { title: string; dueOn: string }[]; review: { title: string; heldOn: string; id: string } | null; published: number | null }[]>`
    SELECT p.slug, p.title, t.name AS team,
      (SELECT b.number FROM brief_version b WHERE b.project_id = p.id AND b.number = (SELECT max(number) FROM brief_version WHERE project_id = p.id) AND NOT EXISTS (SELECT FROM brief_reading r WHERE r.brief_version_id = b.id AND r.person_id = ${actor.id})) AS unread,
      (SELECT coalesce(json_agg(json_build_object('what', what, 'dueOn', due_on, 'reviewId', review_id) ORDER BY due_on), '[]') FROM action_item WHERE team_id = t.id AND closed_at IS NULL) AS actions,
      (SELECT coalesce(json_agg(json_build_object('title', title, 'dueOn', due_on) ORDER BY due_on), '[]') FROM milestone m WHERE m.project_id = p.id AND NOT EXISTS (SELECT FROM milestone_check k WHERE k.milestone_id = m.id AND (k.team_id = t.id OR k.person_id = ${actor.id}))) AS milestones,
      (SELECT json_build_object('title', title, 'heldOn', held_on, 'id', id) FROM review WHERE team_id = t.id AND held_on >= ${today} ORDER BY held_on LIMIT 1) AS review,
      (SELECT max(number) FROM publication WHERE project_id = p.id) AS published
    FROM project p LEFT JOIN membership m ON m.project_id = p.id AND m.person_id = ${actor.id} AND m.to_on IS NULL LEFT JOIN team t ON t.id = m.team_id
    WHERE p.id IN ${sql(ids)} AND p.finished_at IS NULL ORDER BY p.starts_on DESC`;
  const day = (d: string) => format(parseISO(d), "d MMM");
  const late = (d: string) => `${d < today ? "was due" : "due"} ${day(d)}`;
  return rows.map((r) => ({
    slug: r.slug, title: r.title, team: r.team,
    items: [
      ...(r.unread ? [{ what: "Read the brief", note: `version ${r.unread} is new to you`, href: `/p/${r.slug}/brief` }] : []),
      ...r.actions.map((a) => ({ what: a.what, note: `action of a review, ${late(a.dueOn)}`, href: `/p/${r.slug}/reviews/${a.reviewId}` })),
      ...r.milestones.slice(0, 2).map((m) => ({ what: m.title, note: `milestone, ${late(m.dueOn)}`, href: `/p/${r.slug}/plan` })),
      ...(r.review ? [{ what: r.review.title, note: `review on ${day(r.review.heldOn)}`, href: `/p/${r.slug}/reviews/${r.review.id}` }] : []),
      ...(r.published ? [{ what: "My grade", note: `version ${r.published} is published`, href: `/p/${r.slug}/grades` }] : []),
    ],
  }));
}
