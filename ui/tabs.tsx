"use client";

import { usePathname } from "next/navigation";
import { NavigationMenu } from "radix-ui";
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
    <NavigationMenu.Root aria-label={label} className="no-print mb-3 border-b border-line [&>div]:!static">
      <NavigationMenu.List className="flex flex-wrap gap-x-5 gap-y-1">
        {pages.map((p) => (
          <NavigationMenu.Item key={p.href}>
            <NavigationMenu.Link asChild active={path === p.href}>
              <Link
                href={p.href}
                className={cx(
                  "-mb-px block border-b-2 pb-1",
                  path === p.href ? "border-iron font-[650]" : "border-transparent text-soft hover:text-ink",
                )}
              >
                {p.label}
                {p.note && <span className="ml-1 font-normal text-soft">{p.note}</span>}
              </Link>
            </NavigationMenu.Link>
          </NavigationMenu.Item>
        ))}
      </NavigationMenu.List>
    </NavigationMenu.Root>
  );
}
