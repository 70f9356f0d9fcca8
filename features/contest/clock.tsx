"use client";

import { useEffect, useState } from "react";

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
