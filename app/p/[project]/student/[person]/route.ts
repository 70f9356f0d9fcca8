import { isId } from "@/data/id";
import { studentRecord } from "@/data/people";
import { allowed, download, projectId, refused } from "@/server/route";

/** Everything that is stored about one student in a project: for the instructor, and for the student. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ project: string; person: string }> },
): Promise<Response> {
  const { project: slug, person } = await params;
  const project = await projectId(slug);
  const ok =
    project &&
    isId(person) &&
    ((await allowed("people.edit", project.id)) ?? (await allowed("grade.readOwn", project.id, { person })));
  if (!ok) return refused();
  const record = await studentRecord(project.id, person);
  return record.person && record.enrolments.length
    ? download(JSON.stringify(record, null, 1), `student-record.json`, "application/json")
    : refused();
}
