import "server-only";
import { toCsv } from "@/platform/csv/csv";
import { limitWords, measureWords } from "../view/requirements";
import { statusMatrix } from "../view/verdicts";
import { projectFacts } from "./facts";

/** The requirements with their status for every team, as CSV. */
export async function statusTable({ id, currency }: { id: string; currency: string }): Promise<string> {
  const facts = await projectFacts(id);
  const m = statusMatrix(facts);
  return toCsv([
    [
      "Code",
      "Version",
      "Statement",
      "Kind",
      "Priority",
      "Measure",
      "Limit",
      "Verified by",
      "From",
      ...facts.teams.map((t) => `Status ${t.name}`),
    ],
    ...facts.requirements.map((r) => [
      r.code,
      r.number,
      r.statement,
      r.kind,
      r.priority,
      measureWords(r, facts.protocols),
      limitWords(r, currency),
      r.method,
      r.source,
      ...facts.teams.map((t) => m.status.get(r.id)!.get(t.id)!.value),
    ]),
  ]);
}
