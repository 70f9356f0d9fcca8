"use client";

import type { KeyboardEvent, MouseEvent } from "react";
import { useFormContext } from "react-hook-form";

const within = (x: number) => Math.round(Math.min(1, Math.max(0, x)) * 1000) / 1000;
const moves: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A mark on a photo, told by its number too. */
export const Pin = ({ x, y, label }: { x: number; y: number; label: string }) => (
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

/** Where on the chosen photo it failed: pressed with the pointer, or moved with the arrow keys. */
export function PinField({ photos }: { photos: readonly { id: string; caption: string }[] }) {
  const form = useFormContext();
  const photo = photos.find((p) => p.id === form.watch("photoId"));
  const [x, y] = [form.watch("pinX") as number | undefined, form.watch("pinY") as number | undefined];
  if (!photo) return null;
  const put = (nx: number, ny: number) => {
    form.setValue("pinX", within(nx), { shouldDirty: true });
    form.setValue("pinY", within(ny), { shouldDirty: true });
  };
  const press = (e: MouseEvent<HTMLButtonElement>) => {
    // Enter on the button comes without a place.
    if (e.detail === 0) return put(x ?? 0.5, y ?? 0.5);
    const box = e.currentTarget.getBoundingClientRect();
    put((e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height);
  };
  const key = (e: KeyboardEvent<HTMLButtonElement>) => {
    const by = moves[e.key];
    if (!by) return;
    e.preventDefault();
    const step = e.shiftKey ? 0.1 : 0.02;
    put((x ?? 0.5) + by[0] * step, (y ?? 0.5) + by[1] * step);
  };
  return (
    <div className="grid gap-1">
      <button
        type="button"
        onClick={press}
        onKeyDown={key}
        className="relative w-full max-w-[420px] cursor-crosshair"
        aria-label={
          x === undefined || y === undefined
            ? "Put a pin where it failed: press on the photo, or use the arrow keys"
            : `Pin at ${Math.round(100 * x)} % from the left, ${Math.round(100 * y)} % from the top; arrow keys move it`
        }
      >
        <img
          src={`/api/file/${photo.id}`}
          alt={photo.caption || "The chosen photo"}
          className="w-full rounded-sm border border-line"
        />
        {x !== undefined && y !== undefined && <Pin x={x} y={y} label="•" />}
      </button>
      <p className="text-sm text-soft">Press where it failed; arrow keys move the pin.</p>
    </div>
  );
}
