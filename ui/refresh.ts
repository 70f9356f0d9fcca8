"use client";

import { useRouter } from "next/navigation";
import { useCallback } from "react";

let owed = false;

/**
 * Loads the page again after a write of its own; without a network, when that is back: a load that fails would leave
 * the browser's own error in the place of the page, with what waits on it.
 */
export function useRefresh(): () => void {
  const router = useRouter();
  return useCallback(() => {
    if (navigator.onLine) return router.refresh();
    if (owed) return;
    owed = true;
    const back = () => {
      owed = false;
      router.refresh();
    };
    window.addEventListener("online", back, { once: true });
  }, [router]);
}
