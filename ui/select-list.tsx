"use client";

import { Check, ChevronDown } from "lucide-react";
import { Select as Primitive } from "radix-ui";
import { cx } from "./classes";
import { choicesOf, closed, type SelectProps } from "./select-props";

/** The primitive keeps the empty text for "nothing chosen": a choice of nothing travels under this name. */
const none = "\u2205";
const inward = (value: string) => value || none;
const outward = (value: string) => (value === none ? "" : value);

/** The select once its list is there to open: see `Select`. */
export function SelectList({ value, onChange, options, empty, disabled, className, onBlur, ...aria }: SelectProps) {
  const all = choicesOf(options, empty);
  const label = all.find((o) => o.value === value)?.label;
  return (
    <Primitive.Root
      value={label === undefined ? "" : inward(value)}
      onValueChange={(v) => onChange(outward(v))}
      disabled={disabled}
    >
      <Primitive.Trigger {...aria} onBlur={onBlur} className={cx(closed, className)}>
        <span className={cx("min-w-0 wrap-break-word", !value && "text-soft")}>
          <Primitive.Value placeholder="choose">{label}</Primitive.Value>
        </span>
        <Primitive.Icon asChild>
          <ChevronDown size={14} className="shrink-0 text-soft" />
        </Primitive.Icon>
      </Primitive.Trigger>
      <Primitive.Portal>
        <Primitive.Content
          position="popper"
          sideOffset={3}
          className={
            "z-[60] max-h-[min(var(--radix-select-content-available-height),420px)] max-w-[min(92vw,520px)] " +
            "min-w-(--radix-select-trigger-width) overflow-hidden rounded-md border border-[#a59a8a] bg-sheet " +
            "text-[13.5px] shadow-lg"
          }
        >
          <Primitive.Viewport className="p-1">
            {all.map((o) => (
              <Primitive.Item
                key={o.value}
                value={inward(o.value)}
                data-value={o.value}
                className={
                  "flex min-h-8 cursor-pointer items-start gap-2 rounded-sm border-l-3 border-transparent px-2 " +
                  "py-1.5 outline-none data-[highlighted]:border-iron data-[highlighted]:bg-spine " +
                  "data-[state=checked]:font-[600]"
                }
              >
                <span className="min-w-0 grow wrap-break-word">
                  <Primitive.ItemText>{o.label}</Primitive.ItemText>
                </span>
                <Primitive.ItemIndicator>
                  <Check size={13} className="mt-0.5 shrink-0 text-iron" />
                </Primitive.ItemIndicator>
              </Primitive.Item>
            ))}
          </Primitive.Viewport>
        </Primitive.Content>
      </Primitive.Portal>
    </Primitive.Root>
  );
}
