import type * as row from "@/platform/db/rows";
import "server-only";
import { clockOf } from "@/core/contest/programme";
import { db } from "@/platform/db/db";
import { shortDate } from "@/platform/pages/dates";
import type { Hit, HomePart, Search, Stage, Stratum, Waiting } from "@/platform/registry/stage";
import { share } from "@/platform/registry/words";
import { reviewActs } from "./acts";
import * as actions from "./commands/actions";
import * as asking from "./commands/asking";
import * as demonstrating from "./commands/demonstrating";
import * as marking from "./commands/marking";
import * as planning from "./commands/planning";
import * as report from "./commands/report";
import * as slots from "./commands/slots";
import * as story from "./commands/story";
import { rubricTable } from "./rubric-table";
import * as withdrawals from "./withdrawals";

interface Row {
  reviews: number;
  judged: number;
  nextReview: string | null;
}

const stratum: Stratum = {
  columns: (sql, p, day) => sql`
    (SELECT count(*)::int FROM review WHERE project_id = ${p}) AS reviews,
    (SELECT count(*)::int FROM review WHERE project_id = ${p} AND verdict IS NOT NULL) AS judged,
    (SELECT min(held_on) FROM review WHERE project_id = ${p} AND held_on >= ${day}) AS next_review
  `,
  line(row) {
    const c = row as unknown as Row;
    const words = c.nextReview ? `next ${shortDate(c.nextReview)}` : `${c.judged} of ${c.reviews} decided`;
    return [share(c.judged, c.reviews), c.reviews === 0 ? "none planned" : words];
  },
};

interface Home {
  actions: { what: string; dueOn: string; reviewId: string }[];
  review: { title: string; heldOn: string; id: string; starts: number | null } | null;
}

/** When a review is, with its time where it has one. */
const reviewTime = ({ heldOn, starts }: NonNullable<Home["review"]>): string =>
  [shortDate(heldOn), ...(starts === null ? [] : [clockOf(starts)])].join(", ");

const home: HomePart = {
  columns: (sql, me) => sql`
    (
      SELECT coalesce(
        json_agg(json_build_object('what', what, 'dueOn', due_on, 'reviewId', review_id) ORDER BY due_on), '[]'
      )
      FROM action_item
      WHERE team_id = t.id AND closed_at IS NULL
    ) AS actions,
    (
      SELECT
        json_build_object(
          'title', title, 'heldOn', held_on, 'id', id, 'starts', (SELECT starts FROM slot WHERE review_id = review.id)
        )
      FROM review
      WHERE team_id = t.id AND held_on >= ${me.today}
      ORDER BY held_on
      LIMIT 1
    ) AS review
  `,
  due(row) {
    const { actions, review } = row as unknown as Home;
    return [
      ...actions.map((a) => ({ what: a.what, on: a.dueOn })),
      ...(review ? [{ what: review.title, on: review.heldOn }] : []),
    ];
  },
  items(row, today) {
    const { actions, review } = row as unknown as Home;
    return [
      ...actions.map((a) => ({
        what: a.what,
        note: `action of a review, ${a.dueOn < today ? "was due" : "due"} ${shortDate(a.dueOn)}`,
        path: `/reviews/${a.reviewId}`,
        rank: 1,
      })),
      ...(review
        ? [
            {
              what: review.title,
              note: `review on ${reviewTime(review)}`,
              path: `/reviews/${review.id}`,
              rank: 3,
            },
          ]
        : []),
    ];
  },
};

async function search({ projectId, like }: Search): Promise<Hit[]> {
  const rows = await db()<{ id: row.Review["id"]; title: row.Review["title"]; team: row.Team["name"] }[]>`
    SELECT r.id, r.title, t.name AS team
    FROM review r
    JOIN team t ON t.id = r.team_id
    WHERE r.project_id = ${projectId} AND plain(r.title || ' ' || t.name) LIKE plain(${like})
    ORDER BY r.held_on
    LIMIT 6
  `;
  return rows.map((r) => ({
    kind: "review",
    label: `${r.title}: ${r.team}`,
    detail: "review",
    path: `/reviews/${r.id}`,
  }));
}

async function waiting(projectIds: readonly string[], today: string): Promise<Waiting[]> {
  const sql = db();
  const rows = await sql<
    {
      projectId: row.Review["projectId"];
      id: row.Review["id"];
      title: row.Review["title"];
      team: row.Team["name"];
      sheets: number;
    }[]
  >`
    SELECT r.project_id, r.id, r.title, t.name AS team, count(s.id)::int AS sheets
    FROM review r
    JOIN team t ON t.id = r.team_id
    JOIN sheet s ON s.review_id = r.id
    WHERE r.project_id IN ${sql(projectIds)} AND r.verdict IS NULL AND r.held_on <= ${today}
    GROUP BY r.id, t.name
    ORDER BY r.held_on, t.name
  `;
  return rows.map((r) => ({
    projectId: r.projectId,
    who: r.team,
    what: `${r.title}: ${r.sheets} sheets are in, the verdict is open`,
    stage: "Reviews",
    path: `/reviews/${r.id}`,
  }));
}

export const reviews: Stage = {
  key: "reviews",
  name: "Reviews",
  pages: [
    { label: "Reviews", path: "/reviews" },
    { label: "Stories of the teams", path: "/reviews/stories" },
    { label: "Class report", path: "/reviews/report" },
  ],
  shows: ["review", "action", "build", "slot plan", "review question", "finding", "story", "class report"],
  commands: [actions, asking, demonstrating, marking, planning, report, slots, story, withdrawals],
  stratum,
  home,
  search,
  waiting,
  downloads: { rubric: { act: reviewActs.plan, make: rubricTable } },
};
