import { allowed, download, projectId, refused } from "@/platform/pages/route";
import { projectActs } from "@/platform/project/acts";
import { templateOf } from "@/stages/templates/queries";

/** The project as a template: an open file without people, builds, results and dates. */
export async function GET(_: Request, { params }: { params: Promise<{ project: string }> }): Promise<Response> {
  const { project: slug } = await params;
  const project = await projectId(slug);
  if (!project || !(await allowed(projectActs.export, project.id))) return refused();
  return download(
    `${JSON.stringify(await templateOf(project.id), null, 2)}\n`,
    `${slug}-template.json`,
    "application/json",
  );
}
