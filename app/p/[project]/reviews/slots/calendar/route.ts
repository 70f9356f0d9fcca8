import { allowed, download, projectId, refused } from "@/platform/pages/route";
import { reviewActs } from "@/stages/reviews/acts";
import { slotsCalendar } from "@/stages/reviews/slots-calendar";

/** The slots of a review as iCalendar. */
export async function GET(request: Request, { params }: { params: Promise<{ project: string }> }): Promise<Response> {
  const { project: slug } = await params;
  const project = await projectId(slug);
  const asked = new URL(request.url).searchParams;
  const calendar =
    project && (await allowed(reviewActs.plan, project.id))
      ? await slotsCalendar(project, asked.get("title") ?? "", asked.get("who"))
      : null;
  return calendar === null ? refused() : download(calendar, `${slug}-slots.ics`, "text/calendar; charset=utf-8");
}
