"use client";

import { useEffect, useState } from "react";
import { ActButton } from "@/ui/form/act-button";
import { confirmEventAction, refreshEntriesAction } from "../actions";

/** The time of day, from the board's own clock. */
export function Clock() {
  const [now, setNow] = useState("");
  useEffect(() => {
    const tick = () => setNow(new Date().toTimeString().slice(0, 5));
    tick();
    const timer = setInterval(tick, 5000);
    return () => clearInterval(timer);
  }, []);
  return <p className="text-[clamp(22px,2.4vw,56px)] font-[650]">{now || "\u00a0"}</p>;
}

export const RefreshButton = ({ id }: { id: string }) => (
  <ActButton action={refreshEntriesAction} input={{ id }} look="quiet">
    Take in new teams and builds
  </ActButton>
);

export const ConfirmButton = ({ id, version }: { id: string; version: number }) => (
  <ActButton
    action={confirmEventAction}
    input={{ id, version }}
    look="main"
    confirm="The result is fixed and goes on record."
  >
    Confirm the result
  </ActButton>
);
