import "server-only";
import { channelsOf } from "@/core/run/protocol";
import { isId } from "@/platform/db/id";
import { projectActs } from "@/platform/project/acts";
import type { WorkingOf } from "@/platform/registry/stage";
import { factsOfBuilds } from "./queries/facts";
import { requirementStatus, summaryOf } from "./view/verdicts";

/** Why a requirement stands as it does for a build. */
export const verdictWorking: WorkingOf = {
  act: projectActs.read,
  async make({ projectId, which }) {
    const build = which("build");
    const facts = await factsOfBuilds(projectId, isId(build) ? [build] : []);
    const r = facts.requirements.find((x) => x.id === which("requirement"));
    return r
      ? requirementStatus(
          facts,
          r,
          facts.builds.find((b) => b.id === build),
        ).working
      : null;
  },
};

/** What a build's bench runs come to for a channel. */
export const summaryWorking: WorkingOf = {
  act: projectActs.read,
  async make({ projectId, which }) {
    const build = which("build");
    if (!isId(build)) return null;
    const facts = await factsOfBuilds(projectId, [build]);
    const protocol = facts.protocols.find((p) => p.id === which("protocol"));
    const channel = protocol && channelsOf(protocol.definition).find((c) => c.key === which("key"));
    return protocol && channel ? summaryOf(facts, protocol, build, channel.key).working : null;
  },
};

/** How a value of a run came about. */
export const runWorking: WorkingOf = {
  act: projectActs.read,
  async make({ projectId, which }) {
    const build = which("build");
    if (!isId(build)) return null;
    const facts = await factsOfBuilds(projectId, [build]);
    return facts.assessed.get(which("run"))?.values[which("key")]?.working ?? null;
  },
};
