"use client";

import { ChevronRight } from "lucide-react";
import { Collapsible } from "radix-ui";
import { type ReactNode, useState } from "react";
import { cx } from "./classes";

/**
 * What is there for who wants it: a line that unfolds. What was opened once stays, so what was typed inside is kept
 * when it is folded again.
 */
export function Fold({
  label,
  children,
  className,
  labelClass,
  start = false,
}: {
  label: ReactNode;
  children: ReactNode;
  className?: string;
  labelClass?: string;
  /** Whether it is unfolded at first. */
  start?: boolean;
}) {
  const [seen, setSeen] = useState(start);
  return (
    <Collapsible.Root
      defaultOpen={start}
      onOpenChange={(open) => open && setSeen(true)}
      className={cx("group/fold", className)}
    >
      <Collapsible.Trigger
        className={cx("inline-flex max-w-full items-start gap-1 text-left wrap-anywhere hover:text-ink", labelClass)}
      >
        <ChevronRight
          size={12}
          strokeWidth={2.4}
          aria-hidden
          className="mt-[0.25em] shrink-0 group-data-[state=open]/fold:rotate-90"
        />
        <span>{label}</span>
      </Collapsible.Trigger>
      <Collapsible.Content forceMount={seen || undefined} className="data-[state=closed]:hidden">
        {children}
      </Collapsible.Content>
    </Collapsible.Root>
  );
}
