"use client";

import { useState } from "react";
import { type PacketPart, packetPart } from "@/core/vocabulary/reviews";
import { Checkbox } from "@/ui/checkbox";
import { Fold } from "@/ui/fold";
import { useSend } from "@/ui/form/send";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { arrangePacketAction } from "../actions";

/** The team picks what its packet shows, and puts it in order; nothing is typed anew. */
export function PacketOrder({
  id,
  was,
  shown,
  wasLeft,
  items,
}: {
  id: string;
  /** What was chosen before; empty: everything. */
  was: readonly string[];
  shown: readonly PacketPart[];
  /** What was left out of the parts before. */
  wasLeft: readonly string[];
  /** What can be left out of each. */
  items: Partial<Record<PacketPart, readonly { key: string; label: string }[]>>;
}) {
  const [parts, setParts] = useState<readonly PacketPart[]>(shown);
  const [out, setOut] = useState<readonly string[]>(wasLeft);
  const { send, busy, note } = useSend(arrangePacketAction);
  const ready = useReady();
  const changed = parts.join() !== shown.join() || [...out].sort().join() !== [...wasLeft].sort().join();
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
            <li key={p} className="flex flex-wrap items-center gap-2 border-b border-line py-1">
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
              {on && (items[p]?.length ?? 0) > 1 && (
                <Fold
                  className="w-full pl-5"
                  labelClass="text-sm text-soft"
                  label={`pick of ${packetPart.labels[p].toLowerCase()}`}
                >
                  {items[p]!.map((x) => (
                    <label key={x.key} className="flex items-start gap-2 py-0.5 text-sm">
                      <Checkbox
                        className="mt-[3px]"
                        checked={!out.includes(x.key)}
                        disabled={!ready}
                        onChange={(v) => setOut(v ? out.filter((k) => k !== x.key) : [...out, x.key])}
                      />
                      {x.label}
                    </label>
                  ))}
                </Fold>
              )}
            </li>
          );
        })}
      </ol>
      <div className="flex items-center gap-3">
        <button
          type="button"
          className={buttonClass("main")}
          disabled={busy || !ready || !changed || !parts.length}
          onClick={() => send({ id, was, parts, wasLeft, left: out })}
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
