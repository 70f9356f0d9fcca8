"use client";

import { useEffect, useRef, useState } from "react";

/** Minutes, not always whole, going on from what the server said: since midnight, or since something began. */
export function useMinute(server: number): number {
  const [now, setNow] = useState(server);
  const from = useRef({ server, here: 0 });
  useEffect(() => {
    from.current = { server, here: performance.now() };
    setNow(server);
    const tick = () => setNow(from.current.server + (performance.now() - from.current.here) / 60_000);
    const timer = setInterval(tick, 500);
    return () => clearInterval(timer);
  }, [server]);
  return now;
}
