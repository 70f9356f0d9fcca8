import type { ReactNode } from "react";
import { Mark } from "@/ui/mark";

export function Door({ title, note, children }: { title: string; note?: string; children: ReactNode }) {
  return (
    <main className="mx-auto grid min-h-dvh max-w-[400px] content-center gap-5 px-5 py-10">
      <p className="flex items-center gap-2.5 text-[15px] font-[650] [font-stretch:112%]">
        <Mark />
        Ironstone
      </p>
      <div>
        <h1>{title}</h1>
        {note && <p className="mt-1 text-soft">{note}</p>}
      </div>
      {children}
    </main>
  );
}
