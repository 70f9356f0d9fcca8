import "server-only";
import type { Verdict } from "@/core/vocabulary/needs";
import { db } from "@/platform/db/db";
import { type Protocol, protocolsOf } from "@/stages/bench/queries";
import { type Build, buildsOf } from "@/stages/builds/queries";
import { newestBuilds } from "@/stages/builds/view";
import { type Team, teamsOf } from "@/stages/teams/queries/teams";
import type { KeptSummary } from "../view/kept";
import { freshen } from "./kept";
import { type RequirementRow, requirementsOf } from "./requirements";

/** Where a project stands, from kept values: it grows with teams, builds and requirements, not with runs. */
export interface ProjectState {
  readonly requirements: readonly RequirementRow[];
  readonly teams: readonly Team[];
  readonly builds: readonly Build[];
  readonly protocols: readonly Protocol[];
  /** Builds that have a bench run. */
  readonly tested: ReadonlySet<string>;
  /** Newest build by team. */
  readonly newest: ReadonlyMap<string, Build>;
  /** The verdict on a requirement for a build; untested without one. */
  verdict(requirementId: string, buildId: string | undefined): Verdict;
  /** What a build's bench runs come to for a channel; null where there is no run. */
  summary(buildId: string, protocolId: string, key: string): KeptSummary | null;
}

/** Loads where a project stands; what is marked is computed first. */
export async function projectState(projectId: string): Promise<ProjectState> {
  await freshen([projectId]);
  const sql = db();
  const [requirements, teams, builds, protocols, verdicts, summaries] = await Promise.all([
    requirementsOf(projectId),
    teamsOf(projectId),
    buildsOf(projectId),
    protocolsOf(projectId),
    sql<{ requirementId: string; buildId: string; value: Verdict }[]>`
      SELECT v.requirement_id, v.build_id, v.value
      FROM verdict v
      JOIN build b ON b.id = v.build_id
      WHERE b.project_id = ${projectId}
    `,
    sql<{ buildId: string; protocolId: string; key: string; summary: KeptSummary }[]>`
      SELECT s.build_id, s.protocol_id, s.key, s.summary
      FROM build_summary s
      JOIN build b ON b.id = s.build_id
      WHERE b.project_id = ${projectId}
    `,
  ]);
  const said = new Map(verdicts.map((v) => [`${v.requirementId} ${v.buildId}`, v.value]));
  const sums = new Map(summaries.map((s) => [`${s.buildId} ${s.protocolId} ${s.key}`, s.summary]));
  return {
    requirements,
    teams,
    builds,
    protocols,
    tested: new Set(summaries.map((s) => s.buildId)),
    newest: newestBuilds(builds),
    verdict: (requirementId, buildId) => said.get(`${requirementId} ${buildId}`) ?? "untested",
    summary: (buildId, protocolId, key) => sums.get(`${buildId} ${protocolId} ${key}`) ?? null,
  };
}
