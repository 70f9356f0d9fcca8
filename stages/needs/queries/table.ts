import "server-only";
import { fromSi } from "@/core/quantity/quantity";
import { requirementsOf } from "./requirements";

export interface CsvLine {
  line: number;
  code: string | null;
  statement: string;
  does: "adds" | "changes" | "same" | "wrong";
  problem: string | null;
}

/** The register as a table that comes in again unchanged. */
export async function registerTable(projectId: string): Promise<(string | number | null)[][]> {
  const list = await requirementsOf(projectId);
  const back = (si: string | null, unit: string | null) =>
    si === null
      ? ""
      : fromSi(si, unit ?? "1")
          .toSignificantDigits(10)
          .toString();
  return [
    [
      "Code",
      "Statement",
      "Kind",
      "Priority",
      "Measure",
      "Comparator",
      "Target",
      "Second",
      "Unit",
      "Verified by",
      "From",
      "Reason",
    ],
    ...list.map((r) => [
      r.code,
      r.statement,
      r.kind,
      r.priority,
      r.measure ?? "",
      r.comparator ?? "",
      back(r.target, r.unit),
      back(r.second, r.unit),
      r.unit ?? "",
      r.method ?? "",
      r.source,
      "",
    ]),
  ];
}
