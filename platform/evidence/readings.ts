import type { ReadingRole } from "@/core/vocabulary/runs";
import "server-only";
import { type Parsed, parseQuantity } from "@/core/quantity/quantity";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { refuse } from "@/platform/command/command";

type Rows = { runId: string; key: string; role: ReadingRole; value: string; entered: string }[];

/** Typed readings and conditions as rows in SI; refuses what cannot be read, beside the field that it stands in. */
export function readTyped(
  definition: ProtocolDefinition,
  runId: string,
  readings: Record<string, string>,
  conditions: Record<string, string>,
  needed: readonly string[] | null,
): Rows {
  const rows: Rows = [];
  const take = (parsed: Parsed, key: string, role: ReadingRole, entered: string, name: string, field: string) => {
    if (!parsed.ok) refuse(`${name}: ${parsed.message}`, field);
    rows.push({ runId, key, role, value: parsed.quantity.si, entered });
  };
  for (const m of definition.measures) {
    const typed = (readings[m.key] ?? "").trim();
    if (typed) take(parseQuantity(typed, m.unit), m.key, "measure", typed, m.name, `readings.${m.key}`);
    else if (needed?.includes(m.key)) refuse(`${m.name} is missing.`, `readings.${m.key}`);
  }
  for (const c of definition.conditions) {
    const typed = (conditions[c.key] ?? "").trim();
    if (typed) take(parseQuantity(typed, c.unit), c.key, "condition", typed, c.name, `conditions.${c.key}`);
  }
  return rows;
}
