import { today } from "@/data/command";
import { type CsvKind, csvKinds, csvOf } from "@/data/csv";
import { allowed, download, projectId, refused } from "@/server/route";

const acts = {
  requirements: "needs.read",
  register: "needs.read",
  runs: "project.read",
  standings: "contest.read",
  gradebook: "grade.readAll",
} as const;

/** Requirements, runs, standings or the gradebook as CSV. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ project: string; kind: string }> },
): Promise<Response> {
  const { project: slug, kind } = await params;
  const project = await projectId(slug);
  if (
    !project ||
    !(csvKinds as readonly string[]).includes(kind) ||
    !(await allowed(acts[kind as CsvKind], project.id))
  )
    return refused();
  return download(
    await csvOf(kind as CsvKind, project.id, project.currency, today()),
    `${slug}-${kind}.csv`,
    "text/csv; charset=utf-8",
  );
}
