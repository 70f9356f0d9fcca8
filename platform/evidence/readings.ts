import type { ReadingRole } from "@/core/vocabulary/runs";
import "server-only";
import { type Parsed, parseQuantity } from "@/core/quantity/quantity";
import { assessRun } from "@/core/run/assess";
import { type ProtocolDefinition, readingsFor } from "@/core/run/protocol";
import { parseReading } from "@/core/run/reading";
import { refuse } from "@/platform/command/command";

type Rows = { runId: string; key: string; role: ReadingRole; value: string; entered: string }[];

/**
 * What is measured must be possible and should be plausible: what a channel cannot be computed from is refused and uses
 * nothing up, and what lies outside its range is asked about once, then taken as `sure`.
 */
export function checkReadings(
  definition: ProtocolDefinition,
  rows: Rows,
  channels: readonly string[],
  sure: boolean,
): void {
  const of = (role: ReadingRole) =>
    Object.fromEntries(rows.flatMap((r) => (r.role === role ? [[r.key, r.value] as const] : [])));
  const run = assessRun(definition, {
    id: "",
    attempt: 1,
    state: "valid",
    reason: null,
    readings: of("measure"),
    conditions: of("condition"),
  });
  const read = new Set(rows.map((r) => r.key));
  const broken = definition.derived.find(
    (d) =>
      channels.includes(d.key) &&
      run.values[d.key]?.value === null &&
      readingsFor(definition, d.key).every((k) => read.has(k) || !definition.measures.some((m) => m.key === k)),
  );
  if (broken)
    refuse(
      `${broken.name} cannot be computed from these readings: a division by zero or a root of a negative number. ` +
        "Nothing was saved; look at the readings.",
    );
  if (run.alarms.length && !sure) refuse(`${run.alarms.join(" ")} If it is right, save it once more.`, "sure");
}

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
    if (typed) take(parseReading(m, typed), m.key, "measure", typed, m.name, `readings.${m.key}`);
    else if (needed?.includes(m.key)) refuse(`${m.name} is missing.`, `readings.${m.key}`);
  }
  for (const c of definition.conditions) {
    const typed = (conditions[c.key] ?? "").trim();
    if (typed) take(parseQuantity(typed, c.unit), c.key, "condition", typed, c.name, `conditions.${c.key}`);
  }
  return rows;
}
