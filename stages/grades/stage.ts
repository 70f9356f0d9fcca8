import { gradeWorking } from "./workings";
import "server-only";
import { db } from "@/platform/db/db";
import type * as row from "@/platform/db/rows";
import type { HomePart, Stage, Stratum, Waiting } from "@/platform/registry/stage";
import { gradeActs } from "./acts";
import * as appeals from "./commands/appeals";
import * as extensions from "./commands/extensions";
import * as marks from "./commands/marks";
import * as peers from "./commands/peers";
import * as publish from "./commands/publish";
import * as scheme from "./commands/scheme";
import { gradebookTable } from "./gradebook-table";
import { marksTrial, schemeTrial } from "./trials";

const stratum: Stratum = {
  columns: (sql, p) =>
    sql`(SELECT count(*)::int FROM publication WHERE project_id = ${p} AND withdrawn_at IS NULL) AS publications`,
  line(row) {
    const n = row.publications as number;
    return [n > 0 ? 1 : 0, n === 0 ? "not published" : `published ${n === 1 ? "once" : `${n} times`}`];
  },
};

interface Home {
  published: number | null;
  answered: boolean;
  rate: string | null;
}

const home: HomePart = {
  columns: (sql, student) => sql`
    (
      SELECT max(number)
      FROM publication
      WHERE project_id = p.id AND withdrawn_at IS NULL
        AND ledger @> jsonb_build_array(jsonb_build_object('personId', ${student.id}::text))
    ) AS published,
    EXISTS (
      SELECT FROM appeal WHERE project_id = p.id AND person_id = ${student.id} AND outcome IS NOT NULL
    ) AS answered,
    (
      SELECT r.title
      FROM peer_round r
      WHERE r.project_id = p.id AND r.closed_at IS NULL
        AND NOT EXISTS (SELECT FROM peer_rating WHERE round_id = r.id AND rater_id = ${student.id})
        AND EXISTS (
          SELECT FROM membership WHERE team_id = t.id AND person_id <> ${student.id} AND to_on IS NULL
        )
      ORDER BY r.opened_at
      LIMIT 1
    ) AS rate
  `,
  items(row) {
    const { published, answered, rate } = row as unknown as Home;
    const note = `version ${published} is published${answered ? ", and your question is answered" : ""}`;
    return [
      ...(rate
        ? [{ what: "Rate your team", note: `${rate}: only your instructor reads it`, path: "/grades/peers", rank: 2 }]
        : []),
      ...(published ? [{ what: "My grade", note, path: "/grades", rank: 4 }] : []),
    ];
  },
};

async function waiting(projectIds: readonly string[]): Promise<Waiting[]> {
  const sql = db();
  const rows = await sql<
    { projectId: row.Appeal["projectId"]; personId: row.Appeal["personId"]; name: row.Person["name"] }[]
  >`
    SELECT a.project_id, a.person_id, p.name
    FROM appeal a
    JOIN person p ON p.id = a.person_id
    WHERE a.project_id IN ${sql(projectIds)} AND a.outcome IS NULL
    ORDER BY a.filed_at
  `;
  return rows.map((r) => ({
    projectId: r.projectId,
    who: r.name,
    what: "asks to look at the grade again",
    stage: "Grades",
    path: `/grades/${r.personId}`,
  }));
}

export const grades: Stage = {
  key: "grades",
  name: "Grades",
  pages: [{ label: "Grades", path: "/grades" }],
  shows: ["grade", "review", "milestone", "run", "contest", "people"],
  commands: [appeals, extensions, marks, peers, publish, scheme],
  stratum,
  home,
  waiting,
  workings: { grade: gradeWorking },
  trials: { scheme: schemeTrial, marks: marksTrial },
  downloads: { gradebook: { act: gradeActs.readAll, make: gradebookTable } },
};
