"use client";

import { RadioGroup } from "radix-ui";
import { findingOutcome } from "@/core/vocabulary/needs";
import { cx } from "@/ui/classes";

const short = { met: "met", "not met": "not met", "not applicable": "does not apply" } as const;
const keys: Record<string, (typeof findingOutcome.values)[number]> = {
  y: "met",
  m: "met",
  n: "not met",
  x: "not applicable",
};

/** What was found by looking: three answers side by side, by a press or by one key. */
export function WordChoice({
  label,
  value,
  disabled,
  onPick,
  onNext,
}: {
  label: string;
  value: string;
  disabled: boolean;
  onPick: (word: string) => void;
  /** Enter, and a key that answered: the next line. */
  onNext: (from: HTMLElement) => void;
}) {
  return (
    <RadioGroup.Root
      aria-label={label}
      value={value}
      disabled={disabled}
      onValueChange={onPick}
      className="flex flex-wrap"
      onKeyDown={(e) => {
        const word = keys[e.key.toLowerCase()];
        if (word && !e.ctrlKey && !e.metaKey) onPick(word);
        else if (e.key !== "Enter") return;
        e.preventDefault();
        e.stopPropagation();
        onNext(e.currentTarget);
      }}
    >
      {findingOutcome.values.map((v, i) => (
        <RadioGroup.Item
          key={v}
          value={v}
          data-line={(value ? value === v : i === 0) || undefined}
          className={cx(
            "min-h-11 border border-[#a59a8a] px-3 text-[14px] not-first:-ml-px first:rounded-l-sm last:rounded-r-sm",
            "data-[state=checked]:z-1 data-[state=checked]:border-ink data-[state=checked]:bg-ink",
            "data-[state=checked]:font-[600] data-[state=checked]:text-sheet disabled:opacity-55",
          )}
        >
          {short[v]}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
