import "server-only";
import { command, found, refuse } from "@/platform/command/command";
import { needsActs } from "../acts";
import { requirementsOf } from "../queries/requirements";
import * as s from "../schema";
import { asTyped } from "../view/requirements";
import { ownRequirement } from "./register";
import { retireRequirement, saveRequirement } from "./requirements";

/** The same change for several requirements at once: all of them or, where one refuses, none. */
export const changeRequirements = command({
  name: "changeRequirements",
  act: needsActs.edit,
  schema: s.changeRequirements,
  subject: (_, i) => ({ project: i.projectId }),
  async run(context, input): Promise<{ changed: number }> {
    const { projectId } = input;
    const list = await requirementsOf(projectId, context.sql);
    const chosen = input.ids.map((id) =>
      found(
        list.find((r) => r.id === id),
        "One of these requirements",
      ),
    );
    let changed = 0;
    for (const r of chosen) {
      const version = r.rowVersion;
      if (input.change === "retire") await retireRequirement.run(context, { id: r.id, version, reason: input.reason });
      else if (input.change === "owner") await ownRequirement.run(context, { id: r.id, ownerId: input.ownerId });
      else if (r.priority === input.priority) continue;
      else {
        const next = { ...asTyped(r), projectId, id: r.id, version, priority: input.priority, reason: input.reason };
        await saveRequirement.run(context, s.requirement.cast(next));
      }
      changed++;
    }
    if (changed === 0) refuse("They are all like that already. Nothing was changed.");
    return { changed };
  },
});
