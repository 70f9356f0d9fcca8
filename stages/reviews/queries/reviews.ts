import type * as row from "@/platform/db/rows";
import "server-only";
import type { RubricDefinition } from "@/core/sheet/sheet";
import { teamOf } from "@/platform/command/command";
import { db, type Tx } from "@/platform/db/db";

export interface Rubric {
  id: row.Rubric["id"];
  name: row.Rubric["name"];
  version: row.Rubric["version"];
  versionId: row.RubricVersion["id"];
  number: row.RubricVersion["number"];
  definition: RubricDefinition;
}

export const rubricsOf = (projectId: string) => db()<Rubric[]>`
  SELECT r.id, r.name, r.version, v.id AS version_id, v.number, v.definition
  FROM rubric r
  JOIN LATERAL (SELECT * FROM rubric_version WHERE rubric_id = r.id ORDER BY number DESC LIMIT 1) v ON true
  WHERE r.project_id = ${projectId}
  ORDER BY r.name
`;

export interface Sheet {
  id: string;
  raterName: string;
  raterPerson: string | null;
  raterGuest: string | null;
  comment: string;
  submittedAt: string;
  version: number;
  marks: { criterion: string; points: string; comment: string }[];
  /** Marks of members of the team, each alone. */
  persons: { criterion: string; person: string; points: string }[];
  /** Why it was corrected after the verdict; empty where it was not. */
  correction: string;
}

export interface ActionItem {
  id: string;
  reviewId: string;
  teamId: string;
  what: string;
  ownerId: string | null;
  owner: string | null;
  dueOn: string;
  closedAt: string | null;
  closedBy: string | null;
  closingEvidence: string | null;
  closingBuild: string | null;
  /** Where the run that shows it is, below the project's address. */
  closingRun: string | null;
  /** It changes the design: the team's next build is asked for it. */
  changesDesign: boolean;
  /** The newest build of the team after the review, made while the action was open; null for none. */
  builtWithout: number | null;
  photos: string[];
  version: number;
}

/** What a verdict rests on, each with the version that it had. */
export interface Rests {
  build: { number: number; revision: number } | null;
  rubric: number;
  sheets: { rater: string; version: number }[];
  requirements: { code: string; version: number }[];
}

export interface Question {
  id: string;
  question: string;
  askedBy: string;
  answer: string;
  answeredBy: string | null;
  version: number;
}

export interface Review {
  id: row.Review["id"];
  title: row.Review["title"];
  kind: row.Review["kind"];
  takesPart: row.Review["takesPart"];
  heldOn: row.Review["heldOn"];
  teamId: row.Review["teamId"];
  team: row.Team["name"];
  buildId: row.Review["buildId"];
  build: row.Build["number"] | null;
  /** Somebody chose the build, or a sheet was handed in on it. */
  buildChosen: row.Review["buildChosen"];
  rubric: row.Rubric["name"];
  definition: RubricDefinition;
  rubricVersionId: row.RubricVersion["id"];
  verdict: row.Review["verdict"];
  verdictNote: row.Review["verdictNote"];
  decidedBy: row.Review["decidedBy"];
  rests: Rests | null;
  /** What the team shows in its packet, in its order; empty: everything. */
  packet: row.Review["packet"];
  /** What it leaves out of the parts. */
  packetLeft: row.Review["packetLeft"];
  version: row.Review["version"];
  sheets: Sheet[];
  actions: ActionItem[];
}

/** The reviews of a project with their sheets and actions, by date and team. */
export const reviewsOf = (projectId: string, id?: string) => db()<Review[]>`
  SELECT
    r.id, r.title, r.kind, r.takes_part, r.rests, r.held_on, r.team_id, t.name AS team, b.id AS build_id,
    r.build_chosen, b.number AS build,
    u.name AS rubric, v.definition, v.id AS rubric_version_id, r.verdict, r.verdict_note, r.decided_by, r.packet,
    r.packet_left,
    r.version,
    (
      SELECT coalesce(
        json_agg(
          json_build_object(
            'id', s.id, 'raterName', s.rater_name, 'raterPerson', s.rater_person, 'raterGuest', s.rater_guest,
            'comment', s.comment, 'submittedAt', s.submitted_at, 'version', s.version, 'correction', s.correction,
            'persons',
            (
              SELECT coalesce(
                json_agg(
                  json_build_object('criterion', criterion, 'person', person_id, 'points', trim_scale(points)::text)
                ),
                '[]'
              )
              FROM sheet_person_mark
              WHERE sheet_id = s.id
            ),
            'marks',
            (
              SELECT coalesce(
                json_agg(
                  json_build_object('criterion', criterion, 'points', trim_scale(points)::text, 'comment', comment)
                ),
                '[]'
              )
              FROM sheet_mark
              WHERE sheet_id = s.id
            )
          )
          ORDER BY s.id
        ),
        '[]'
      )
      FROM sheet s
      WHERE s.review_id = r.id
    ) AS sheets,
    (
      SELECT coalesce(
        json_agg(
          json_build_object(
            'id', a.id, 'reviewId', a.review_id, 'teamId', a.team_id, 'what', a.what, 'ownerId', a.owner_id, 'owner',
            p.name, 'dueOn', a.due_on, 'closedAt', a.closed_at, 'closedBy', a.closed_by, 'closingEvidence',
            a.closing_evidence, 'closingBuild', a.closing_build, 'closingRun',
            (
              SELECT '/bench?protocol=' || y.protocol_id || '&build=' || x.build_id
              FROM run x
              JOIN protocol_version y ON y.id = x.protocol_version_id
              WHERE x.id = a.closing_run
            ),
            'changesDesign',
            a.changes_design, 'version', a.version, 'photos',
            (SELECT coalesce(json_agg(f.id ORDER BY f.added_at), '[]') FROM file_use f WHERE f.action_id = a.id),
            'builtWithout',
            (
              SELECT max(n.number)
              FROM build n
              WHERE n.team_id = a.team_id AND a.closed_at IS NULL AND a.changes_design
                AND n.number > coalesce(b.number, 0) AND n.built_on >= r.held_on
            )
          )
          ORDER BY a.due_on, a.id
        ),
        '[]'
      )
      FROM action_item a
      LEFT JOIN person p ON p.id = a.owner_id
      WHERE a.review_id = r.id
    ) AS actions
  FROM review r
  JOIN team t ON t.id = r.team_id
  -- Until its first sheet a review is of the newest build, unless one was chosen.
  LEFT JOIN LATERAL (
    SELECT id, number
    FROM build
    WHERE CASE WHEN r.build_chosen THEN id = r.build_id ELSE team_id = r.team_id END
    ORDER BY number DESC
    LIMIT 1
  ) b ON true
  JOIN rubric_version v ON v.id = r.rubric_version_id
  JOIN rubric u ON u.id = v.rubric_id
  WHERE r.project_id = ${projectId} ${id ? db()`AND r.id = ${id}` : db()``}
  ORDER BY r.held_on, r.title, t.name
`;

/** A review's project and team, to whom it belongs. */
export const ofReview = (sql: Tx, id: string) => teamOf(sql, "review", id);

/** What reviews decided for a team and nobody has closed yet, the oldest first. */
export const openActionsOf = (teamId: string) => db()<
  { id: row.ActionItem["id"]; what: row.ActionItem["what"]; review: row.Review["title"] }[]
>`
  SELECT a.id, a.what, r.title AS review
  FROM action_item a
  JOIN review r ON r.id = a.review_id
  WHERE a.team_id = ${teamId} AND a.closed_at IS NULL
  ORDER BY r.held_on, a.id
`;

/** What a verdict of a review would rest on now. */
export async function restsOf(id: string, sql: Tx = db()): Promise<Rests> {
  const [x] = await sql<{ rests: Rests }[]>`
    SELECT
      json_build_object(
        'build', (SELECT json_build_object('number', number, 'revision', revision) FROM build WHERE id = r.build_id),
        'rubric', (SELECT number FROM rubric_version WHERE id = r.rubric_version_id),
        'sheets',
        (
          SELECT coalesce(json_agg(json_build_object('rater', rater_name, 'version', version) ORDER BY id), '[]')
          FROM sheet
          WHERE review_id = r.id
        ),
        'requirements',
        (
          SELECT coalesce(json_agg(json_build_object('code', q.code, 'version', v.number) ORDER BY q.code), '[]')
          FROM requirement q
          JOIN LATERAL (SELECT max(number) AS number FROM requirement_version WHERE requirement_id = q.id) v ON true
          WHERE q.project_id = r.project_id AND q.retired_at IS NULL
        )
      ) AS rests
    FROM review r
    WHERE r.id = ${id}
  `;
  return x!.rests;
}

/** What was asked at a review, and what was answered, in order. */
export const questionsOf = (reviewId: string) => db()<Question[]>`
  SELECT id, question, asked_by, answer, answered_by, version
  FROM review_question
  WHERE review_id = ${reviewId}
  ORDER BY asked_at, id
`;

/** What the client found of each wish at demonstrations. */
export const ticksOf = (reviewIds: readonly string[]) => db()<
  Pick<row.DemonstrationTick, "reviewId" | "requirementId" | "outcome" | "word">[]
>`
  SELECT review_id, requirement_id, outcome, word FROM demonstration_tick WHERE review_id IN ${db()(reviewIds)}
`;

/** A team's newest runs, to name one as what shows that an action is done. */
export const teamRunsOf = (teamId: string) => db()<
  { id: row.Run["id"]; protocol: row.Protocol["name"]; madeOn: string; build: row.Build["number"] }[]
>`
  SELECT r.id, p.name AS protocol, to_char(r.recorded_at, 'YYYY-MM-DD') AS made_on, b.number AS build
  FROM run r
  JOIN build b ON b.id = r.build_id
  JOIN protocol_version v ON v.id = r.protocol_version_id
  JOIN protocol p ON p.id = v.protocol_id
  WHERE b.team_id = ${teamId}
  ORDER BY r.recorded_at DESC, r.id
  LIMIT 20
`;
