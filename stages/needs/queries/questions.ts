import "server-only";
import { db } from "@/platform/db/db";

export interface Question {
  id: string;
  text: string;
  draftedBy: string;
  drafterId: string | null;
  askerId: string | null;
  asker: string | null;
  mergedInto: string | null;
  place: number | null;
  forClient: boolean;
  dropped: boolean;
  answers: number;
  createdAt: string;
  version: number;
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
  { id: string; text: string; forClient: boolean; answer: string | null; by: string | null }[]
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
