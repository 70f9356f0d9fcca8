/** One part of a class, in minutes from its beginning. */
export interface AgendaItem {
  readonly what: string;
  readonly minutes: number;
  readonly from: number;
  readonly to: number;
}

export interface Agenda {
  readonly items: readonly AgendaItem[];
  /** Minutes of the class that no part takes; below zero, by how much the parts are longer than the class. */
  readonly left: number;
}

/**
 * The course of a class, a part a line: minutes first where they are fixed ("10 Safety and plan", "5 min Clean up");
 * parts without minutes share what the fixed ones leave, in whole minutes, the first ones a minute more.
 * `minutes` is the length of the class. Empty lines are left out; a part that nothing is left for takes 0 minutes.
 * Source: the arithmetic of a lesson plan.
 * @example
 * readAgenda("10 Plan of the day\nBuilding\n8 min Clean up", 50).items.map((x) => [x.what, x.from, x.to])
 * // => [["Plan of the day", 0, 10], ["Building", 10, 42], ["Clean up", 42, 50]]
 * @example readAgenda("30 Testing\n25 Talk", 50).left // => -5
 */
export function readAgenda(text: string, minutes: number): Agenda {
  const parts = text
    .split("\n")
    .map((line) => line.trim())
    .filter(Boolean)
    .map((line) => {
      const [, number, rest] = /^(\d{1,3})\s*(?:min(?:utes)?\b\.?)?\s+(.+)$/i.exec(line) ?? [];
      return number && rest ? { what: rest, fixed: Number(number) } : { what: line, fixed: null };
    });
  const fixed = parts.reduce((sum, p) => sum + (p.fixed ?? 0), 0);
  const open = parts.filter((p) => p.fixed === null).length;
  const shared = Math.max(0, minutes - fixed);
  let from = 0;
  let nth = 0;
  const items = parts.map(({ what, fixed: own }): AgendaItem => {
    const takes = own ?? Math.floor(shared / open) + (nth++ < shared % open ? 1 : 0);
    from += takes;
    return { what, minutes: takes, from: from - takes, to: from };
  });
  return { items, left: minutes - from };
}

/**
 * Which part of a class is on at a minute from its beginning, counted from 0, and how many minutes it has left; null
 * before the beginning and behind the last part.
 * @example agendaAt(readAgenda("10 Plan\nBuilding", 50).items, 12.5) // => { index: 1, left: 37.5 }
 */
export function agendaAt(items: readonly AgendaItem[], minute: number): { index: number; left: number } | null {
  const index = items.findIndex((x) => minute >= x.from && minute < x.to);
  return index < 0 ? null : { index, left: items[index]!.to - minute };
}
