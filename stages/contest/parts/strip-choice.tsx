"use client";

import { RadioGroup } from "radix-ui";
import { cx } from "@/ui/classes";

/** One of a few answers side by side: by a press, by the arrows, or by its key. */
export function StripChoice({
  label,
  options,
  value,
  disabled,
  keyOf,
  className,
  onPick,
  onNext,
}: {
  label: string;
  options: readonly { readonly value: string; readonly label: string }[];
  value: string;
  disabled: boolean;
  /** Which answer a key gives, if any. */
  keyOf: (key: string) => string | undefined;
  /** The size of an answer. */
  className: string;
  onPick: (value: string) => void;
  /** Enter, and a key that answered: the next line. */
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
        const answer = keyOf(e.key);
        if (answer !== undefined && !e.ctrlKey && !e.metaKey) onPick(answer);
        else if (e.key !== "Enter") return;
        e.preventDefault();
        e.stopPropagation();
        onNext(e.currentTarget);
      }}
    >
      {options.map((o, i) => (
        <RadioGroup.Item
          key={o.value}
          value={o.value}
          data-line={(value ? value === o.value : i === 0) || undefined}
          className={cx(
            "border border-[#a59a8a] not-first:-ml-px first:rounded-l-sm last:rounded-r-sm",
            "data-[state=checked]:z-1 data-[state=checked]:border-ink data-[state=checked]:bg-ink",
            "data-[state=checked]:font-[600] data-[state=checked]:text-sheet disabled:opacity-55",
            className,
          )}
        >
          {o.label}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
