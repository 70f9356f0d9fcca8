import "server-only";
import { projectActs } from "@/platform/project/acts";
import type { WorkingOf } from "@/platform/registry/stage";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { conceptsOf } from "./queries/concepts";
import { mustsOf, screen } from "./view/concepts";

/** How a concept stands against a must; of the concepts that the asker may see. */
export const screenWorking: WorkingOf = {
  act: projectActs.read,
  async make({ projectId, actor, which }) {
    const [concepts, requirements] = await Promise.all([conceptsOf(projectId, actor), requirementsOf(projectId)]);
    const k = concepts.find((x) => x.id === which("concept"));
    const found = k && screen(mustsOf(requirements), k).find((x) => x.must.id === which("requirement"));
    return found?.status.working ?? null;
  },
};
