"use client";

import { useEffect } from "react";
import { buttonClass, Empty } from "@/ui/page";

/** An unexpected failure: logged on the server under an id that is shown here. */
export default function ErrorScreen({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  useEffect(() => console.error(error), [error]);
  return (
    <main className="grid min-h-[60vh] place-items-center p-6">
      <Empty
        title="This page could not be shown"
        action={
          <button type="button" className={buttonClass()} onClick={reset}>
            Try again
          </button>
        }
      >
        Something went wrong on our side{error.digest ? ` (${error.digest})` : ""}. What was saved is safe.
      </Empty>
    </main>
  );
}
