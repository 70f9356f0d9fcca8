import type { ClassSession } from "@/core/sessions/sessions";

/** Class sessions in which something can be due: those from today on, with the date that stands there already. */
export function dueOptions(
  sessions: readonly ClassSession[],
  today: string,
  longDate: (date: string) => string,
  kept?: string,
): { value: string; label: string }[] {
  const of = new Map<string, number>();
  for (const s of sessions) if (!of.has(s.date)) of.set(s.date, s.number);
  const ahead = [...of].filter(([date]) => date >= today).slice(0, 24);
  const options = ahead.map(([date, n]) => ({ value: date, label: `session ${n}, ${longDate(date)}` }));
  if (!kept || of.has(kept)) {
    const n = kept === undefined || options.some((o) => o.value === kept) ? undefined : of.get(kept);
    return n === undefined ? options : [{ value: kept!, label: `session ${n}, ${longDate(kept!)}` }, ...options];
  }
  return [{ value: kept, label: longDate(kept) }, ...options];
}

/** The class session of a date, in words; nothing where the class does not meet. */
export const sessionOn = (sessions: readonly ClassSession[], date: string): string => {
  const n = sessions.find((s) => s.date === date)?.number;
  return n === undefined ? "" : `session ${n}, `;
};
