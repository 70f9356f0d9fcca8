import "server-only";
import { toCsv } from "@/platform/csv/csv";
import { limitWords, measureWords } from "../view/requirements";
import { projectState } from "./state";

/** The requirements with their status for every team, as CSV. */
export async function statusTable({ id, currency }: { id: string; currency: string }): Promise<string> {
  const facts = await projectState(id);
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
      ...facts.teams.map((t) => facts.verdict(r.id, facts.newest.get(t.id)?.id)),
    ]),
  ]);
}
