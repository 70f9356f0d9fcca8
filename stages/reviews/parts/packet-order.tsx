"use client";

import { useState } from "react";
import { type PacketPart, packetPart } from "@/core/vocabulary/reviews";
import { Checkbox } from "@/ui/checkbox";
import { useSend } from "@/ui/form/send";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { arrangePacketAction } from "../actions";

/** The team picks what its packet shows, and puts it in order; nothing is typed anew. */
export function PacketOrder({
  id,
  was,
  shown,
}: {
  id: string;
  /** What was chosen before; empty: everything. */
  was: readonly string[];
  shown: readonly PacketPart[];
}) {
  const [parts, setParts] = useState<readonly PacketPart[]>(shown);
  const { send, busy, note } = useSend(arrangePacketAction);
  const ready = useReady();
  const left = packetPart.values.filter((p) => !parts.includes(p));
  const move = (at: number, by: number) =>
    setParts(parts.map((p, i) => (i === at ? parts[at + by]! : i === at + by ? parts[at]! : p)));
  const toggle = (p: PacketPart, on: boolean) => setParts(on ? [...parts, p] : parts.filter((x) => x !== p));
  return (
    <div className="grid gap-2">
      <ol className="grid">
        {[...parts, ...left].map((p, i) => {
          const on = parts.includes(p);
          return (
            <li key={p} className="flex items-center gap-2 border-b border-line py-1">
              <label className="flex min-w-0 grow items-center gap-2">
                <Checkbox checked={on} disabled={!ready} onChange={(v) => toggle(p, v)} />
                <span className={on ? undefined : "text-soft"}>{packetPart.labels[p]}</span>
              </label>
              {on && (
                <>
                  <button
                    type="button"
                    className={buttonClass("quiet")}
                    disabled={i === 0}
                    aria-label={`${packetPart.labels[p]}: up`}
                    onClick={() => move(i, -1)}
                  >
                    ↑
                  </button>
                  <button
                    type="button"
                    className={buttonClass("quiet")}
                    disabled={i === parts.length - 1}
                    aria-label={`${packetPart.labels[p]}: down`}
                    onClick={() => move(i, 1)}
                  >
                    ↓
                  </button>
                </>
              )}
            </li>
          );
        })}
      </ol>
      <div className="flex items-center gap-3">
        <button
          type="button"
          className={buttonClass("main")}
          disabled={busy || !ready || parts.join() === shown.join() || !parts.length}
          onClick={() => send({ id, was, parts })}
        >
          Save the order
        </button>
        <p role="status" className="text-sm text-iron">
          {note || (parts.length ? "" : "Show at least one part.")}
        </p>
      </div>
    </div>
  );
}
