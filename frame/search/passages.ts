import type * as row from "@/platform/db/rows";
import "server-only";
import { type Actor, can } from "@/core/access/can";
import { type ExcerptPart, excerpt, searchWords } from "@/core/text/excerpt";
import { type PassageKind, passageKind } from "@/core/vocabulary/project";
import { db } from "@/platform/db/db";
import { notebookActs } from "@/stages/notebook/acts";

/** A text in which all words of a search were found. */
export interface Passage {
  readonly kind: PassageKind;
  readonly label: string;
  readonly at: string;
  readonly parts: readonly ExcerptPart[];
  /** Below the project's address. */
  readonly path: string;
}

/** How many are shown at once. */
export const passagesShown = 40;

interface Found {
  kind: PassageKind;
  at: row.Passage["at"];
  text: row.Passage["text"];
  /** Whose it is: a student, a team, a build; nothing for what is the class's. */
  name: string | null;
  /** What its page is asked for: a person, a requirement's code, a build, a review. */
  page: string | null;
}

/** Where a text is read. */
function pathOf(p: Found): string {
  switch (p.kind) {
    case "notebook":
      return `/notebook?person=${p.page}`;
    case "statement":
      return "/needs/statements";
    case "requirement":
      return `/needs?r=${p.page}`;
    case "question":
      return "/needs/questions";
    case "build":
    case "failure":
      return `/builds/${p.page}`;
    case "review":
    case "action":
      return `/reviews/${p.page}`;
  }
}

/**
 * The texts of a project that hold all these words or their beginnings, the newest first; of notebooks what the actor
 * may read. One more than is shown tells that there are more.
 */
export async function passages(
  projectId: string,
  typed: string,
  actor: Extract<Actor, { kind: "person" }>,
  kind?: PassageKind,
): Promise<Passage[]> {
  const words = searchWords(typed).slice(0, 12);
  if (!words.length) return [];
  const sql = db();
  const all = can(actor, notebookActs.mark, { project: projectId });
  const rows = await sql<Found[]>`
    SELECT
      x.kind, x.at, x.text, coalesce(q.name, t.name || ' G' || b.number, t.name) AS name,
      coalesce(
        x.person_id::text, b.id::text, a.review_id::text, CASE x.kind WHEN 'review' THEN x.ref::text END, r.code
      ) AS page
    FROM (
      SELECT kind, ref, person_id, team_id, at, text
      FROM passage
      WHERE project_id = ${projectId} AND words @@ to_tsquery('simple', ${words.map((w) => `${w}:*`).join(" & ")})
        ${all ? sql`` : sql`AND (kind <> 'notebook' OR person_id = ${actor.id})`}
        ${kind ? sql`AND kind = ${kind}` : sql``}
      ORDER BY at DESC
      LIMIT ${passagesShown + 1}
    ) x
    LEFT JOIN person q ON q.id = x.person_id
    LEFT JOIN team t ON t.id = x.team_id
    LEFT JOIN failure f ON x.kind = 'failure' AND f.id = x.ref
    LEFT JOIN build b ON b.id = CASE x.kind WHEN 'build' THEN x.ref ELSE f.build_id END
    LEFT JOIN action_item a ON x.kind = 'action' AND a.id = x.ref
    LEFT JOIN requirement r ON x.kind = 'requirement' AND r.id = x.ref
    ORDER BY x.at DESC, x.ref
  `;
  return rows.map((p) => ({
    kind: p.kind,
    label: [p.name, passageKind.labels[p.kind]].filter(Boolean).join(", "),
    at: p.at,
    parts: excerpt(p.text, words),
    path: pathOf(p),
  }));
}
