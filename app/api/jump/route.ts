import { search } from "@/frame/search/search";
import { allowed, projectId, refused } from "@/platform/pages/route";
import { projectActs } from "@/platform/project/acts";

/** What the jump box finds. */
export async function GET(request: Request): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const project = await projectId(query.get("project") ?? "");
  const actor = project && (await allowed(projectActs.read, project.id));
  if (!project || !actor) return refused();
  return Response.json(await search(project, (query.get("q") ?? "").slice(0, 80), actor));
}
