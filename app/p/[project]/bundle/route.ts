import { exportProject } from "@/data/bundle";
import { allowed, download, projectId, refused } from "@/server/route";

/** The project as a bundle. */
export async function GET(_: Request, { params }: { params: Promise<{ project: string }> }): Promise<Response> {
  const { project: slug } = await params;
  const project = await projectId(slug);
  if (!project || !(await allowed("project.export", project.id))) return refused();
  return download(await exportProject(project.id), `${slug}.zip`, "application/zip");
}
