import { can } from "@/core/access/can";
import { isId } from "@/platform/db/id";
import { allowed, download, projectId, refused } from "@/platform/pages/route";
import { frameOf } from "@/platform/project/frame";
import { reviewActs } from "@/stages/reviews/acts";
import { storyFile } from "@/stages/reviews/story-file";

/** A team's story as one HTML page. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ project: string; team: string }> },
): Promise<Response> {
  const { project: slug, team } = await params;
  const project = await projectId(slug);
  const actor = project && isId(team) ? await allowed(reviewActs.read, project.id) : null;
  const frame = actor?.kind === "person" ? await frameOf(slug, actor) : null;
  if (!actor || !frame) return refused();
  const tells = can(actor, reviewActs.tell, { project: frame.project.id, team });
  const page = await storyFile(frame.project, team, tells);
  return page === null ? refused() : download(page, `${slug}-story.html`, "text/html; charset=utf-8");
}
