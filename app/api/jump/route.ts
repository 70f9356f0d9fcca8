import { search } from "@/data/audit";
import { can } from "@/core/access/can";
import { allowed, projectId, refused } from "@/server/route";

/** What the jump box finds. */
export async function GET(request: Request): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const project = await projectId(query.get("project") ?? "");
  const actor = project && (await allowed("project.read", project.id));
  if (!project || !actor) return refused();
  return Response.json(
    await search(
      project.id,
      project.slug,
      (query.get("q") ?? "").slice(0, 80),
      can(actor, "people.read", { project: project.id }),
    ),
  );
}
