import "server-only";
import { toCsv } from "@/platform/csv/csv";
import { eventsOf } from "./queries/events";
import { matchEventsOf } from "./queries/matches";

/** The standings of every event, as CSV. */
export async function standingsTable({ id }: { id: string }): Promise<string> {
  const [events, races] = await Promise.all([eventsOf(id), matchEventsOf(id)]);
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
    ...races.flatMap((e) =>
      e.standings.map((s) => [
        e.name,
        s.place,
        s.sharing > 1 ? "yes" : "no",
        s.name,
        null,
        null,
        s.points,
        `${s.won} won · ${s.lost} lost`,
        s.decidedBy,
      ]),
    ),
  ]);
}
