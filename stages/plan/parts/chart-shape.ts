import { type PointerEvent, useState } from "react";

export interface ChartTask {
  id: string;
  title: string;
  length: number;
  notBefore: string | null;
  deadline: string | null;
  milestoneId: string | null;
  after: string[];
  doneOn: string | null;
  version: number;
}

export interface ChartMilestone {
  id: string;
  title: string;
  dueOn: string;
  version: number;
  own: boolean;
}

/** Pixels of a stratum, and of the sessions' row above. */
export const row = 25;
export const head = 38;
/** The least that a session takes, in pixels; where there is more room they take it. */
const least = 22;
const margin = 4;

/** Pixels of a session where the chart has this much room. */
export const cellIn = (room: number, sessions: number) =>
  Math.max(least, Math.floor((room - 2 * margin) / Math.max(1, sessions)));

/** Where a session begins, in pixels; 0 is the first. */
export const x = (session: number, cell: number) => margin + session * cell;

/** Where a stratum begins, in pixels. */
export const lineTop = (i: number) => i * row + head;

/** Where a name stands so that it can be read: on its stratum and the ground behind it, or before it. */
export function nameAt(title: string, begin: number, sessions: number, cell: number) {
  const wide = title.length * 6.6 + 12;
  const right = x(begin, cell) + wide <= x(sessions, cell);
  return right
    ? { x: x(begin, cell) + 7, textAnchor: "start" as const }
    : { x: x(begin, cell) - 7, textAnchor: "end" as const };
}

/** Pulling a mark along the sessions: how far by now, and who hears of it at the end. */
export function usePull(enabled: boolean, cell: number, done: (by: number, edge: boolean) => void) {
  const [pull, setPull] = useState<{ from: number; by: number; edge: boolean } | null>(null);
  const by = pull ? Math.round(pull.by / cell) : 0;
  return {
    pulled: pull !== null,
    by: pull?.edge ? 0 : by,
    longer: pull?.edge ? by : 0,
    on: {
      onPointerDown: (e: PointerEvent<SVGGElement>) => {
        if (!enabled) return;
        const box = e.currentTarget.getBoundingClientRect();
        e.currentTarget.setPointerCapture(e.pointerId);
        setPull({ from: e.clientX, by: 0, edge: box.right - e.clientX < 8 });
      },
      onPointerMove: (e: PointerEvent<SVGGElement>) => {
        if (pull) setPull({ ...pull, by: e.clientX - pull.from });
      },
      onPointerCancel: () => setPull(null),
      onPointerUp: () => {
        if (!pull) return;
        setPull(null);
        if (by) done(by, pull.edge);
      },
    },
  };
}
