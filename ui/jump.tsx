"use client";

import { Search } from "lucide-react";
import dynamic from "next/dynamic";
import { useEffect, useState } from "react";
import { tip } from "./tip";

const load = () => import("./jump-palette");
const JumpPalette = dynamic(load, { ssr: false });

/** The jump box (Ctrl or Cmd K): teams, students, requirements, builds, runs; ? lists the keys. */
export function JumpBox({
  url,
  texts,
  pages,
}: {
  url: string;
  /** Where all texts are searched; nothing outside a project. */
  texts?: string;
  pages: readonly { label: string; href: string }[];
}) {
  const [open, setOpen] = useState<"" | "jump" | "keys">("");
  const [asked, setAsked] = useState(false);
  const show = (which: "" | "jump" | "keys") => {
    if (which) setAsked(true);
    setOpen(which);
  };
  // Fetched once the page stands, so that the first key typed after Ctrl K already finds its field.
  useEffect(() => void load(), []);
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === "k") {
        e.preventDefault();
        show("jump");
      } else if (e.key === "?" && !(e.target as HTMLElement).closest("input, textarea, select")) show("keys");
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  });
  return (
    <>
      <button
        type="button"
        onClick={() => show("jump")}
        {...tip("Jump to a team, student, requirement, build or run")}
        className={
          "flex h-8 w-62 max-w-full items-center justify-between rounded-sm border border-[#a59a8a] " +
          "bg-sheet px-2.5 text-left text-soft hover:border-ink"
        }
      >
        <span className="flex items-center gap-2">
          <Search size={14} aria-hidden />
          Jump to …
        </span>
        <kbd className="rounded-sm border border-line px-1 text-xs">Ctrl K</kbd>
      </button>
      {asked && <JumpPalette url={url} texts={texts} pages={pages} open={open} onOpen={show} />}
    </>
  );
}
