"use client";

import { ChevronDown } from "lucide-react";
import { cx } from "./classes";
import { onceThere } from "./once-there";
import { choicesOf, closed, type SelectProps } from "./select-props";

const list = onceThere(async () => (await import("./select-list")).SelectList);
export const loadSelect = list.load;

/**
 * A choice from a list. Long choices are readable whole, closed and open. Until its list has been fetched it shows what
 * is chosen and stays closed, as every field does until the page is alive.
 */
export function Select(props: SelectProps) {
  const Full = list.useLoaded();
  if (Full) return <Full {...props} />;
  const { value, onChange: _, onBlur: __, options, empty, className, disabled: ___, ...aria } = props;
  const label = choicesOf(options, empty).find((o) => o.value === value)?.label;
  return (
    <button type="button" role="combobox" aria-expanded={false} disabled className={cx(closed, className)} {...aria}>
      <span className={cx("min-w-0 wrap-break-word", !value && "text-soft")}>{label ?? "choose"}</span>
      <ChevronDown size={14} aria-hidden className="shrink-0 text-soft" />
    </button>
  );
}
