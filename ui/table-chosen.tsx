"use client";

import { createContext, type ReactNode, useContext, useMemo, useState } from "react";
import { Checkbox } from "./checkbox";
import { buttonClass } from "./page";

/** The rows of a table that are ticked. */
export interface Chosen {
  readonly ids: readonly string[];
  /** Ticks nothing any more and puts the boxes away. */
  end: () => void;
}

const Context = createContext<Chosen>({ ids: [], end: () => undefined });

/** What is ticked in the table around: for the form that does something to all of it. */
export const useChosen = (): Chosen => useContext(Context);

/** What a table keeps about ticking its rows; nothing is ticked until somebody asks to choose. */
export function useChoosing() {
  const [ids, setIds] = useState<ReadonlySet<string> | null>(null);
  const tick = (list: readonly string[], on: boolean) =>
    setIds((now) => new Set(on ? [...(now ?? []), ...list] : [...(now ?? [])].filter((id) => !list.includes(id))));
  return { ids, tick, start: () => setIds(new Set()), end: () => setIds(null) };
}
export type Choosing = ReturnType<typeof useChoosing>;

/** The row above a table while rows are chosen: how many, and what can be done to them. */
export function ChosenBar({ of, children }: { of: Choosing; children: ReactNode }) {
  const ids = useMemo(() => [...(of.ids ?? [])], [of.ids]);
  return (
    <div className="no-print mb-2 flex flex-wrap items-end gap-x-4 gap-y-2 bg-stone-1 px-3 py-2">
      <p role="status" className="pb-1.5 font-[600]">
        {ids.length === 0 ? "Tick the rows." : `${ids.length} chosen`}
      </p>
      <Context.Provider value={{ ids, end: of.end }}>{ids.length > 0 && children}</Context.Provider>
      <button type="button" className={buttonClass("quiet")} onClick={of.end}>
        Leave
      </button>
    </div>
  );
}

/** The box of a row, or of all rows that are shown. */
export function ChoosingBox({ of, ids, label }: { of: Choosing; ids: readonly string[]; label: string }) {
  const all = ids.length > 0 && ids.every((id) => of.ids!.has(id));
  return <Checkbox checked={all} onChange={(on) => of.tick(ids, on)} aria-label={label} />;
}
