import "server-only";
import type { Verdict } from "@/core/vocabulary/needs";
import type { Better } from "@/core/vocabulary/runs";
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

/** The figures of a channel over a project's bench runs by team and day, and the best of all that count. */
export async function channelByDay(projectId: string, protocolId: string, key: string, better: Better) {
  await freshen([projectId]);
  const sql = db();
  const [days, [best]] = await Promise.all([
    sql<{ team: string; date: string; n: number; best: number | null }[]>`
      SELECT
        b.team_id AS team, (r.recorded_at AT TIME ZONE 'UTC')::date AS date, count(DISTINCT r.id)::int AS n,
        ${better === "more" ? sql`max(v.value)` : sql`min(v.value)`} FILTER (WHERE v.sound AND v.key = ${key}) AS best
      FROM run r
      JOIN build b ON b.id = r.build_id
      JOIN protocol_version o ON o.id = r.protocol_version_id
      LEFT JOIN run_value v ON v.run_id = r.id AND v.key = ${key} AND o.protocol_id = ${protocolId}
      WHERE r.project_id = ${projectId} AND r.place = 'bench'
      GROUP BY 1, 2
      ORDER BY 2
    `,
    sql<{ runId: string; buildId: string; value: number }[]>`
      SELECT v.run_id, v.build_id, v.value
      FROM run_value v
      JOIN run r ON r.id = v.run_id
      JOIN protocol_version o ON o.id = r.protocol_version_id
      WHERE r.project_id = ${projectId} AND o.protocol_id = ${protocolId} AND v.key = ${key} AND v.comparable
        AND v.value IS NOT NULL
      ORDER BY ${better === "more" ? sql`v.value DESC` : sql`v.value`}, v.run_id
      LIMIT 1
    `,
  ]);
  return { days, best: best ?? null };
}
