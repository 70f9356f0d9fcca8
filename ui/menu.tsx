"use client";

import type { ReactNode } from "react";
import { onceThere } from "./once-there";

export interface MenuProps {
  /** What the button is called. */
  label: string;
  trigger: ReactNode;
  triggerClass?: string;
  /** A line above the items, not to be chosen. */
  head?: ReactNode;
  items: readonly { label: string; onSelect: () => void }[];
}

const list = onceThere(async () => (await import("./menu-list")).MenuList);
export const loadMenu = list.load;

/** A menu behind a button. Until its list has been fetched the button shows what it will and stays closed. */
export function Menu(props: MenuProps) {
  const Full = list.useLoaded();
  if (Full) return <Full {...props} />;
  return (
    <button
      type="button"
      disabled
      aria-haspopup="menu"
      aria-expanded={false}
      aria-label={props.label}
      className={props.triggerClass}
    >
      {props.trigger}
    </button>
  );
}
