import "server-only";
import { command, refuse } from "@/platform/command/command";
import { within } from "@/platform/command/within";
import { projectActs } from "@/platform/project/acts";
import { createProject } from "@/stages/plan/commands/projects";
import { applyTemplate } from "./apply";
import { fromTemplate } from "./form-schema";
import { kinds } from "./kinds";
import { readTemplate } from "./read";
import { template as schema } from "./schema";

/** A new project that begins with a template: one of the kinds, or a file. All of it is made, or nothing. */
export const createFromTemplate = command({
  name: "createFromTemplate",
  act: projectActs.create,
  schema: fromTemplate,
  subject: () => ({}),
  async run(context, { template, file, ...project }): Promise<{ projectId: string; slug: string }> {
    const read = file
      ? readTemplate(file)
      : template
        ? ({ ok: true, template: schema.validateSync(kinds[template]) } as const)
        : ({ ok: false, message: "Choose a kind of project, or a file." } as const);
    if (!read.ok) refuse(read.message, "file");
    const { projectId, slug } = await within(context, createProject, project, "project");
    await applyTemplate(context, projectId, read.template);
    return { projectId, slug };
  },
});
