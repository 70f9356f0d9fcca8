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

/** Pixels of a session, of a line, of the names' column and of the sessions' row above the lines. */
export const cell = 24;
export const row = 26;
const left = 210;
export const head = row + 12;

/** Where a session begins, in pixels; 0 is the first. */
export const x = (session: number) => left + session * cell;

/** Where a line begins, in pixels. */
export const lineTop = (i: number) => i * row + head;

/** Pulling a mark along the sessions: how far by now, and who hears of it at the end. */
export function usePull(enabled: boolean, done: (by: number, edge: boolean) => void) {
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
