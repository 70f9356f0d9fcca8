import { isId } from "@/platform/db/id";
import { allowed, refused } from "@/platform/pages/route";
import { projectActs } from "@/platform/project/acts";
import { curveOf, seriesOf } from "@/stages/bench/queries/series";

/** A part of a series, thinned to what can be drawn. */
export async function GET(request: Request): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const id = query.get("id") ?? "";
  const [from, to] = [Number(query.get("from")), Number(query.get("to"))];
  const [s] = isId(id) ? await seriesOf({ id }) : [];
  if (!s || !Number.isFinite(from) || !(to > from) || !(await allowed(projectActs.read, s.projectId))) return refused();
  return Response.json(await curveOf(s.id, { from, to }), { headers: { "cache-control": "private, no-store" } });
}
