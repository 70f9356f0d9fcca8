import type { FieldEvent } from "../queries/events";

/** Who attempts next: in run order, those with the fewest attempts first. */
export function upNext(event: Pick<FieldEvent, "definition" | "entries">): string[] {
  const n = event.definition.policy.n;
  return event.entries
    .filter((e) => e.inspection === "passed" && e.taken < n)
    .sort((a, b) => a.taken - b.taken || (a.runOrder ?? 999) - (b.runOrder ?? 999))
    .map((e) => e.team);
}
