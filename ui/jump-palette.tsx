"use client";

import { Command } from "cmdk";
import { useRouter } from "next/navigation";
import { Dialog } from "radix-ui";
import { useEffect, useState } from "react";

interface Hit {
  kind: string;
  label: string;
  detail: string;
  href: string;
}

interface Props {
  url: string;
  /** Where all texts are searched; nothing outside a project. */
  texts?: string;
  pages: readonly { label: string; href: string }[];
  open: "" | "jump" | "keys";
  onOpen: (which: "" | "jump" | "keys") => void;
}

/** What the jump box opens: the search over the project, and the list of keys. Loaded when it is first asked for. */
export default function JumpPalette({ url, texts, pages, open, onOpen }: Props) {
  const router = useRouter();
  const [words, setWords] = useState("");
  const [hits, setHits] = useState<Hit[]>([]);
  // What is found comes first: the search of all texts stands below it, once it is there, and is not chosen before.
  const [answered, setAnswered] = useState("");
  useEffect(() => {
    if (!words.trim()) return setHits([]);
    const stop = new AbortController();
    const timer = setTimeout(() => {
      fetch(`${url}&q=${encodeURIComponent(words)}`, { signal: stop.signal })
        .then((r) => (r.ok ? r.json() : []))
        .then((found) => {
          setHits(found);
          setAnswered(words);
        })
        .catch(() => {});
    }, 120);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [words, url]);
  const go = (href: string) => {
    onOpen("");
    setWords("");
    router.push(href);
  };
  const near = pages.filter((p) => words === "" || p.label.toLowerCase().includes(words.toLowerCase()));
  return (
    <>
      <Dialog.Root open={open === "jump"} onOpenChange={(now) => onOpen(now ? "jump" : "")}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
          <Dialog.Content
            aria-describedby={undefined}
            className={
              "fixed top-[12vh] left-1/2 z-50 w-[min(560px,94vw)] -translate-x-1/2 rounded-lg border " +
              "border-line bg-sheet shadow-xl"
            }
          >
            <Dialog.Title className="sr-only">Jump</Dialog.Title>
            <Command shouldFilter={false} label="Jump">
              <Command.Input
                value={words}
                onValueChange={setWords}
                placeholder="Team, student, requirement, build, run, page"
                className="w-full border-b border-line bg-transparent px-4 py-3 text-[15px] outline-none"
              />
              <Command.List className="max-h-[55vh] overflow-y-auto p-2">
                <Command.Empty className="px-3 py-2 text-soft">Nothing of that name.</Command.Empty>
                {hits.map((h) => (
                  <Item
                    key={h.href + h.label}
                    onSelect={() => go(h.href)}
                    label={h.label}
                    detail={h.detail}
                    kind={h.kind}
                  />
                ))}
                {words.trim() && texts && answered === words && (
                  <Item
                    onSelect={() => go(`${texts}?q=${encodeURIComponent(words.trim())}`)}
                    label={`Search all texts for “${words.trim()}”`}
                    detail=""
                    kind="texts"
                  />
                )}
                {near.map((p) => (
                  <Item key={p.href} onSelect={() => go(p.href)} label={p.label} detail="" kind="page" />
                ))}
              </Command.List>
            </Command>
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
      <Dialog.Root open={open === "keys"} onOpenChange={(now) => onOpen(now ? "keys" : "")}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
          <Dialog.Content
            aria-describedby={undefined}
            className={
              "fixed top-[14vh] left-1/2 z-50 w-[min(420px,94vw)] -translate-x-1/2 rounded-lg border " +
              "border-line bg-sheet px-5 py-4 shadow-xl"
            }
          >
            <Dialog.Title className="mb-2 text-[15px] font-[650]">Keys</Dialog.Title>
            <dl className="grid grid-cols-[110px_1fr] gap-y-1.5">
              {[
                ["Ctrl K or ⌘ K", "jump to anything"],
                ["W on a figure", "its working"],
                ["Enter on a figure", "its working"],
                ["Esc", "close what is open"],
                ["Enter at the bench", "next field, then save the attempt"],
                ["Alt F, Alt N at the bench", "foul, no finish"],
                ["N in the notebooks", "read, next unread"],
                ["?", "these keys"],
              ].map(([k, v]) => (
                <div key={k} className="contents">
                  <dt className="font-[600]">{k}</dt>
                  <dd className="text-soft">{v}</dd>
                </div>
              ))}
            </dl>
            <Dialog.Close className="mt-3 text-sm underline">Close</Dialog.Close>
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </>
  );
}

function Item({
  label,
  detail,
  kind,
  onSelect,
}: {
  label: string;
  detail: string;
  kind: string;
  onSelect: () => void;
}) {
  return (
    <Command.Item
      value={`${kind}${label}${detail}`}
      onSelect={onSelect}
      className="flex cursor-pointer items-baseline gap-3 rounded-sm px-3 py-1.5 data-[selected=true]:bg-spine"
    >
      <span className="w-20 shrink-0 text-xs text-soft">{kind}</span>
      <span className="font-[600]">{label}</span>
      <span className="truncate text-soft">{detail}</span>
    </Command.Item>
  );
}
