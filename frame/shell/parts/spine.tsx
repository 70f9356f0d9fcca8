"use client";

import { Menu } from "lucide-react";
import { usePathname } from "next/navigation";
import { type ReactNode, useState } from "react";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { tip } from "@/ui/tip";
import type { SpineStage } from "../spine";

const ramp = [
  "#d3c4ab",
  "#c9b593",
  "#b9a282",
  "#ad906c",
  "#a27c55",
  "#98683f",
  "#8b5a38",
  "#7e4a30",
  "#713d28",
  "#62311f",
];

/**
 * Navigation and progress at once: the ten stages as strata, each as thick as its planned sessions, filled to where the
 * class stands; a line marks today's session.
 */
export function Spine({
  base,
  title,
  note,
  stages,
  below,
  at,
  brand,
}: {
  base: string;
  title: string;
  note: string;
  stages: readonly SpineStage[];
  below: { label: string; href: string }[];
  at: number;
  brand: ReactNode;
}) {
  const path = usePathname();
  const [open, setOpen] = useState(false);
  const total = stages.reduce((s, x) => s + x.planned, 0);
  let before = 0;
  const here = (href: string) => path === href || path.startsWith(`${href}/`);
  return (
    <nav
      aria-label="Project"
      className="no-print flex flex-col border-line bg-spine md:sticky md:top-0 md:h-dvh md:overflow-y-auto md:border-r"
    >
      <div className="flex items-center justify-between px-4 pt-3 pb-2">
        <Link href="/" className="flex items-center gap-2.5 text-[15px] font-[650] [font-stretch:112%]">
          {brand}Ironstone
        </Link>
        <button
          type="button"
          className="md:hidden"
          aria-expanded={open}
          aria-label="Stages of the project"
          onClick={() => setOpen(!open)}
        >
          <Menu size={20} aria-hidden />
        </button>
      </div>
      <div className={cx("grow flex-col px-2.5 pb-3 md:flex", open ? "flex" : "hidden")}>
        <Link
          href={base}
          className={cx("sheet mb-2.5 block px-2.5 py-1.5 hover:border-ink", path === base && "border-iron")}
          aria-current={path === base ? "page" : undefined}
        >
          <span className="block leading-tight font-[650]">{title}</span>
          <span className="block text-xs text-soft">{note}</span>
        </Link>
        <ol className="flex min-h-0 grow flex-col">
          {stages.map((s, i) => {
            const start = before / total;
            before += s.planned;
            const offset = (at - start) / (s.planned / total);
            const active = here(`${base}/${s.key}`);
            return (
              <li key={s.key} className="relative flex min-h-[37px]" style={{ flexGrow: s.planned, flexBasis: 0 }}>
                <span
                  aria-hidden
                  className={cx(
                    "rock-gap relative w-[17px] shrink-0 overflow-hidden border-x border-stone-3",
                    i === 0 && "rounded-t-sm border-t",
                    i === stages.length - 1 ? "rounded-b-sm border-b" : "border-b border-b-[#cbb99b]",
                  )}
                >
                  <span
                    className="absolute inset-x-0 top-0"
                    style={{ height: `${s.filled * 100}%`, background: ramp[i] }}
                  />
                </span>
                {at > 0 && at < 1 && offset >= 0 && offset < 1 && (
                  <span
                    aria-hidden
                    className="absolute -left-1 z-10 h-0 w-[26px] border-t-2 border-iron"
                    style={{ top: `${offset * 100}%` }}
                  />
                )}
                <Link
                  href={`${base}/${s.key}`}
                  onClick={() => setOpen(false)}
                  aria-current={active ? "page" : undefined}
                  className={cx(
                    "ml-1.5 block min-w-0 grow rounded-sm border px-2 py-0.5",
                    active ? "border-line bg-sheet" : "border-transparent hover:bg-[#f1ebe0]",
                  )}
                >
                  <span className={cx("block leading-[1.25] font-[600]", active && "text-iron")}>{s.name}</span>
                  <span
                    className="block truncate text-[11px] leading-tight text-soft"
                    {...tip(`${s.note}. Planned: ${s.planned} sessions, ${Math.round(s.filled * 100)} % done.`)}
                  >
                    {s.note}
                  </span>
                </Link>
              </li>
            );
          })}
        </ol>
        <ul className="mt-2.5 grid grid-cols-2 gap-x-2 px-1.5 text-soft">
          {below.map((b) => (
            <li key={b.href}>
              <Link
                href={b.href}
                className={cx("hover:text-ink", b.href !== "/" && here(b.href) && "font-[650] text-iron")}
              >
                {b.label}
              </Link>
            </li>
          ))}
        </ul>
      </div>
    </nav>
  );
}
