import { overrun } from "@/core/shop/queue";
import { type StartLack, startLacks } from "@/core/shop/training";
import type { Booking } from "../queries/bookings";
import type { Tool } from "../queries/tools";
import { placeOf, type ShopTime } from "./times";
import { stateFor } from "./training";

/** What is missing before a booking's machine runs on a day. */
export function lacksOf(
  b: Pick<Booking, "operatorId" | "once" | "piece">,
  tool: Pick<Tool, "id" | "checks" | "signed">,
  checks: readonly { readonly toolId: string }[],
  day: string,
  /** An instructor begins it: that is the release of what is no piece of a list. */
  staff: boolean,
): StartLack[] {
  return startLacks({
    training: b.operatorId ? stateFor(tool, b.operatorId, day) : null,
    hasChecks: tool.checks.length > 0,
    checked: checks.some((c) => c.toolId === tool.id),
    once: b.once,
    released: b.piece?.once ? b.piece.released : staff,
  });
}

/** What is missing, in words that say what to do. */
export function lackWords(
  lack: StartLack,
  tool: Pick<Tool, "name" | "trainers">,
  b: Pick<Booking, "operator" | "piece">,
): string {
  const train = tool.trainers ? `${tool.trainers} may train.` : "Ask your instructor who may train.";
  switch (lack) {
    case "nobody":
      return "Name who stands at the machine: correct the booking.";
    case "untrained":
      return `${b.operator ?? "Who is named"} is not trained for ${tool.name}. ${train}`;
    case "over":
      return `${b.operator ?? "Somebody"}'s training for ${tool.name} is over. ${train}`;
    case "not checked":
      return `${tool.name} was not looked at today: go through its list first.`;
    case "not released":
      return b.piece?.once
        ? `${b.piece.name} can be cut once only, and is not released yet.`
        : "It can be cut once only: let your instructor begin it, after a second pair of eyes.";
  }
}

/** Said in a few words, for a row. */
export const lackLabels: Readonly<Record<StartLack, string>> = {
  nobody: "nobody named",
  untrained: "not trained",
  over: "training over",
  "not checked": "machine not looked at today",
  "not released": "cut once: not released",
};

export interface Slot {
  readonly booking: Booking;
  readonly lacks: readonly StartLack[];
  readonly late: boolean;
  /** Its day is over, and it did not begin. */
  readonly missed: boolean;
  readonly state: "waits" | "stands" | "runs" | "over";
}

export interface ShopDay {
  readonly time: ShopTime;
  readonly section: string;
  readonly slots: readonly Slot[];
  /** Minutes that nobody has. */
  readonly free: number;
}

export interface MachineWeek {
  readonly days: readonly ShopDay[];
  readonly waiting: readonly Slot[];
  /** Begun outside the week that is shown, and not ended. */
  readonly running: Slot | null;
  readonly booked: number;
  readonly minutes: number;
  /** Used over estimated, of what is over at this machine. */
  readonly overrun: { readonly ratio: number; readonly of: number } | null;
}

/** A machine's week: its sessions with who has which minutes, and who waits. */
export function machineWeek(
  tool: Pick<Tool, "id" | "name" | "checks" | "signed">,
  bookings: readonly Booking[],
  times: readonly ShopTime[],
  sections: readonly { readonly id: string; readonly name: string }[],
  checks: readonly { readonly toolId: string }[],
  done: readonly { readonly toolId: string; readonly minutes: number; readonly used: number }[],
  around: { readonly today: string; readonly staff: boolean },
): MachineWeek {
  const slot = (booking: Booking): Slot => ({
    booking,
    lacks: booking.endedAt ? [] : lacksOf(booking, tool, checks, around.today, around.staff),
    late: booking.onDate !== null && booking.onDate > booking.needBy,
    missed: booking.onDate !== null && booking.onDate < around.today && booking.startedAt === null,
    state: booking.endedAt ? "over" : booking.startedAt ? "runs" : booking.onDate === null ? "waits" : "stands",
  });
  const all = bookings.map(slot);
  const days = times.map((time): ShopDay => {
    const slots = all
      .filter((s) => placeOf(s.booking) === time.key)
      .sort((a, b) => a.booking.starts! - b.booking.starts!);
    return {
      time,
      section: sections.find((s) => s.id === time.section)?.name ?? "",
      slots,
      free: time.minutes - slots.reduce((n, s) => n + s.booking.minutes, 0),
    };
  });
  const mine = done.filter((d) => d.toolId === tool.id);
  const ratio = overrun(mine);
  return {
    days,
    waiting: all.filter((s) => s.state === "waits"),
    running: all.find((s) => s.state === "runs" && !times.some((t) => t.key === placeOf(s.booking))) ?? null,
    booked: days.reduce((n, d) => n + d.time.minutes - d.free, 0),
    minutes: days.reduce((n, d) => n + d.time.minutes, 0),
    overrun: ratio === null ? null : { ratio, of: mine.length },
  };
}

/** Whole minutes since an instant; 0 where there is none. */
export const minutesSince = (at: string | null): number =>
  at === null ? 0 : Math.max(0, Math.round((Date.now() - Date.parse(at)) / 60_000));
