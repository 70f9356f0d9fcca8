import { today } from "@/platform/command/command";
import { failure, unfitText } from "@/platform/command/failure";
import { allowed, fromOurPages, projectId, refused } from "@/platform/pages/route";
import { stages } from "@/stages/index";

/** So many characters are more than any form sends. */
const MOST = 2_000_000;

/** Tries what was sent on the record: an answer, or what is wrong with it. Nothing is written. */
export async function POST(request: Request): Promise<Response> {
  const type = request.headers.get("content-type") ?? "";
  if (!fromOurPages(request) || !type.startsWith("application/json"))
    return new Response("Only from a page of this application.", { status: 403 });
  const query = new URL(request.url).searchParams;
  const of = query.get("of") ?? "";
  const project = await projectId(query.get("project") ?? "");
  const trial = stages.flatMap((s) => (s.trials && Object.hasOwn(s.trials, of) ? [s.trials[of]!] : []))[0];
  if (!project || !trial || !(await allowed(trial.act, project.id))) return refused();
  const text = await request.text();
  const said = (wrong: string) => Response.json({ wrong }, { headers: { "cache-control": "no-store" } });
  if (text.length > MOST) return said("This is too much to be tried at once.");
  let sent: unknown;
  try {
    const raw: unknown = JSON.parse(text);
    const unfit = unfitText(raw);
    if (unfit) return said(unfit);
    sent = trial.schema.validateSync(raw, { stripUnknown: true });
  } catch (error) {
    return said((error as Error).message);
  }
  try {
    const answer = await trial.make({ projectId: project.id, today: today() }, sent as never);
    return Response.json({ answer }, { headers: { "cache-control": "no-store" } });
  } catch (error) {
    const result = failure(error);
    return said(result.ok ? "" : result.message);
  }
}
