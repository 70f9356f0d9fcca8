"use client";

import { RadioGroup } from "radix-ui";
import { cx } from "@/ui/classes";

/** A mark from 0 to the best, side by side: by a press, by the arrows, or by its digit. */
export function MarkChoice({
  label,
  most,
  value,
  disabled,
  onPick,
  onNext,
}: {
  label: string;
  most: number;
  value: string;
  disabled: boolean;
  onPick: (mark: string) => void;
  /** Enter, and a digit that marked: the next line. */
  onNext: (from: HTMLElement) => void;
}) {
  return (
    <RadioGroup.Root
      aria-label={label}
      value={value}
      disabled={disabled}
      onValueChange={onPick}
      className="flex flex-wrap gap-y-1"
      onKeyDown={(e) => {
        const digit = /^\d$/.test(e.key) && Number(e.key) <= most && !e.ctrlKey && !e.metaKey;
        if (digit) onPick(e.key);
        else if (e.key !== "Enter") return;
        e.preventDefault();
        onNext(e.currentTarget);
      }}
    >
      {Array.from({ length: most + 1 }, (_, mark) => String(mark)).map((mark) => (
        <RadioGroup.Item
          key={mark}
          value={mark}
          data-line={(value ? value === mark : mark === "0") || undefined}
          className={cx(
            "min-h-12 min-w-12 border border-[#a59a8a] text-[17px]",
            "not-first:-ml-px first:rounded-l-sm last:rounded-r-sm",
            "data-[state=checked]:z-1 data-[state=checked]:border-ink data-[state=checked]:bg-ink",
            "data-[state=checked]:font-[600] data-[state=checked]:text-sheet disabled:opacity-55",
          )}
        >
          {mark}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
