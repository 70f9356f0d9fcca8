"use client";

import { useEffect } from "react";

/** The unread entries of the page, from the top. */
const unread = () => [...document.querySelectorAll<HTMLElement>("[data-unread]")];

/** N goes to the next unread entry; from an entry it is marked as read first. */
export function ReadKeys() {
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      const typing = (e.target as HTMLElement).closest("input, textarea, select, [contenteditable]");
      if (e.key.toLowerCase() !== "n" || e.ctrlKey || e.metaKey || e.altKey || typing) return;
      const all = unread();
      const at = all.findIndex((x) => x.contains(document.activeElement));
      e.preventDefault();
      if (at >= 0) all[at]!.querySelector<HTMLButtonElement>("[data-read] button")?.click();
      const next = all[at + 1];
      next?.focus({ preventScroll: true });
      next?.scrollIntoView({ block: "start" });
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
  return null;
}
