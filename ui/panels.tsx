"use client";

import { Tabs } from "radix-ui";
import type { ReactNode } from "react";

/** Two or more ways to the same end, one shown at a time; the arrow keys go from one to the next. */
export function Panels<V extends string>({
  label,
  value,
  onChange,
  panels,
}: {
  label: string;
  value: V;
  onChange: (value: V) => void;
  panels: readonly { value: V; label: string; content: ReactNode }[];
}) {
  return (
    <Tabs.Root value={value} onValueChange={(v) => onChange(v as V)}>
      <Tabs.List aria-label={label} className="mb-2 flex gap-4 text-sm">
        {panels.map((p) => (
          <Tabs.Trigger
            key={p.value}
            value={p.value}
            className={
              "cursor-pointer border-b-2 border-transparent pb-0.5 text-soft hover:text-ink " +
              "data-[state=active]:border-iron data-[state=active]:font-[650] data-[state=active]:text-ink"
            }
          >
            {p.label}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {panels.map((p) => (
        <Tabs.Content key={p.value} value={p.value}>
          {p.content}
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}
