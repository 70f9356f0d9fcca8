import { allowed, download, projectId, refused } from "@/platform/pages/route";
import { projectActs } from "@/platform/project/acts";
import { frameOf } from "@/platform/project/frame";
import { calendarOf } from "@/stages/plan/ics";

/** A section's class calendar as iCalendar. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ project: string; section: string }> },
): Promise<Response> {
  const { project: slug, section } = await params;
  const project = await projectId(slug);
  const actor = project && (await allowed(projectActs.read, project.id));
  const frame = actor ? await frameOf(slug, actor) : null;
  const found = frame?.sections.find((s) => s.id === section);
  if (!frame || !found) return refused();
  return download(
    await calendarOf(frame, section),
    `${slug}-section-${found.name.replace(/[^\w-]+/g, "-")}.ics`,
    "text/calendar; charset=utf-8",
  );
}
