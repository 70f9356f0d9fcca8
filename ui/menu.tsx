"use client";

import { type ReactNode, useEffect, useState } from "react";

export interface MenuProps {
  /** What the button is called. */
  label: string;
  trigger: ReactNode;
  triggerClass?: string;
  /** A line above the items, not to be chosen. */
  head?: ReactNode;
  items: readonly { label: string; onSelect: () => void }[];
}

type List = typeof import("./menu-list").MenuList;
let list: List | null = null;

/** Fetches what opens a menu; a page does so once it stands. */
export const loadMenu = async (): Promise<List> => {
  list ??= (await import("./menu-list")).MenuList;
  return list;
};

/** A menu behind a button. Until its list has been fetched the button shows what it will and stays closed. */
export function Menu(props: MenuProps) {
  const [Full, setFull] = useState<List | null>(null);
  useEffect(() => {
    if (list) setFull(() => list);
    else void loadMenu().then((found) => setFull(() => found));
  }, []);
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
