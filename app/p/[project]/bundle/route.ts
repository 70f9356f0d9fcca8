import { saveProjectBundle } from "@/platform/bundle/pack";
import { allowed, download, projectId, refused } from "@/platform/pages/route";
import { projectActs } from "@/platform/project/acts";
import { tables } from "@/stages/tables";

/** The project as a bundle. */
export async function GET(_: Request, { params }: { params: Promise<{ project: string }> }): Promise<Response> {
  const { project: slug } = await params;
  const project = await projectId(slug);
  if (!project || !(await allowed(projectActs.export, project.id))) return refused();
  return download(await saveProjectBundle(tables, project.id), `${slug}.zip`, "application/zip");
}
