import "server-only";
import type { Verdict } from "@/core/vocabulary/needs";
import { db } from "@/platform/db/db";
import { type Protocol, protocolsIn } from "@/stages/bench/queries/runs";
import { type Build, buildsIn } from "@/stages/builds/queries/builds";
import { newestBuilds } from "@/stages/builds/view/generations";
import { type Team, teamsIn } from "@/stages/teams/queries/teams";
import type { KeptSummary } from "../view/kept";
import { freshen } from "./kept";
import { type RequirementRow, requirementsIn } from "./requirements";

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

interface Kept {
  readonly projectId: string;
  readonly stale: boolean;
  readonly verdicts: readonly { requirement: string; build: string; value: Verdict }[];
  readonly summaries: readonly { build: string; protocol: string; key: string; summary: KeptSummary }[];
}

const keptIn = (projectIds: readonly string[]) => {
  const sql = db();
  return sql<Kept[]>`
    SELECT
      p.id AS project_id,
      EXISTS (SELECT FROM kept_build k WHERE k.project_id = p.id AND k.stale) AS stale,
      (
        SELECT coalesce(
          json_agg(json_build_object('requirement', v.requirement_id, 'build', v.build_id, 'value', v.value)), '[]'
        )
        FROM verdict v
        JOIN build b ON b.id = v.build_id
        WHERE b.project_id = p.id
      ) AS verdicts,
      (
        SELECT coalesce(
          json_agg(
            json_build_object('build', s.build_id, 'protocol', s.protocol_id, 'key', s.key, 'summary', s.summary)
          ),
          '[]'
        )
        FROM build_summary s
        JOIN build b ON b.id = s.build_id
        WHERE b.project_id = p.id
      ) AS summaries
    FROM project p
    WHERE p.id IN ${sql(projectIds)}
  `;
};

/** What is kept of these projects; what is marked is computed first. */
async function freshKept(projectIds: readonly string[]): Promise<Kept[]> {
  const kept = await keptIn(projectIds);
  if (!kept.some((k) => k.stale)) return kept;
  await freshen(projectIds);
  return keptIn(projectIds);
}

/** Loads where these projects stand, by project, with as many queries for many as for one. */
export async function projectStates(projectIds: readonly string[]): Promise<Map<string, ProjectState>> {
  if (!projectIds.length) return new Map();
  const [kept, requirements, teams, builds, protocols] = await Promise.all([
    freshKept(projectIds),
    requirementsIn(projectIds),
    teamsIn(projectIds),
    buildsIn(projectIds),
    protocolsIn(projectIds),
  ]);
  const own = <T extends { projectId: string }>(rows: readonly T[], id: string) =>
    rows.filter((r) => r.projectId === id);
  return new Map(
    kept.map(({ projectId: id, verdicts, summaries }) => {
      const said = new Map(verdicts.map((v) => [`${v.requirement} ${v.build}`, v.value]));
      const sums = new Map(summaries.map((s) => [`${s.build} ${s.protocol} ${s.key}`, s.summary]));
      const mine = own(builds, id);
      return [
        id,
        {
          requirements: own(requirements, id),
          teams: own(teams, id),
          builds: mine,
          protocols: own(protocols, id),
          tested: new Set(summaries.map((s) => s.build)),
          newest: newestBuilds(mine),
          verdict: (requirementId, buildId) => said.get(`${requirementId} ${buildId}`) ?? "untested",
          summary: (buildId, protocolId, key) => sums.get(`${buildId} ${protocolId} ${key}`) ?? null,
        } satisfies ProjectState,
      ];
    }),
  );
}

/** Loads where a project stands. */
export const projectState = async (projectId: string): Promise<ProjectState> =>
  (await projectStates([projectId])).get(projectId)!;
