"use client";

import { Toast } from "radix-ui";
import { useEffect, useState } from "react";
import type { Send } from "./form/result";
import { useSend } from "./form/send";
import { buttonClass } from "./page";
import { type Said, takeUnheard, toast, toastEvent } from "./toast";

/** Brings back what was just taken out. */
function Undo({ action, id }: { action: Send<unknown>; id: string }) {
  const { send, busy } = useSend(action);
  return (
    <Toast.Action altText="Bring it back, also under Records" asChild>
      <button
        type="button"
        disabled={busy}
        className={buttonClass("plain")}
        onClick={() =>
          void send({ id }).then((r) => toast(r?.ok ? "It is back." : (r?.message ?? "It is not back yet.")))
        }
      >
        Bring it back
      </button>
    </Toast.Action>
  );
}

/** The short notices of the whole page: each goes by itself, or by Escape; read out to who cannot see it. */
export function Toasts({ undo }: { undo: Send<unknown> }) {
  const [said, setSaid] = useState<(Said & { id: number })[]>([]);
  useEffect(() => {
    let id = 0;
    const show = (x: Said) => setSaid((all) => [...all, { id: id++, ...x }]);
    const hear = (e: Event) => {
      e.preventDefault();
      show((e as CustomEvent<Said>).detail);
    };
    for (const x of takeUnheard()) show(x);
    window.addEventListener(toastEvent, hear);
    return () => window.removeEventListener(toastEvent, hear);
  }, []);
  return (
    <Toast.Provider duration={4000} label="Notice">
      {said.map((s) => (
        <Toast.Root
          key={s.id}
          duration={s.undo ? 12_000 : 4000}
          onOpenChange={(open) => !open && setSaid((all) => all.filter((x) => x.id !== s.id))}
          className={
            "flex flex-wrap items-center justify-between gap-2 rounded-sm border border-line border-l-4 " +
            "border-l-moss bg-sheet px-3 py-2 text-[13.5px] shadow-lg"
          }
        >
          <Toast.Description className="min-w-0 wrap-break-word">{s.text}</Toast.Description>
          {s.undo && <Undo action={undo} id={s.undo} />}
        </Toast.Root>
      ))}
      <Toast.Viewport className="no-print fixed right-4 bottom-4 z-[80] grid w-[min(380px,92vw)] gap-2" />
    </Toast.Provider>
  );
}
