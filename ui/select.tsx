"use client";

import { ChevronDown } from "lucide-react";
import { useEffect, useState } from "react";
import { cx } from "./classes";
import { choicesOf, closed, type SelectProps } from "./select-props";

type List = typeof import("./select-list").SelectList;
let list: List | null = null;

/** Fetches what opens a select; a page does so once it stands. */
export const loadSelect = async (): Promise<List> => {
  list ??= (await import("./select-list")).SelectList;
  return list;
};

/**
 * A choice from a list. Long choices are readable whole, closed and open. Until its list has been fetched it shows what
 * is chosen and stays closed, as every field does until the page is alive.
 */
export function Select(props: SelectProps) {
  const [Full, setFull] = useState<List | null>(null);
  useEffect(() => {
    if (list) setFull(() => list);
    else void loadSelect().then((found) => setFull(() => found));
  }, []);
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
