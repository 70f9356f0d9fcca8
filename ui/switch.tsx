"use client";

import { Switch as Radix } from "radix-ui";
import { useId } from "react";
import { cx } from "./classes";

/** Something that is on or off at once, without a form around it. */
export function Switch({ on, turn, label }: { on: boolean; turn(on: boolean): void; label: string }) {
  const id = useId();
  return (
    <span className="inline-flex items-center gap-2">
      <Radix.Root
        id={id}
        checked={on}
        onCheckedChange={turn}
        className="h-5 w-9 rounded-sm border border-ink bg-sheet p-px data-[state=checked]:bg-moss"
      >
        <Radix.Thumb
          className={cx(
            "block size-4 rounded-[1px] bg-ink transition-transform motion-reduce:transition-none",
            "data-[state=checked]:translate-x-4 data-[state=checked]:bg-sheet",
          )}
        />
      </Radix.Root>
      <label htmlFor={id} className="cursor-pointer">
        {label}
      </label>
    </span>
  );
}
