import "server-only";
import { toCsv } from "@/platform/csv/csv";
import { placedContestOf } from "./queries/contest";

/** The standings of every event, as CSV. */
export async function standingsTable({ id }: { id: string }): Promise<string> {
  const { events, races, judged } = (await placedContestOf(id, false)).contest;
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
    // Marks of judges are for everybody once they are confirmed.
    ...judged
      .filter((e) => e.state === "confirmed")
      .flatMap((e) =>
        e.standings.map((s) => [
          e.name,
          s.place,
          s.shared ? "yes" : "no",
          s.name,
          s.counted === null ? null : s.shown,
          "of 100",
          s.points,
          `${s.sheets} sheets`,
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
