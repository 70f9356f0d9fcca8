import type * as row from "@/platform/db/rows";
import "server-only";
import type { AssessedRun } from "@/core/run/assess";
import { db, type Tx } from "@/platform/db/db";
import { type Protocol, protocolsOf, runsOf, type StoredRun } from "@/stages/bench/queries/runs";
import { type Build, buildsOf } from "@/stages/builds/queries/builds";
import { type Team, teamsOf } from "@/stages/teams/queries/teams";
import { assessAll } from "../view/verdicts";
import { type RequirementRow, requirementsOf } from "./requirements";

export interface EvidenceRow {
  id: row.Evidence["id"];
  requirementId: row.Evidence["requirementId"];
  buildId: row.Evidence["buildId"];
  kind: row.Evidence["kind"];
  runId: row.Evidence["runId"];
  requirementVersion: row.Evidence["requirementVersion"];
  buildRevision: row.Evidence["buildRevision"];
  protocolVersion: row.Evidence["protocolVersion"];
  finding: row.Evidence["finding"];
  value: row.Evidence["value"];
  entered: row.Evidence["entered"];
  note: row.Evidence["note"];
  keptReason: row.Evidence["keptReason"];
  recordedBy: row.Evidence["recordedBy"];
  recordedAt: row.Evidence["recordedAt"];
}

/** What verdicts and summaries are computed from. */
export interface MeasuredFacts {
  readonly requirements: readonly RequirementRow[];
  readonly builds: readonly Build[];
  readonly protocols: readonly Protocol[];
  readonly runs: readonly StoredRun[];
  readonly assessed: ReadonlyMap<string, AssessedRun>;
  readonly evidence: readonly EvidenceRow[];
}

export interface ProjectFacts extends MeasuredFacts {
  readonly teams: readonly Team[];
}

/** Evidence of a project, oldest first; narrowed to some builds. */
export const evidenceOf = (projectId: string, narrow: { buildIds?: readonly string[] } = {}, sql: Tx = db()) =>
  sql<EvidenceRow[]>`
    SELECT *
    FROM evidence
    WHERE project_id = ${projectId} ${narrow.buildIds ? sql`AND build_id IN ${sql(narrow.buildIds)}` : sql``}
    ORDER BY recorded_at
  `;

/** What verdicts are computed from, of a project or of some of its builds; in a transaction if one is given. */
export async function measuredFacts(
  projectId: string,
  narrow: { buildIds?: readonly string[] },
  sql: Tx = db(),
): Promise<MeasuredFacts> {
  const [requirements, builds, protocols, runs, evidence] = await Promise.all([
    requirementsOf(projectId, sql),
    buildsOf(projectId, sql),
    protocolsOf(projectId, sql),
    runsOf(projectId, narrow, sql),
    evidenceOf(projectId, narrow, sql),
  ]);
  return { requirements, builds, protocols, runs, evidence, assessed: assessAll(runs, protocols, evidence) };
}

async function load(projectId: string, narrow: { buildIds?: readonly string[] }): Promise<ProjectFacts> {
  const [measured, teams] = await Promise.all([measuredFacts(projectId, narrow), teamsOf(projectId)]);
  return { ...measured, teams };
}

/** Every fact that verdicts are computed from, of a whole project: for tables of all runs, and for checking. */
export const projectFacts = (projectId: string) => load(projectId, {});

// A list in SQL may not be empty: no build has this id.
const orNone = (ids: readonly string[]) => (ids.length ? ids : ["00000000-0000-0000-0000-000000000000"]);

/** The facts of some builds where the project's state is known already: only runs and evidence are read. */
export async function factsBeside(
  projectId: string,
  { requirements, builds, protocols, teams }: Pick<ProjectFacts, "requirements" | "builds" | "protocols" | "teams">,
  buildIds: readonly string[],
): Promise<ProjectFacts> {
  const narrow = { buildIds: orNone(buildIds) };
  const [runs, evidence] = await Promise.all([runsOf(projectId, narrow), evidenceOf(projectId, narrow)]);
  const assessed = assessAll(runs, protocols, evidence);
  return { requirements, builds, protocols, teams, runs, evidence, assessed };
}

/** The facts of some builds: narrow, for a page or a working that shows these. */
export const factsOfBuilds = (projectId: string, buildIds: readonly string[]) =>
  load(projectId, { buildIds: orNone(buildIds) });
