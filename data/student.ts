import "server-only";
import { format, parseISO } from "date-fns";
import type { Actor } from "@/core/access/can";
import { db } from "./db";

export interface StudentProject {
  slug: string;
  title: string;
  team: string | null /** The next thing that is due by a date. */;
  next: { what: string; on: string } | null;
  mates: { name: string; role: string }[];
  concept: { id: string; title: string; fate: string } | null;
  session: { id: string; title: string } | null;
  lastEntry: string | null;
  choosing: string | null;
  items: { what: string; note: string; href: string }[];
}

/** What is next for a student in each running project: the brief to read, actions, milestones, the review to come. */
export async function studentHome(actor: Extract<Actor, { kind: "person" }>, today: string): Promise<StudentProject[]> {
  const ids = Object.entries(actor.projects)
    .filter(([, m]) => m.role === "student")
    .map(([id]) => id);
  if (!ids.length) return [];
  const sql = db();
  const rows = await sql<
    {
      slug: string;
      title: string;
      team: string | null;
      unread: number | null;
      actions: { what: string; dueOn: string; reviewId: string }[];
      milestones: { title: string; dueOn: string }[];
      review: { title: string; heldOn: string; id: string } | null;
      published: number | null;
      mates: { name: string; role: string }[];
      concept: StudentProject["concept"];
      session: StudentProject["session"];
      lastEntry: string | null;
      wished: boolean;
      choosing: string | null;
    }[]
  >`
    SELECT
      p.slug, p.title, t.name AS team,
      (
        SELECT b.number
        FROM brief_version b
        WHERE b.project_id = p.id
          AND b.number = (SELECT max(number) FROM brief_version WHERE project_id = p.id)
          AND NOT EXISTS (SELECT FROM brief_reading r WHERE r.brief_version_id = b.id AND r.person_id = ${actor.id})
      ) AS unread,
      (
        SELECT coalesce(
          json_agg(json_build_object('what', what, 'dueOn', due_on, 'reviewId', review_id) ORDER BY due_on), '[]'
        )
        FROM action_item
        WHERE team_id = t.id AND closed_at IS NULL
      ) AS actions,
      (
        SELECT coalesce(json_agg(json_build_object('title', title, 'dueOn', due) ORDER BY due), '[]')
        FROM (
          SELECT
            m.*,
            coalesce(
              (
                SELECT d.due_on
                FROM milestone_date d
                JOIN enrolment e ON e.section_id = d.section_id AND e.person_id = ${actor.id} AND e.to_on IS NULL
                WHERE d.milestone_id = m.id
                LIMIT 1
              ),
              m.due_on
            ) AS due
          FROM milestone m
        ) m
        WHERE m.project_id = p.id
          AND NOT EXISTS (
            SELECT
            FROM milestone_check k
            WHERE k.milestone_id = m.id AND (k.team_id = t.id OR k.person_id = ${actor.id})
          )
      ) AS milestones,
      (
        SELECT json_build_object('title', title, 'heldOn', held_on, 'id', id)
        FROM review
        WHERE team_id = t.id AND held_on >= ${today}
        ORDER BY held_on
        LIMIT 1
      ) AS review,
      (SELECT max(number) FROM publication WHERE project_id = p.id) AS published,
      (
        SELECT coalesce(json_agg(json_build_object('name', x.name, 'role', y.role) ORDER BY x.name), '[]')
        FROM membership y
        JOIN person x ON x.id = y.person_id
        WHERE y.team_id = t.id AND y.to_on IS NULL
      ) AS mates,
      (
        SELECT json_build_object('id', k.id, 'title', k.title, 'fate', k.fate)
        FROM concept k
        WHERE k.project_id = p.id AND k.author_id = ${actor.id}
        ORDER BY k.fate = 'goes on' DESC, k.created_at DESC
        LIMIT 1
      ) AS concept,
      (
        SELECT json_build_object('id', s.id, 'title', s.title)
        FROM source s
        WHERE s.project_id = p.id AND s.closed_at IS NULL AND s.kind = 'interview'
        ORDER BY s.held_on DESC
        LIMIT 1
      ) AS session,
      (SELECT max(on_date)::text FROM notebook_entry WHERE project_id = p.id AND person_id = ${actor.id}) AS last_entry,
      EXISTS (SELECT FROM wish w WHERE w.project_id = p.id AND w.person_id = ${actor.id}) AS wished,
      (
        SELECT x.id
        FROM selection x
        WHERE x.project_id = p.id
          AND x.closed_at IS NULL
          AND x.school = 'vote'
          AND coalesce((p.settings->>'conceptsOpen')::boolean, false)
          AND NOT EXISTS (SELECT FROM selection_sheet h WHERE h.selection_id = x.id AND h.rater_person = ${actor.id})
        LIMIT 1
      ) AS choosing
    FROM project p
    LEFT JOIN membership m ON m.project_id = p.id AND m.person_id = ${actor.id} AND m.to_on IS NULL
    LEFT JOIN team t ON t.id = m.team_id
    WHERE p.id IN ${sql(ids)} AND p.finished_at IS NULL
    ORDER BY p.starts_on DESC
  `;
  const day = (d: string) => format(parseISO(d), "d MMM");
  const late = (d: string) => `${d < today ? "was due" : "due"} ${day(d)}`;
  return rows.map((r) => ({
    slug: r.slug,
    title: r.title,
    team: r.team,
    mates: r.mates,
    concept: r.concept,
    session: r.session,
    lastEntry: r.lastEntry,
    choosing: r.choosing,
    next:
      [
        ...r.actions.map((a) => ({ what: a.what, on: a.dueOn })),
        ...r.milestones.map((m) => ({ what: m.title, on: m.dueOn })),
        ...(r.review ? [{ what: r.review.title, on: r.review.heldOn }] : []),
      ].sort((a, b) => (a.on < b.on ? -1 : 1))[0] ?? null,
    items: [
      ...(r.unread
        ? [{ what: "Read the brief", note: `version ${r.unread} is new to you`, href: `/p/${r.slug}/brief` }]
        : []),
      ...(r.session
        ? [
            {
              what: r.session.title,
              note: "an interview is open: type notes along",
              href: `/p/${r.slug}/needs/sources/${r.session.id}`,
            },
          ]
        : []),
      ...(r.choosing
        ? [
            {
              what: "Vote for concepts",
              note: "your vote is not in yet",
              href: `/p/${r.slug}/concepts/choose/${r.choosing}`,
            },
          ]
        : []),
      ...(r.concept === null && r.team === null
        ? [
            {
              what: "Sketch a concept",
              note: "alone first: nobody sees it before your instructor opens them all",
              href: `/p/${r.slug}/concepts`,
            },
          ]
        : []),
      ...(r.team === null && !r.wished && r.concept !== null
        ? [
            {
              what: "Tell your wishes for a team",
              note: "only your instructor sees them",
              href: `/p/${r.slug}/teams/wishes`,
            },
          ]
        : []),
      ...r.actions.map((a) => ({
        what: a.what,
        note: `action of a review, ${late(a.dueOn)}`,
        href: `/p/${r.slug}/reviews/${a.reviewId}`,
      })),
      ...r.milestones
        .slice(0, 2)
        .map((m) => ({ what: m.title, note: `milestone, ${late(m.dueOn)}`, href: `/p/${r.slug}/plan` })),
      ...(r.review
        ? [
            {
              what: r.review.title,
              note: `review on ${day(r.review.heldOn)}`,
              href: `/p/${r.slug}/reviews/${r.review.id}`,
            },
          ]
        : []),
      ...(r.published
        ? [{ what: "My grade", note: `version ${r.published} is published`, href: `/p/${r.slug}/grades` }]
        : []),
    ],
  }));
}
