"use client";

import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";

/** Refreshes the page when somebody writes to the project; says when the line is lost. */
export function LiveRefresh({ url, dark }: { url: string; dark?: boolean }) {
  const router = useRouter();
  const [lost, setLost] = useState(false);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let wasLost = false;
    const source = new EventSource(url);
    const soon = () => {
      clearTimeout(timer);
      timer = setTimeout(() => router.refresh(), 60);
    };
    source.addEventListener("change", soon);
    source.addEventListener("ready", () => {
      if (wasLost) soon();
      wasLost = false;
      setLost(false);
    });
    source.addEventListener("error", () => {
      wasLost = true;
      setLost(true);
    });
    return () => {
      clearTimeout(timer);
      source.close();
    };
  }, [router, url]);
  return (
    <span role="status" className={dark ? "text-[#E39A7C]" : "text-sm text-iron"}>
      {lost ? "No connection: what you see may be old" : ""}
    </span>
  );
}
