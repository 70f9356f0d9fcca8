"use client";

import type { ReactNode } from "react";

/** A link within the handbook: the page turns in the browser, so it turns without a network too. */
export function TurnLink({ href, children, className }: { href: string; children: ReactNode; className?: string }) {
  return (
    <a
      href={href}
      className={className}
      onClick={(e) => {
        if (e.button !== 0 || e.metaKey || e.ctrlKey || e.shiftKey || e.altKey) return;
        e.preventDefault();
        window.history.pushState(null, "", href);
        window.scrollTo(0, 0);
      }}
    >
      {children}
    </a>
  );
}
