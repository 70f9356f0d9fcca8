import { isId } from "@/platform/db/id";
import { allowed, download, refused } from "@/platform/pages/route";
import { projectActs } from "@/platform/project/acts";
import { seriesCsv, seriesOf } from "@/stages/bench/queries/series";

/** Every sample of a series as it was read. */
export async function GET(request: Request): Promise<Response> {
  const id = new URL(request.url).searchParams.get("id") ?? "";
  const [s] = isId(id) ? await seriesOf({ id }) : [];
  if (!s || !(await allowed(projectActs.read, s.projectId))) return refused();
  return download(await seriesCsv(s), `series-${s.key}.csv`, "text/csv; charset=utf-8");
}
