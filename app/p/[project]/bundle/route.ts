import { exportForSchool } from "@/platform/bundle/exchange";
import { saveProjectBundle } from "@/platform/bundle/pack";
import { allowed, download, projectId, refused } from "@/platform/pages/route";
import { projectActs } from "@/platform/project/acts";
import { tables } from "@/stages/tables";

/** The project as a bundle; `?for=school` without names, with `&pictures=yes` with pictures of builds. */
export async function GET(request: Request, { params }: { params: Promise<{ project: string }> }): Promise<Response> {
  const { project: slug } = await params;
  const project = await projectId(slug);
  if (!project || !(await allowed(projectActs.export, project.id))) return refused();
  const asked = new URL(request.url).searchParams;
  if (asked.get("for") === "school") {
    const bundle = await exportForSchool(tables, project.id, asked.get("pictures") === "yes");
    return download(bundle, `${slug}-for-another-school.zip`, "application/zip");
  }
  return download(await saveProjectBundle(tables, project.id), `${slug}.zip`, "application/zip");
}
