import { today } from "@/platform/command/command";
import { allowed, download, projectId, refused } from "@/platform/pages/route";
import { stages } from "@/stages/index";

/** One of the stages' lists as CSV. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ project: string; kind: string }> },
): Promise<Response> {
  const { project: slug, kind } = await params;
  const project = await projectId(slug);
  const list = stages
    .map((s) => (s.downloads && Object.hasOwn(s.downloads, kind) ? s.downloads[kind] : null))
    .find(Boolean);
  if (!project || !list || !(await allowed(list.act, project.id))) return refused();
  const query = new URL(request.url).searchParams;
  const only = { section: query.get("section"), which: (name: string) => query.get(name) ?? "" };
  return download(await list.make(project, today(), only), `${slug}-${kind}.csv`, "text/csv; charset=utf-8");
}
