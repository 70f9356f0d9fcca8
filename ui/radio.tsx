"use client";

import { RadioGroup } from "radix-ui";
import { cx } from "./classes";

/** One of several answers, as a round mark in a `RadioGroup.Root`; its label stands beside it. */
export function Radio({ value, id, className }: { value: string; id?: string; className?: string }) {
  return (
    <RadioGroup.Item
      id={id}
      value={value}
      className={cx(
        "grid size-3.5 shrink-0 place-items-center rounded-full border border-[#8a7f72] bg-sheet disabled:opacity-55",
        className,
      )}
    >
      <RadioGroup.Indicator className="size-2 rounded-full bg-iron" />
    </RadioGroup.Item>
  );
}
