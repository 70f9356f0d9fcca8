import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";
import type { HomePart, Stage, Stratum, Waiting } from "@/platform/registry/stage";
import { share } from "@/platform/registry/words";
import * as concept from "./commands/concepts";
import * as selection from "./commands/selection";
import * as withdrawals from "./withdrawals";
import { screenWorking } from "./workings";

interface Row {
  concepts: number;
  decided: number;
  chosen: number;
}

const stratum: Stratum = {
  columns: (sql, p) => sql`
    (SELECT count(*)::int FROM concept WHERE project_id = ${p}) AS concepts,
    (SELECT count(*)::int FROM concept WHERE project_id = ${p} AND fate <> 'open') AS decided,
    (SELECT count(*)::int FROM concept WHERE project_id = ${p} AND fate = 'goes on') AS chosen
  `,
  line(row) {
    const c = row as unknown as Row;
    return [share(c.decided, c.concepts), c.concepts === 0 ? "none yet" : `${c.chosen} chosen of ${c.concepts}`];
  },
};

interface Own {
  id: string;
  title: string;
  fate: string;
}

const home: HomePart = {
  columns: (sql, me) => sql`
    (
      SELECT json_build_object('id', k.id, 'title', k.title, 'fate', k.fate)
      FROM concept k
      WHERE k.project_id = p.id AND k.author_id = ${me.id}
      ORDER BY k.fate = 'goes on' DESC, k.created_at DESC
      LIMIT 1
    ) AS concept,
    (
      SELECT x.id
      FROM selection x
      WHERE x.project_id = p.id
        AND x.closed_at IS NULL
        AND x.school = 'vote'
        AND coalesce((p.settings->>'conceptsOpen')::boolean, false)
        AND NOT EXISTS (SELECT FROM selection_sheet h WHERE h.selection_id = x.id AND h.rater_person = ${me.id})
      LIMIT 1
    ) AS choosing
  `,
  about(row) {
    const own = row.concept as Own | null;
    return own
      ? [{ label: "My concept", text: own.title, note: own.fate, path: `/concepts/${own.id}` }]
      : [{ label: "My concept", text: "none yet", path: "/concepts" }];
  },
  items: (row) => [
    ...(row.choosing
      ? [{ what: "Vote for concepts", note: "your vote is not in yet", path: `/concepts/choose/${row.choosing}` }]
      : []),
    ...(row.concept === null && row.team === null
      ? [
          {
            what: "Sketch a concept",
            note: "alone first: nobody sees it before your instructor opens them all",
            path: "/concepts",
          },
        ]
      : []),
  ],
};

async function waiting(projectIds: readonly string[]): Promise<Waiting[]> {
  const sql = db();
  const rows = await sql<{ projectId: row.Project["id"]; open: number; choosing: string | null }[]>`
    SELECT
      p.id AS project_id,
      (SELECT count(*)::int FROM concept WHERE project_id = p.id AND fate = 'open') AS open,
      (
        SELECT title FROM selection WHERE project_id = p.id AND closed_at IS NULL ORDER BY created_at LIMIT 1
      ) AS choosing
    FROM project p
    WHERE p.id IN ${sql(projectIds)}
  `;
  const line = (projectId: string, what: string, path: string): Waiting => ({
    projectId,
    who: "Class",
    what,
    stage: "Concepts",
    path,
  });
  return rows.flatMap(({ projectId, open, choosing }) => [
    ...(open ? [line(projectId, `${open} concepts wait for a decision`, "/concepts")] : []),
    ...(choosing ? [line(projectId, `${choosing} is open`, "/concepts/choose")] : []),
  ]);
}

export const concepts: Stage = {
  key: "concepts",
  name: "Concepts",
  pages: [
    { label: "Concepts", path: "/concepts" },
    { label: "Choosing concepts", path: "/concepts/choose" },
  ],
  shows: ["concept", "needs", "team", "project"],
  commands: [concept, selection, withdrawals],
  stratum,
  home,
  waiting,
  workings: { screen: screenWorking },
};
