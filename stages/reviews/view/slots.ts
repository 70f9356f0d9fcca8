import { clockOf } from "@/core/contest/programme";
import { checkSlots, type SlotBreach } from "@/core/slots/check";
import { type Hours, readHours } from "@/core/slots/hours";
import { type SlotProblem, type SlotTime, slotTimes } from "@/core/slots/problem";
import type { SlotPlace } from "@/core/slots/solver";
import type { SlotDefinition } from "../schema-slots";

/** A team as it takes part in a plan. */
export interface SlotTeam {
  readonly reviewId: string;
  readonly team: string;
  /** Dates on which its section meets; null for a team of no section. */
  readonly meets: readonly string[] | null;
  /** By day of the plan, as typed. */
  readonly hours: readonly string[];
}

/** The days and lengths of a plan, read from what was typed. */
export const slotDays = (d: Pick<SlotDefinition, "days" | "minutes" | "change">) => ({
  days: d.days.map(({ day, hours }) => ({ day, hours: readHours(hours, []) })),
  minutes: d.minutes,
  change: d.change,
});

/** What the planner solves, from what was typed. */
export function slotProblem(d: SlotDefinition, teams: readonly SlotTeam[]): SlotProblem {
  const shape = slotDays(d);
  const given = (hours: readonly (string | undefined)[], none: (day: string) => boolean = () => false) =>
    shape.days.map(({ day, hours: all }, i) => ({
      day,
      hours: readHours(hours[i] ?? "", none(day) ? [] : all),
    }));
  return {
    ...shape,
    rooms: d.rooms.length,
    panel: { least: d.least, most: d.most },
    reviewers: d.reviewers.map((r) => ({ name: r.name, days: given(r.hours) })),
    teams: teams.map((t) => ({
      id: t.reviewId,
      name: t.team,
      // Hours that are written for a team hold, whether its section meets or not.
      days: given(t.hours, (day) => d.inClass && t.meets !== null && !t.meets.includes(day)),
    })),
  };
}

/** A place of the plan as it is shown. */
export interface PlacedTeam extends SlotPlace {
  readonly name: string;
  /** What is wrong there, in words. */
  readonly wrong: readonly string[];
}

const breachWords = (b: SlotBreach): string => {
  switch (b.kind) {
    case "team away":
      return "the team is not there";
    case "no time":
      return "none of the plan's times";
    case "small panel":
      return `${b.reviewers} reviewers are too few`;
    case "large panel":
      return `${b.reviewers} reviewers are too many`;
    case "reviewer away":
      return `${b.reviewer} is not there`;
    case "reviewer twice":
      return `${b.reviewer} is in two rooms`;
    case "room twice":
      return "two teams in one room";
  }
};

/** A plan as a board: a line a time, a place a room, with what is wrong, and what every reviewer has to do. */
export function slotBoard(problem: SlotProblem, places: readonly SlotPlace[]) {
  const { breaches, gaps, waits } = checkSlots(problem, places);
  const placed = places.map(
    (p): PlacedTeam => ({
      ...p,
      name: problem.teams.find((t) => t.id === p.team)?.name ?? "",
      wrong: breaches.filter((b) => b.team === p.team).map(breachWords),
    }),
  );
  const times = slotTimes(problem);
  const days = [...new Set(times.map((t) => t.day))].map((day) => ({
    day,
    times: times
      .filter((t) => t.day === day)
      .map((t) => ({
        from: t.from,
        text: `${clockOf(t.from)}–${clockOf(t.to)}`,
        rooms: Array.from(
          { length: problem.rooms },
          (_, room) => placed.find((p) => p.day === day && p.from === t.from && p.room === room) ?? null,
        ),
      })),
  }));
  return {
    days,
    gaps,
    breaches: breaches.length,
    without: problem.teams.filter((t) => !places.some((p) => p.team === t.id)).map((t) => t.name),
    reviewers: problem.reviewers.map((r) => {
      const own = placed.filter((p) => p.reviewers.includes(r.name));
      return { name: r.name, reviews: own.length, waits: waits.get(r.name) ?? 0, stays: stays(own, times) };
    }),
  };
}
export type SlotBoard = ReturnType<typeof slotBoard>;

/** When somebody is needed: from the first review of a day to the end of the last. */
function stays(own: readonly SlotPlace[], times: readonly SlotTime[]): { day: string; hours: Hours }[] {
  const days = [...new Set(own.map((p) => p.day))].sort();
  return days.map((day) => {
    const of = times.filter((t) => t.day === day && own.some((p) => p.day === day && p.from === t.from));
    return { day, hours: { from: of[0]?.from ?? 0, to: of.at(-1)?.to ?? 0 } };
  });
}

/** The places of slots that have one. */
export const placesOf = (
  slots: readonly {
    reviewId: string;
    heldOn: string | null;
    starts: number | null;
    room: number | null;
    reviewers: readonly string[];
  }[],
): SlotPlace[] =>
  slots.flatMap((s) =>
    s.heldOn !== null && s.starts !== null && s.room !== null
      ? [{ team: s.reviewId, day: s.heldOn, from: s.starts, room: s.room, reviewers: s.reviewers }]
      : [],
  );

/** What a new plan begins with: a school morning, on the day that the reviews are planned for. */
export const freshSlots = (heldOn: string, minutes: number): SlotDefinition => ({
  minutes,
  change: 5,
  rooms: ["Workshop"],
  least: 2,
  most: 3,
  inClass: false,
  days: [{ day: heldOn, hours: "8:30-12:00" }],
  reviewers: [{ name: "", hours: [] }],
});

/** A plan as its form holds it: everything as it is typed. */
export interface TypedSlots {
  minutes: string;
  change: string;
  /** With commas. */
  rooms: string;
  least: string;
  most: string;
  inClass: boolean;
  days: { day: string; hours: string }[];
  reviewers: { name: string; hours: string[] }[];
  teams: { reviewId: string; hours: string[] }[];
  places: SlotPlace[];
}

/** A kept plan in its form. */
export const typedSlots = (d: SlotDefinition, teams: readonly SlotTeam[]): TypedSlots => ({
  minutes: String(d.minutes),
  change: String(d.change),
  rooms: d.rooms.join(", "),
  least: String(d.least),
  most: String(d.most),
  inClass: d.inClass,
  days: d.days.map((x) => ({ ...x })),
  reviewers: d.reviewers.map((r) => ({ name: r.name, hours: r.hours.map((h) => h ?? "") })),
  teams: teams.map((t) => ({ reviewId: t.reviewId, hours: [...t.hours] })),
  places: [],
});

/** What the form sends: places with their times as people write them. */
export const sentSlots = ({ teams, places, rooms, ...d }: TypedSlots) => ({
  ...d,
  rooms: rooms
    .split(",")
    .map((r) => r.trim())
    .filter(Boolean),
  reviewers: d.reviewers.map((r) => ({ name: r.name, hours: d.days.map((_, i) => r.hours[i] ?? "") })),
  teams: teams.map((t) => ({ reviewId: t.reviewId, hours: d.days.map((_, i) => t.hours[i] ?? "") })),
  places: places.map((p) => ({
    reviewId: p.team,
    day: p.day,
    from: clockOf(p.from),
    room: p.room,
    reviewers: [...p.reviewers],
  })),
});
