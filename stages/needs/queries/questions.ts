import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";

export interface Question {
  id: row.Question["id"];
  text: row.Question["text"];
  draftedBy: row.Question["draftedBy"];
  drafterId: row.Question["drafterId"];
  askerId: row.Question["askerId"];
  asker: row.Person["name"] | null;
  mergedInto: row.Question["mergedInto"];
  place: row.Question["place"];
  forClient: row.Question["forClient"];
  dropped: row.Question["dropped"];
  answers: number;
  createdAt: row.Question["createdAt"];
  version: row.Question["version"];
}

/** The question bank: ordered ones first, merged and dropped ones last. */
export const questionsOf = (projectId: string) => db()<Question[]>`
  SELECT
    q.id, q.text, q.drafted_by, q.drafter_id, q.asker_id, p.name AS asker, q.merged_into, q.place, q.for_client,
    q.dropped, q.created_at, q.version, (SELECT count(*)::int FROM note n WHERE n.question_id = q.id) AS answers
  FROM question q
  LEFT JOIN person p ON p.id = q.asker_id
  WHERE q.project_id = ${projectId}
  ORDER BY q.dropped, q.merged_into IS NOT NULL, q.place NULLS LAST, q.created_at, q.id
`;

/** What the client's page asks, oldest first, and what has been answered there. */
export const clientQuestions = (projectId: string) => db()<
  {
    id: row.Question["id"];
    text: row.Question["text"];
    forClient: row.Question["forClient"];
    answer: row.Note["text"] | null;
    by: row.Note["author"] | null;
  }[]
>`
  SELECT q.id, q.text, q.for_client, n.text AS answer, n.author AS by
  FROM question q
  LEFT JOIN LATERAL (
    SELECT n.text, n.author
    FROM note n
    JOIN source s ON s.id = n.source_id
    WHERE n.question_id = q.id AND s.kind = 'answer'
    ORDER BY n.written_at DESC
    LIMIT 1
  ) n ON true
  WHERE q.project_id = ${projectId} AND (q.for_client OR n.text IS NOT NULL) AND NOT q.dropped
  ORDER BY q.for_client DESC, q.created_at
`;
