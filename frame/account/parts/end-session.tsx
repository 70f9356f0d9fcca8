"use client";

import type { ReactNode } from "react";
import { ActButton } from "@/ui/form/act-button";
import { endSessionsAction } from "../actions";

/** Signs out one other device, or all others. */
export const EndSession = ({ one, children }: { one?: string; children: ReactNode }) => (
  <ActButton action={endSessionsAction} input={{ one }} look={one ? "quiet" : "plain"}>
    {children}
  </ActButton>
);
