import { today } from "@/platform/command/command";
import { allowed, projectId, refused } from "@/platform/pages/route";
import { stages } from "@/stages/index";

/** A working, made now that somebody opens it. */
export async function GET(request: Request): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const of = query.get("of") ?? "";
  const project = await projectId(query.get("project") ?? "");
  const kind = stages.flatMap((s) => (s.workings && Object.hasOwn(s.workings, of) ? [s.workings[of]!] : []))[0];
  const actor = project && kind && (await allowed(kind.act, project.id));
  if (!project || !kind || !actor) return refused();
  const working = await kind.make({
    projectId: project.id,
    actor,
    today: today(),
    which: (name) => query.get(name) ?? "",
  });
  return working ? Response.json(working, { headers: { "cache-control": "private, no-store" } }) : refused();
}
