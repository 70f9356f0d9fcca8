import ICAL from "ical.js";
import { addDays, daysBetween, isDate } from "@/core/sessions/date";
import { linesOf } from "@/core/text/lines";
import { type Repeat, unreadRepeat } from "./repeats";

export interface IcsDay {
  date: string;
  reason: string;
}

/** The rules by which an entry repeats or leaves days out. */
const repeatsOf = (component: InstanceType<typeof ICAL.Component>): Repeat[] =>
  ["rrule", "exrule"].flatMap((kind) =>
    component.getAllProperties(kind).flatMap((p) => p.getValues() as unknown as Repeat[]),
  );

/**
 * The whole days of a calendar file between two dates, repeated events unfolded; entries that cannot be read are named.
 */
export function readIcs(
  text: string,
  from: string,
  to: string,
): { days: IcsDay[]; problems: string[]; outside: number } {
  let events: InstanceType<typeof ICAL.Component>[];
  try {
    events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents("vevent");
  } catch {
    return {
      days: [],
      problems: [
        "This is not a calendar file (ICS), or it was cut short. Export the calendar again and send the whole file.",
      ],
      outside: 0,
    };
  }
  const days = new Map<string, string>();
  const problems: string[] = [];
  let outside = 0;
  for (const [i, component] of events.entries()) {
    const summary = component.getFirstPropertyValue("summary");
    const title = typeof summary === "string" ? summary.slice(0, 120) : "";
    const name = `entry ${i + 1}${title ? ` “${title}”` : ""}`;
    try {
      const event = new ICAL.Event(component);
      if (!event.startDate) {
        problems.push(`${name} has no date.`);
        continue;
      }
      if (!event.startDate.isDate) {
        problems.push(`${name} is not a whole day, so it is left out.`);
        continue;
      }
      const length = Math.max(
        1,
        daysBetween(
          event.startDate.toString().slice(0, 10),
          (event.endDate ?? event.startDate).toString().slice(0, 10),
        ),
      );
      const starts: string[] = [];
      const unread = repeatsOf(component).map(unreadRepeat).find(Boolean);
      if (unread) {
        problems.push(`${name} repeats, and ${unread}. Write its days as entries of their own.`);
        continue;
      }
      if (event.isRecurring()) {
        const it = event.iterator();
        for (let n = 0; n < 2000; n++) {
          const d = it.next();
          if (!d || d.toString().slice(0, 10) > to) break;
          starts.push(d.toString().slice(0, 10));
        }
      } else starts.push(event.startDate.toString().slice(0, 10));
      let inside = 0;
      for (const start of starts)
        for (let d = start, n = 0; n < Math.min(length, 400); d = addDays(d, 1), n++)
          if (d >= from && d <= to) {
            days.set(d, title);
            inside++;
          }
      if (!inside) outside++;
    } catch {
      problems.push(`${name} cannot be read.`);
    }
  }
  return {
    days: [...days].sort(([a], [b]) => (a < b ? -1 : 1)).map(([date, reason]) => ({ date, reason })),
    problems,
    outside,
  };
}

/**
 * Days off as people write them, one a line: `2027-02-15`, `2027-02-15 Staff day`, `2027-02-22 to 2027-02-26
 * Half-term`.
 * Gives the dates, or the first line that cannot be read.
 */
export function readDaysOff(
  text: string,
): { ok: true; days: { date: string; reason: string }[] } | { ok: false; line: string } {
  const days: { date: string; reason: string }[] = [];
  for (const line of linesOf(text)) {
    const m = /^(\d{4}-\d\d-\d\d)(?:\s*(?:to|–|-)\s*(\d{4}-\d\d-\d\d))?\s*(.*)$/.exec(line);
    if (!m || !isDate(m[1]!) || (m[2] && (!isDate(m[2]) || m[2] < m[1]!))) return { ok: false, line };
    for (let d = m[1]!, i = 0; d <= (m[2] ?? m[1]!) && i < 400; d = addDays(d, 1), i++)
      days.push({ date: d, reason: m[3] ?? "" });
  }
  return { ok: true, days };
}

/** Days off that follow one another for one reason, as one break. */
export interface Break {
  readonly ids: string[];
  readonly from: string;
  to: string;
  readonly reason: string;
  readonly sectionId: string | null;
}

/** Days off as breaks, in the order of their first days. */
export function breaksOf(
  days: readonly { id: string; onDate: string; reason: string; sectionId: string | null }[],
): Break[] {
  const out: Break[] = [];
  for (const d of [...days].sort((a, b) => (a.onDate < b.onDate ? -1 : 1))) {
    const last = out.findLast((b) => b.sectionId === d.sectionId);
    if (last && last.reason === d.reason && addDays(last.to, 1) === d.onDate) {
      last.ids.push(d.id);
      last.to = d.onDate;
    } else out.push({ ids: [d.id], from: d.onDate, to: d.onDate, reason: d.reason, sectionId: d.sectionId });
  }
  return out.sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0));
}
