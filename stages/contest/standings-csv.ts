import "server-only";
import { toCsv } from "@/platform/csv/csv";
import { eventsOf } from "./queries/events";

/** The standings of every event, as CSV. */
export async function standingsTable({ id }: { id: string }): Promise<string> {
  const events = await eventsOf(id);
  return toCsv([
    ["Event", "Place", "Shared", "Team", "Counted", "Unit", "Points", "Attempts", "Decided by"],
    ...events.flatMap((e) =>
      e.standings.map((s) => [
        e.name,
        s.place,
        s.shared ? "yes" : "no",
        s.name,
        s.counted === null ? null : s.shown,
        e.definition.unit,
        s.points,
        s.attempts.map((a) => a.text).join(" · "),
        s.decidedBy,
      ]),
    ),
  ]);
}
