"use client";

import { Command } from "cmdk";
import { Search } from "lucide-react";
import { useRouter } from "next/navigation";
import { Dialog } from "radix-ui";
import { useEffect, useState } from "react";

interface Hit { kind: string; label: string; detail: string; href: string }

/** The jump box (Ctrl or Cmd K): teams, students, requirements, builds, runs; ? lists the keys. */
export function JumpBox({ url, pages }: { url: string; pages: readonly { label: string; href: string }[] }) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [keys, setKeys] = useState(false);
  const [words, setWords] = useState("");
  const [hits, setHits] = useState<Hit[]>([]);
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === "k") {
        e.preventDefault();
        setOpen(true);
      } else if (e.key === "?" && !(e.target as HTMLElement).closest("input, textarea, select")) setKeys(true);
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
  useEffect(() => {
    if (!open || !words.trim()) return setHits([]);
    const stop = new AbortController();
    const timer = setTimeout(() => {
      fetch(`${url}&q=${encodeURIComponent(words)}`, { signal: stop.signal }).then((r) => (r.ok ? r.json() : [])).then(setHits).catch(() => {});
    }, 120);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [words, open, url]);
  const go = (href: string) => {
    setOpen(false);
    setWords("");
    router.push(href);
  };
  const near = pages.filter((p) => words === "" || p.label.toLowerCase().includes(words.toLowerCase()));
  return (
    <>
      <button type="button" onClick={() => setOpen(true)} title="Jump to a team, student, requirement, build or run" className="flex h-8 w-62 max-w-full items-center justify-between rounded-sm border border-[#a59a8a] bg-sheet px-2.5 text-left text-soft hover:border-ink">
        <span className="flex items-center gap-2"><Search size={14} aria-hidden />Jump to …</span><kbd className="rounded-sm border border-line px-1 text-xs">Ctrl K</kbd>
      </button>
      <Dialog.Root open={open} onOpenChange={setOpen}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
          <Dialog.Content aria-describedby={undefined} className="fixed top-[12vh] left-1/2 z-50 w-[min(560px,94vw)] -translate-x-1/2 rounded-lg border border-line bg-sheet shadow-xl">
            <Dialog.Title className="sr-only">Jump</Dialog.Title>
            <Command shouldFilter={false} label="Jump">
              <Command.Input value={words} onValueChange={setWords} placeholder="Team, student, requirement, build, run, page" className="w-full border-b border-line bg-transparent px-4 py-3 text-[15px] outline-none" />
              <Command.List className="max-h-[55vh] overflow-y-auto p-2">
                <Command.Empty className="px-3 py-2 text-soft">Nothing of that name.</Command.Empty>
                {hits.map((h) => <Item key={h.href + h.label} onSelect={() => go(h.href)} label={h.label} detail={h.detail} kind={h.kind} />)}
                {near.map((p) => <Item key={p.href} onSelect={() => go(p.href)} label={p.label} detail="" kind="page" />)}
              </Command.List>
            </Command>
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
      <Dialog.Root open={keys} onOpenChange={setKeys}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
          <Dialog.Content aria-describedby={undefined} className="fixed top-[14vh] left-1/2 z-50 w-[min(420px,94vw)] -translate-x-1/2 rounded-lg border border-line bg-sheet px-5 py-4 shadow-xl">
            <Dialog.Title className="mb-2 text-[15px] font-[650]">Keys</Dialog.Title>
            <dl className="grid grid-cols-[110px_1fr] gap-y-1.5">
              {[["Ctrl K or ⌘ K", "jump to anything"], ["W on a figure", "its working"], ["Enter on a figure", "its working"], ["Esc", "close what is open"], ["Enter at the bench", "next field, then save the attempt"], ["Alt F, Alt N at the bench", "foul, no finish"], ["?", "these keys"]].map(([k, v]) => <div key={k} className="contents"><dt className="font-[600]">{k}</dt><dd className="text-soft">{v}</dd></div>)}
            </dl>
            <Dialog.Close className="mt-3 text-sm underline">Close</Dialog.Close>
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </>
  );
}

function Item({ label, detail, kind, onSelect }: { label: string; detail: string; kind: string; onSelect: () => void }) {
  return (
    <Command.Item value={`${kind}${label}${detail}`} onSelect={onSelect} className="flex cursor-pointer items-baseline gap-3 rounded-sm px-3 py-1.5 data-[selected=true]:bg-spine">
      <span className="w-20 shrink-0 text-xs text-soft">{kind}</span><span className="font-[600]">{label}</span><span className="truncate text-soft">{detail}</span>
    </Command.Item>
  );
}
