import "server-only";
import type { TrainerFacts } from "@/core/trainer/exercise";
import type { TrainerKind } from "@/core/vocabulary/handbook";
import { db, type Tx } from "@/platform/db/db";
import { protocolsIn } from "@/stages/bench/queries/runs";
import { buildsOf } from "@/stages/builds/queries/builds";
import { schemeOf } from "@/stages/grades/queries/scheme";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { trainerFactsOf } from "../view/trainer";

/** What a project's exercises are made from. */
export async function trainerFacts(projectId: string, sql: Tx = db()): Promise<TrainerFacts> {
  const [requirements, builds, protocols, scheme] = await Promise.all([
    requirementsOf(projectId, sql),
    buildsOf(projectId, sql),
    protocolsIn([projectId], sql),
    schemeOf(projectId, sql),
  ]);
  return trainerFactsOf(requirements, builds, protocols, scheme?.definition.components ?? []);
}

/** What somebody answered, by kind: how many, and how many of them right; the last twenty of each kind count. */
export interface Trained {
  readonly personId: string;
  readonly kind: TrainerKind;
  readonly answers: number;
  readonly right: number;
}

/** What everybody of a project answered, or one person. */
export const trainedOf = (projectId: string, personId: string | null) => db()<Trained[]>`
  SELECT person_id, kind, count(*)::int AS answers, (count(*) FILTER (WHERE correct))::int AS right
  FROM (
    SELECT person_id, kind, correct, row_number() OVER (PARTITION BY person_id, kind ORDER BY answered_at DESC, id) AS n
    FROM trainer_answer
    WHERE project_id = ${projectId} AND (${personId}::uuid IS NULL OR person_id = ${personId})
  ) a
  WHERE n <= 20
  GROUP BY person_id, kind
`;
