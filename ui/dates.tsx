"use client";

import { createContext, type ReactNode, useContext, useMemo } from "react";
import { type DateWords, datesIn } from "@/core/text/dates";
import type { DateStyle } from "@/core/vocabulary/project";

const Context = createContext<DateWords>(datesIn("day"));

/** Below it dates are written like this. */
export function Dates({ style, children }: { style: DateStyle; children: ReactNode }) {
  return <Context.Provider value={useMemo(() => datesIn(style), [style])}>{children}</Context.Provider>;
}

/** How dates are written here; parts that the server makes ask the page instead. */
export const useDates = (): DateWords => useContext(Context);
