import { atResolution } from "@/core/ranking/rank";
import type { ContestEvent } from "../queries/events";

/** Entries that are tied where a run-off breaks ties. */
export interface Tie {
  readonly entries: readonly { readonly value: string; readonly label: string }[];
  /** A run-off of them is on record. */
  readonly broken: boolean;
  readonly says: string;
}

/** The ties of an event that a run-off breaks: those that wait for one, and those whose run-off is on record. */
export function runOffs(event: Pick<ContestEvent, "definition" | "standings" | "entries" | "state">): Tie[] {
  const d = event.definition;
  if (!d.tieBreaks.includes("runoff") || event.state === "confirmed") return [];
  const by = new Map<string, ContestEvent["standings"]>();
  for (const s of event.standings) {
    if (s.counted === null) continue;
    const key = atResolution(s.counted, d.resolution).toString();
    by.set(key, [...(by.get(key) ?? []), s]);
  }
  return [...by.values()].flatMap((tied): Tie[] => {
    const run = tied.filter((s) => event.entries.find((n) => n.id === s.id)?.runOff);
    // Ties that the chain broke before a run-off need none.
    const open = tied.filter((s) => s.shared || run.includes(s));
    if (open.length < 2) return [];
    const names = open.map((s) => s.name).join(" and ");
    const broken = run.length === open.length;
    return [
      {
        entries: open.map((s) => ({ value: s.id, label: s.name })),
        broken,
        says: broken
          ? `${names} were tied at ${open[0]!.shown}: their run-off is on record.`
          : `${names} are tied at ${open[0]!.shown}: a run-off breaks it.`,
      },
    ];
  });
}
