import { slotClock } from "@/core/slots/clock";
import type { SlotPlanRow, SlotRow } from "../queries/slots";

/** A room's reviews of one day as the clock needs them. */
export interface ClockRoom {
  readonly name: string;
  readonly slots: readonly {
    readonly id: string;
    readonly version: number;
    readonly team: string;
    readonly reviewers: readonly string[];
    readonly planned: number;
    readonly minutes: number;
    readonly began: number | null;
    readonly ended: number | null;
  }[];
}

/** The day that the clock shows: the one asked for, today's, or the next that has reviews; its rooms in order. */
export function clockDay(plan: SlotPlanRow, slots: readonly SlotRow[], today: string, asked: string | undefined) {
  const days = [...new Set(slots.flatMap((s) => (s.heldOn ? [s.heldOn] : [])))].sort();
  const day = days.find((d) => d === asked) ?? days.find((d) => d >= today) ?? days.at(-1) ?? null;
  const { minutes, change, rooms } = plan.definition;
  return {
    day,
    days,
    change,
    rooms: rooms
      .map(
        (name, room): ClockRoom => ({
          name,
          slots: slots
            .filter((s) => s.heldOn === day && s.room === room && s.starts !== null)
            .map((s) => ({
              id: s.id,
              version: s.version,
              team: s.team,
              reviewers: s.reviewers,
              planned: s.starts!,
              minutes,
              began: s.began,
              ended: s.ended,
            })),
        }),
      )
      .filter((r) => r.slots.length > 0),
  };
}

/** A room at a moment: what is on and how long it has left, what comes next, and the times that the rest can begin. */
export function clockAt(room: ClockRoom, now: number, change: number) {
  const clock = slotClock(room.slots, now, change);
  const of = (id: string | null) => room.slots.find((s) => s.id === id) ?? null;
  return { ...clock, onNow: of(clock.on), nextUp: of(clock.next) };
}
