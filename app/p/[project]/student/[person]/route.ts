import { isId } from "@/platform/db/id";
import { allowed, download, projectId, refused } from "@/platform/pages/route";
import { gradeActs } from "@/stages/grades/acts";
import { peopleActs } from "@/stages/people/acts";
import { studentRecord } from "@/stages/people/queries/record";

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
    ((await allowed(peopleActs.edit, project.id)) ?? (await allowed(gradeActs.readOwn, project.id, { person })));
  if (!ok) return refused();
  const record = await studentRecord(project.id, person);
  return record.person && record.enrolments.length
    ? download(JSON.stringify(record, null, 1), `student-record.json`, "application/json")
    : refused();
}
