import type * as row from "@/platform/db/rows";
import "server-only";
import type { AssessedRun } from "@/core/run/assess";
import { db } from "@/platform/db/db";
import { type Protocol, protocolsOf, runsOf, type StoredRun } from "@/stages/bench/queries";
import { type Build, buildsOf } from "@/stages/builds/queries";
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
  note: row.Evidence["note"];
  keptReason: row.Evidence["keptReason"];
  recordedBy: row.Evidence["recordedBy"];
  recordedAt: row.Evidence["recordedAt"];
}

export interface ProjectFacts {
  readonly requirements: readonly RequirementRow[];
  readonly teams: readonly Team[];
  readonly builds: readonly Build[];
  readonly protocols: readonly Protocol[];
  readonly runs: readonly StoredRun[];
  readonly assessed: ReadonlyMap<string, AssessedRun>;
  readonly evidence: readonly EvidenceRow[];
}

/** The facts that verdicts, the core log and flags are computed from, in one round of queries. */
export async function projectFacts(projectId: string): Promise<ProjectFacts> {
  const [requirements, teams, builds, protocols, runs, evidence] = await Promise.all([
    requirementsOf(projectId),
    teamsOf(projectId),
    buildsOf(projectId),
    protocolsOf(projectId),
    runsOf(projectId),
    db()<EvidenceRow[]>`SELECT * FROM evidence WHERE project_id = ${projectId} ORDER BY recorded_at`,
  ]);
  return { requirements, teams, builds, protocols, runs, evidence, assessed: assessAll(runs, protocols, evidence) };
}
