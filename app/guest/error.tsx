"use client";

import { useEffect, useState } from "react";
import { keep, readKept } from "@/ui/kept";
import { buttonClass, Empty } from "@/ui/page";

const key = "ironstone.guest.reloaded";
/** A page that breaks again sooner than this is not loaded again by itself. */
const soon = 5000;

/**
 * A guest's page that broke: most often the network went while it was loading. It is opened anew by itself, from this
 * browser where there is no network; what waits and what was being typed is kept there.
 */
export default function GuestError({ error }: { error: Error & { digest?: string } }) {
  const [again, setAgain] = useState(true);
  useEffect(() => {
    console.error(error);
    const last = Number(readKept(key) ?? 0);
    const now = Date.now();
    if (Math.abs(now - last) < soon) return setAgain(false);
    keep(key, String(now));
    location.reload();
  }, [error]);
  return (
    <main className="grid min-h-[60vh] place-items-center p-6">
      <Empty
        title={again ? "One moment: the page opens again" : "This page could not be shown"}
        action={
          <button type="button" className={buttonClass()} onClick={() => location.reload()}>
            Open it again
          </button>
        }
      >
        What you saved is safe: it is on the server, or waits in this browser.
      </Empty>
    </main>
  );
}
