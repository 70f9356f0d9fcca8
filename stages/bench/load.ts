import "server-only";
import type { Build } from "@/stages/builds/queries/builds";
import { evidenceOf } from "@/stages/needs/queries/facts";
import type { ProjectState } from "@/stages/needs/queries/state";
import { assessAll } from "@/stages/needs/view/verdicts";
import { benchValues, type Protocol, runsOf } from "./queries/runs";
import type { BenchFacts } from "./view/bench";

/** How many attempts stand on the bench's page unless all are asked for. */
const shown = 12;

/** What the bench's page shows of a build: its latest attempts, and the values that its team's builds came to. */
export async function loadBench(
  projectId: string,
  state: ProjectState,
  protocol: Protocol,
  build: Build,
  all: boolean,
): Promise<BenchFacts> {
  const siblings = state.builds.filter((b) => b.teamId === build.teamId);
  const narrow = { protocolId: protocol.id, buildIds: [build.id], place: "bench" as const };
  const [runs, evidence, { values, attempts }] = await Promise.all([
    runsOf(projectId, all ? narrow : { ...narrow, latest: shown }),
    evidenceOf(projectId, { buildIds: [build.id] }),
    benchValues(
      siblings.map((b) => b.id),
      protocol.id,
      protocol.definition.primary,
    ),
  ]);
  return { runs, assessed: assessAll(runs, [protocol], evidence), values, attempts };
}
