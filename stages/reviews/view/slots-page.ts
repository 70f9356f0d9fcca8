import { clockOf } from "@/core/contest/programme";
import type { Review } from "../queries/reviews";
import type { SlotPlanRow, SlotRow } from "../queries/slots";
import { reviewTemplates } from "./review-templates";
import { freshSlots, placesOf, type SlotTeam, slotBoard, slotProblem } from "./slots";

/** What the page of one review's slots shows; null where there is no such review. */
export function slotsPage(
  title: string,
  reviews: readonly Pick<Review, "id" | "title" | "kind" | "heldOn" | "teamId" | "team">[],
  plans: readonly SlotPlanRow[],
  slots: readonly SlotRow[],
  sessions: (section: string) => readonly string[],
  sections: ReadonlyMap<string, string | null>,
) {
  const own = reviews.filter((r) => r.title === title);
  if (!own.length) return null;
  const plan = plans.find((p) => p.title === title) ?? null;
  const teams = own.map((r): SlotTeam => {
    const section = sections.get(r.teamId) ?? null;
    return {
      reviewId: r.id,
      team: r.team,
      meets: section ? sessions(section) : null,
      hours: slots.find((s) => s.reviewId === r.id)?.hours ?? [],
    };
  });
  const definition = plan?.definition ?? freshSlots(own[0]!.heldOn, reviewTemplates[own[0]!.kind].minutes);
  const board = plan ? slotBoard(slotProblem(plan.definition, teams), placesOf(slots)) : null;
  return {
    plan,
    definition,
    teams,
    board,
    placed: slots.filter((s) => s.heldOn !== null).length,
    slots: Object.fromEntries(
      slots.map((s) => [s.reviewId, { id: s.id as string, version: s.version, begun: s.began !== null }]),
    ),
    /** Teams that can still be moved by hand. */
    hand: slots
      .filter((s) => s.began === null)
      .map((s) => ({ id: s.id as string, version: s.version, team: s.team, reviewers: s.reviewers })),
    /** Where to: every place, with the team that has it. */
    places: (board?.days ?? []).flatMap((d) =>
      d.times.flatMap((t) =>
        t.rooms.map((placed, room) => ({
          value: `${d.day} ${clockOf(t.from)} ${room}`,
          day: d.day,
          from: t.from,
          room: definition.rooms[room] ?? "",
          team: placed?.name ?? null,
        })),
      ),
    ),
  };
}

/** When and where teams are seen, by review: to be sorted by, and as it is shown. */
export function slotTimes(
  slots: readonly (SlotRow & { planId: string })[],
  plans: readonly SlotPlanRow[],
  shortDate: (date: string) => string,
): Map<string, { value: string; show: string }> {
  return new Map(
    slots.flatMap((s) => {
      const plan = plans.find((p) => p.id === s.planId);
      if (!plan || s.heldOn === null || s.starts === null) return [];
      const room = plan.definition.rooms.length > 1 ? `, ${plan.definition.rooms[s.room ?? 0]}` : "";
      return [
        [
          s.reviewId as string,
          {
            value: `${s.heldOn} ${String(s.starts).padStart(4, "0")}`,
            show: `${plan.definition.days.length > 1 ? `${shortDate(s.heldOn)} ` : ""}${clockOf(s.starts)}${room}`,
          },
        ],
      ];
    }),
  );
}
