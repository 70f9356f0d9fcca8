"use client";

import type { KeyboardEvent, MouseEvent, ReactNode } from "react";

const within = (x: number) => Math.round(Math.min(1, Math.max(0, x)) * 1000) / 1000;
const percent = (x: number) => `${Math.round(100 * x)} %`;
const moves: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

export interface Place {
  readonly x: number;
  readonly y: number;
}

/** A mark on a photo, told by its number too. */
export const Pin = ({ x, y, label }: Place & { label: string }) => (
  <span
    className={
      "pointer-events-none absolute grid size-5 -translate-1/2 place-items-center rounded-full border-2 " +
      "border-white bg-iron text-[11px] font-[700] text-white"
    }
    style={{ left: `${100 * x}%`, top: `${100 * y}%` }}
  >
    {label}
  </span>
);

/** A photo on which a place is chosen: pressed with the pointer, or moved with the arrow keys. */
export function PinPad({
  src,
  alt,
  at,
  ask,
  pins,
  onPut,
}: {
  src: string;
  alt: string;
  at: Place | null;
  /** What is asked for, while there is no place. */
  ask: string;
  /** What stands on it already. */
  pins?: ReactNode;
  onPut: (place: Place) => void;
}) {
  const put = (x: number, y: number) => onPut({ x: within(x), y: within(y) });
  const press = (e: MouseEvent<HTMLButtonElement>) => {
    // Enter on the button comes without a place.
    if (e.detail === 0) return put(at?.x ?? 0.5, at?.y ?? 0.5);
    const box = e.currentTarget.getBoundingClientRect();
    put((e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height);
  };
  const key = (e: KeyboardEvent<HTMLButtonElement>) => {
    const by = moves[e.key];
    if (!by) return;
    e.preventDefault();
    const step = e.shiftKey ? 0.1 : 0.02;
    put((at?.x ?? 0.5) + by[0] * step, (at?.y ?? 0.5) + by[1] * step);
  };
  return (
    <button
      type="button"
      onClick={press}
      onKeyDown={key}
      className="relative w-full max-w-[420px] cursor-crosshair"
      aria-label={at ? `Pin at ${percent(at.x)} from the left, ${percent(at.y)} from the top; arrow keys move it` : ask}
    >
      <img src={src} alt={alt} className="w-full rounded-sm border border-line" />
      {pins}
      {at && <Pin {...at} label="•" />}
    </button>
  );
}
