"use client";

import { Toast } from "radix-ui";
import { useEffect, useState } from "react";
import { toastEvent } from "./toast";

/** The short notices of the whole page: each goes by itself, or by Escape; read out to who cannot see it. */
export function Toasts() {
  const [said, setSaid] = useState<{ id: number; text: string }[]>([]);
  useEffect(() => {
    let id = 0;
    const hear = (e: Event) => setSaid((all) => [...all, { id: id++, text: (e as CustomEvent<string>).detail }]);
    window.addEventListener(toastEvent, hear);
    return () => window.removeEventListener(toastEvent, hear);
  }, []);
  return (
    <Toast.Provider duration={4000} label="Notice">
      {said.map((s) => (
        <Toast.Root
          key={s.id}
          onOpenChange={(open) => !open && setSaid((all) => all.filter((x) => x.id !== s.id))}
          className="rounded-sm border border-line border-l-4 border-l-moss bg-sheet px-3 py-2 text-[13.5px] shadow-lg"
        >
          <Toast.Description>{s.text}</Toast.Description>
        </Toast.Root>
      ))}
      <Toast.Viewport className="no-print fixed right-4 bottom-4 z-[80] grid w-[min(340px,92vw)] gap-2" />
    </Toast.Provider>
  );
}
