import "server-only";
import { asTyped } from "../view/requirements";
import { requirementsOf } from "./requirements";

export interface CsvLine {
  line: number;
  code: string | null;
  statement: string;
  does: "adds" | "changes" | "same" | "wrong";
  problem: string | null;
}

/** The columns of the register's table in their order: what each is called, and by what else it is known coming in. */
export const registerColumns = {
  code: ["Code"],
  statement: ["Statement", "requirement"],
  kind: ["Kind"],
  priority: ["Priority"],
  measure: ["Measure"],
  comparator: ["Comparator"],
  target: ["Target"],
  second: ["Second"],
  unit: ["Unit"],
  sides: ["Envelope", "sides", "size"],
  method: ["Verified by", "method"],
  source: ["From", "source"],
  reason: ["Reason"],
} as const;

/** The register as a table that comes in again unchanged. */
export async function registerTable(projectId: string): Promise<string[][]> {
  const keys = Object.keys(registerColumns) as (keyof typeof registerColumns)[];
  const list = await requirementsOf(projectId);
  return [
    keys.map((k) => registerColumns[k][0]),
    ...list.map((r) => {
      const line = { code: r.code, ...asTyped(r) };
      return keys.map((k) => line[k]);
    }),
  ];
}
