"use client";

import { usePathname } from "next/navigation";
import { cx } from "./classes";
import Link from "./link";

/** The pages of one stage, side by side under its title. */
export function Tabs({
  label,
  pages,
}: {
  label: string;
  pages: readonly { href: string; label: string; note?: string }[];
}) {
  const path = usePathname();
  return (
    <nav aria-label={label} className="no-print mb-3 flex flex-wrap gap-x-5 gap-y-1 border-b border-line">
      {pages.map((p) => (
        <Link
          key={p.href}
          href={p.href}
          aria-current={path === p.href ? "page" : undefined}
          className={cx(
            "-mb-px border-b-2 pb-1",
            path === p.href ? "border-iron font-[650]" : "border-transparent text-soft hover:text-ink",
          )}
        >
          {p.label}
          {p.note && <span className="ml-1 font-normal text-soft">{p.note}</span>}
        </Link>
      ))}
    </nav>
  );
}
