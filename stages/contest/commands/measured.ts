import "server-only";
import { readByTwo, twoReadings } from "@/core/contest/attempt";
import type { EventDefinition } from "@/core/contest/standings";
import { fromSi } from "@/core/quantity/quantity";
import { type ProtocolDefinition, readingsFor } from "@/core/run/protocol";
import type { EnteredState } from "@/core/vocabulary/runs";
import { refuse } from "@/platform/command/command";
import { checkReadings, readTyped } from "@/platform/evidence/readings";

interface Scored {
  readonly definition: EventDefinition;
  readonly protocol: ProtocolDefinition;
}

interface Typed {
  readonly id: string;
  readonly state: EnteredState;
  readonly readings: Record<string, string>;
  readonly seconds: Record<string, string>;
  readonly penalties: readonly { key: string; count: number; reason: string }[];
  readonly sure: boolean;
}

const typesAny = (readings: Record<string, string>) => Object.values(readings).some((x) => x.trim());

/** What was typed for an attempt as rows: of a foul nothing, or what it reached until it left the course. */
export function measuredRows({ definition, protocol }: Scored, input: Typed) {
  const where = definition.policy.foul === "where" && typesAny(input.readings);
  if (input.state !== "valid" && !where) return [];
  const needed = readingsFor(protocol, definition.channel);
  const first = readTyped(protocol, input.id, input.readings, {}, needed);
  const taken = protocol.measures.filter((m) => needed.includes(m.key));
  const twice = readByTwo(definition.care, taken);
  const second = twice.length ? readTyped(protocol, input.id, input.seconds, {}, twice) : [];
  const rows = first.map((r) => {
    const other = second.find((x) => x.key === r.key);
    const measure = taken.find((m) => m.key === r.key);
    if (!other || !measure || !definition.care || !twice.includes(r.key))
      return { ...r, second: null, secondEntered: "" };
    const inUnit = [r, other].map((x) => fromSi(x.value, measure.unit).toString()) as [string, string];
    if (twoReadings(definition.care, inUnit, measure.resolution).apart && !input.sure)
      refuse(
        `The two readings of ${measure.name} are further apart than ${measure.resolution} ${measure.unit}: both read ` +
          "again. If it stays so, save it once more.",
        "sure",
      );
    const { value } = twoReadings(definition.care, [r.value, other.value], "0");
    return { ...r, value, second: other.value, secondEntered: other.entered };
  });
  for (const r of rows)
    if (Number(r.value) < 0) refuse("A measured value cannot be below zero here.", `readings.${r.key}`);
  checkReadings(protocol, rows, [definition.channel], input.sure);
  return rows;
}

/** What an attempt is charged as rows; refuses what the event's rules do not charge. */
export function chargedRows({ definition }: Scored, input: Typed) {
  for (const p of input.penalties)
    if (!definition.penalties?.some((r) => r.key === p.key))
      refuse("The rules of this event have changed: load the page again for its penalties.");
  return input.penalties.map((p) => ({ runId: input.id, key: p.key, count: p.count, reason: p.reason }));
}
