"use client";

import { useState } from "react";
import { useDates } from "@/ui/dates";
import { Confirm } from "@/ui/lazy";
import Link from "@/ui/link";
import { buttonClass } from "@/ui/page";
import { type KeptCapture, useCaptures } from "./use-captures";

/** How a capture that is kept here stands, in words. */
function standing({ ended, heard, refused }: KeptCapture): string {
  if (refused) return `is kept in this browser, since the server takes no more of it: ${refused}`;
  if (ended) return "waits for the network in this browser";
  return heard ? "is taken in another page of this browser" : "was interrupted; what came is kept in this browser";
}

/** A capture that this browser keeps: gone on with, ended as it is, or thrown away. */
export function CaptureKept({
  kept,
  onGoOn,
  onEnd,
  onDrop,
}: {
  kept: KeptCapture;
  onGoOn?: () => void;
  onEnd?: () => void;
  onDrop: () => void;
}) {
  const dates = useDates();
  const [sure, setSure] = useState(false);
  const { capture, ended, heard, refused } = kept;
  return (
    <div
      className={
        "flex flex-wrap items-center gap-x-4 gap-y-1.5 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm"
      }
    >
      <p>
        <strong className="font-[600]">{capture.source}</strong>, begun{" "}
        {dates.instant(new Date(capture.startedAt).toISOString())}, {standing(kept)}.
      </p>
      {!heard && !ended && (
        <>
          {onGoOn ? (
            <button type="button" className={buttonClass("plain")} onClick={onGoOn}>
              Go on
            </button>
          ) : (
            <Link href={capture.page} className="font-[600] underline">
              Go on with it
            </Link>
          )}
          {onEnd && (
            <button type="button" className={buttonClass("quiet")} onClick={onEnd}>
              End it with what is there
            </button>
          )}
        </>
      )}
      {!heard && (!ended || refused) && (
        <button type="button" className={buttonClass("quiet")} onClick={() => setSure(true)}>
          Throw away
        </button>
      )}
      {sure && (
        <Confirm open onOpen={setSure} onYes={onDrop} yes="Throw it away">
          All samples of this capture go, in this browser and on the server.
        </Confirm>
      )}
    </div>
  );
}

/** What captures of this browser wait for, on the bench; nothing where none does. They are sent from here too. */
export function CapturesWaiting() {
  const { kept, drop } = useCaptures();
  const waiting = kept.filter((k) => !k.heard);
  if (!waiting.length) return null;
  return (
    <section aria-label="Captures kept in this browser" className="my-3 grid max-w-[860px] gap-2">
      {waiting.map((k) => (
        <CaptureKept key={k.capture.id} kept={k} onDrop={() => void drop(k.capture)} />
      ))}
    </section>
  );
}
