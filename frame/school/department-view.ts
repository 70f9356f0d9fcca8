import { type ClassSession, sessionsHeld } from "@/core/sessions/sessions";
import type { DepartmentRow } from "./department";

type Calendar = { readonly of: ReadonlyMap<string, readonly ClassSession[]> };

/** Where a project stands: not begun, in which session of its first section, or over. */
export function standing(p: DepartmentRow, calendar: Calendar | undefined, today: string): string {
  if (p.finishedAt) return "finished";
  const sessions = [...(calendar?.of.values() ?? [])][0] ?? [];
  const held = sessionsHeld(sessions, today);
  if (p.startsOn > today || held === 0) return "not begun";
  return held === sessions.length ? "over, not finished" : `session ${held} of ${sessions.length}`;
}

/** A machine's load in a week, by the room in the class sessions of its project. */
export interface Load {
  readonly key: string;
  readonly machine: string;
  readonly project: string;
  readonly slug: string;
  readonly booked: number;
  readonly room: number;
}

/** The machines of all running projects with what is booked of the minutes that their classes have, fullest first. */
export function loadsOf(
  rows: readonly DepartmentRow[],
  calendars: ReadonlyMap<string, Calendar>,
  from: string,
  to: string,
): Load[] {
  return rows
    .filter((p) => !p.finishedAt)
    .flatMap((p) => {
      const sessions = [...(calendars.get(p.id)?.of.values() ?? [])].flat();
      const room = p.minutes * sessions.filter((s) => s.date >= from && s.date <= to).length;
      return p.machines.map((m) => ({
        key: `${p.id} ${m.name}`,
        machine: m.name,
        project: p.title,
        slug: p.slug,
        booked: m.booked,
        room,
      }));
    })
    .sort((a, b) => (b.room ? b.booked / b.room : 0) - (a.room ? a.booked / a.room : 0));
}

/** Editions of one project, the oldest first: only chains of two or more that were measured. */
export function editionsOf(rows: readonly DepartmentRow[]): (readonly DepartmentRow[])[] {
  const chain = (p: DepartmentRow): DepartmentRow[] => {
    const before = rows.find((x) => x.id === p.editionOf);
    return before ? [...chain(before), p] : [p];
  };
  return rows
    .filter((p) => !rows.some((x) => x.editionOf === p.id))
    .map(chain)
    .filter((c) => c.length > 1 && c.some((p) => p.best));
}
