"use client";

import dynamic from "next/dynamic";
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from "react";
import type { Working } from "@/core/working/working";
import { cx } from "./classes";

const load = () => import("./working-drawer");
const WorkingDrawer = dynamic(load, { ssr: false });
const Open = createContext<(w: Working) => void>(() => {});

/** Holds the working drawer: one for the whole application. */
export function WorkingProvider({ children }: { children: ReactNode }) {
  const [shown, setShown] = useState<Working | null>(null);
  const [asked, setAsked] = useState(false);
  useEffect(() => void load(), []);
  const open = useCallback((w: Working) => {
    setAsked(true);
    setShown(w);
  }, []);
  return (
    <Open.Provider value={open}>
      {children}
      {asked && <WorkingDrawer working={shown} onClose={() => setShown(null)} />}
    </Open.Provider>
  );
}

/**
 * A computed figure: dotted underline, opens its working by press or W. The one way in which computed values are shown.
 */
export function Figure({
  children,
  unit,
  working,
  className,
  big,
}: {
  children: ReactNode;
  unit?: string;
  working: Working;
  className?: string;
  big?: boolean;
}) {
  const open = useContext(Open);
  const show = useMemo(() => () => open(working), [open, working]);
  return (
    <button
      type="button"
      data-figure=""
      onClick={show}
      onKeyDown={(e) => {
        if (e.key === "w" || e.key === "W") show();
      }}
      title={`${working.title}. Press for its working.`}
      className={cx(
        "cursor-help border-b border-dotted border-soft/80 leading-[1.15] hover:border-iron hover:text-iron",
        big && "text-[19px] font-[650]",
        className,
      )}
    >
      {children}
      {unit && <span className="unit">{unit}</span>}
    </button>
  );
}
