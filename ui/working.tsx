"use client";

import dynamic from "next/dynamic";
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useRef, useState } from "react";
import { makeWorking, type Working } from "@/core/working/working";
import { cx } from "./classes";
import { tip } from "./tip";

const load = () => import("./working-drawer");
const WorkingDrawer = dynamic(load, { ssr: false });
const Open = createContext<(w: Working | string) => void>(() => {});

const note = (title: string, rule: string): Working => makeWorking({ title, result: "", rule });
const waiting = note("…", "The working is being made.");
const failed = note("not here", "The working could not be fetched. Press the figure again, or reload the page.");

/** Holds the working drawer: one for the whole application. */
export function WorkingProvider({ children }: { children: ReactNode }) {
  const [shown, setShown] = useState<Working | null>(null);
  const [asked, setAsked] = useState(false);
  useEffect(() => void load(), []);
  // The last press wins, however slowly an earlier working arrives.
  const last = useRef(0);
  const open = useCallback((w: Working | string) => {
    setAsked(true);
    const mine = ++last.current;
    if (typeof w !== "string") return setShown(w);
    setShown(waiting);
    fetch(w)
      .then((r) => (r.ok ? r.json() : failed))
      .catch(() => failed)
      .then((found: Working) => mine === last.current && setShown(found));
  }, []);
  // What is closed while it is fetched stays closed when it arrives.
  const close = useCallback(() => {
    last.current++;
    setShown(null);
  }, []);
  return (
    <Open.Provider value={open}>
      {children}
      <p id="figure-tip" hidden>
        Press for its working.
      </p>
      {asked && <WorkingDrawer working={shown} onClose={close} />}
    </Open.Provider>
  );
}

/**
 * A computed figure: dotted underline, opens its working by press or W. The one way in which computed values are shown.
 * The working comes with the page, or by its address (`workingAt`) when it is opened.
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
  working: Working | string;
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
      {...(typeof working === "string"
        ? { "data-tip": "", "aria-describedby": "figure-tip" }
        : tip(`${working.title}. Press for its working.`))}
      className={cx(
        "cursor-help border-b border-dotted border-soft/80 leading-[1.15] hover:border-iron hover:text-iron",
        big && "text-[19px] font-[650]",
        className,
      )}
    >
      {children}
      {unit && unit !== "1" && <span className="unit">{unit}</span>}
    </button>
  );
}
