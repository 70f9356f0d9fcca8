import { calendarOf } from "@/data/ics";
import { frameOf } from "@/data/frame";
import { allowed, download, projectId, refused } from "@/server/route";

/** A section's class calendar as iCalendar. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ project: string; section: string }> },
): Promise<Response> {
  const { project: slug, section } = await params;
  const project = await projectId(slug);
  const actor = project && (await allowed("project.read", project.id));
  const frame = actor ? await frameOf(slug, actor) : null;
  const found = frame?.sections.find((s) => s.id === section);
  if (!frame || !found) return refused();
  return download(
    await calendarOf(frame, section),
    `${slug}-section-${found.name.replace(/[^\w-]+/g, "-")}.ics`,
    "text/calendar; charset=utf-8",
  );
}
