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
  ref: row.Passage["ref"];
  personId: row.Passage["personId"];
  teamId: row.Passage["teamId"];
  at: row.Passage["at"];
  text: row.Passage["text"];
  name: string | null;
}

/** Where a text is read. */
function pathOf(p: Found): string {
  switch (p.kind) {
    case "notebook":
      return `/notebook?person=${p.personId}`;
    case "statement":
      return "/needs/statements";
    case "requirement":
      return `/needs?r=${p.text.split(" · ")[0]}`;
    case "question":
      return "/needs/questions";
    case "build":
    case "failure":
      return `/builds/${p.name?.split("\n")[1] ?? p.ref}`;
    case "review":
    case "action":
      return `/reviews/${p.name?.split("\n")[1] ?? p.ref}`;
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
      x.kind, x.ref, x.person_id, x.team_id, x.at, x.text,
      CASE x.kind
        WHEN 'notebook' THEN (SELECT name FROM person WHERE id = x.person_id)
        WHEN 'build' THEN (
          SELECT t.name || ' G' || b.number FROM build b JOIN team t ON t.id = b.team_id WHERE b.id = x.ref
        )
        WHEN 'failure' THEN (
          SELECT t.name || ' G' || b.number || E'\\n' || b.id
          FROM failure f
          JOIN build b ON b.id = f.build_id
          JOIN team t ON t.id = b.team_id
          WHERE f.id = x.ref
        )
        WHEN 'action' THEN (
          SELECT t.name || E'\\n' || a.review_id FROM action_item a JOIN team t ON t.id = a.team_id WHERE a.id = x.ref
        )
        WHEN 'review' THEN (SELECT name FROM team WHERE id = x.team_id)
      END AS name
    FROM (
      SELECT kind, ref, person_id, team_id, at, text
      FROM passage
      WHERE project_id = ${projectId} AND words @@ to_tsquery('simple', ${words.map((w) => `${w}:*`).join(" & ")})
        ${all ? sql`` : sql`AND (kind <> 'notebook' OR person_id = ${actor.id})`}
        ${kind ? sql`AND kind = ${kind}` : sql``}
      ORDER BY at DESC
      LIMIT ${passagesShown + 1}
    ) x
    ORDER BY x.at DESC, x.ref
  `;
  return rows.map((p) => ({
    kind: p.kind,
    label: [p.name?.split("\n")[0], passageKind.labels[p.kind]].filter(Boolean).join(", "),
    at: p.at,
    parts: excerpt(p.text, words),
    path: pathOf(p),
  }));
}
