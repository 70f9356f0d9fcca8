"use client";

import { useEffect, useRef, useState } from "react";
import { useWatch } from "react-hook-form";
import { tryProtocolAction } from "../actions";
import { definitionOf, type TypedProtocol } from "../view/protocol-form";
import type { Tried } from "../view/try";

/** The protocol tried on example readings while it is written: what is computed from them, or what is wrong with it. */
export function ProtocolTry({
  projectId,
  example,
}: {
  projectId: string;
  /** Readings to begin with, by symbol. */
  example: Readonly<Record<string, string>>;
}) {
  const typed = useWatch() as unknown as TypedProtocol;
  const [readings, setReadings] = useState<Record<string, string>>({ ...example });
  const [tried, setTried] = useState<Tried | null>(null);
  const asked = useRef(0);
  const print = JSON.stringify([typed.definition, readings]);
  useEffect(() => {
    const mine = ++asked.current;
    // A quick hand is waited for; an answer that was overtaken by a newer question is not shown.
    const wait = setTimeout(async () => {
      try {
        const answer = await tryProtocolAction(projectId, definitionOf(typed), readings);
        if (mine === asked.current && answer) setTried(answer);
      } catch {
        // Without a network nothing is tried; the form says so when it is saved.
      }
    }, 500);
    return () => clearTimeout(wait);
  }, [projectId, print]);
  const measures = (typed.definition?.measures ?? []).filter((m) => m.key);
  if (!measures.length) return null;
  return (
    <fieldset className="grid gap-2 border-t border-line pt-2.5">
      <legend className="pr-2 font-[650]">Tried on example readings</legend>
      <div className="flex flex-wrap items-start gap-3">
        {measures.map((m) => (
          <label key={m.key} className="grid gap-0.5">
            <span className="text-[12.5px] font-[600]">{m.name || m.key}</span>
            <input
              className="input w-28"
              autoComplete="off"
              aria-label={`Example of ${m.name || m.key}`}
              aria-invalid={tried?.readings[m.key] !== undefined || undefined}
              value={readings[m.key] ?? ""}
              onChange={(e) => setReadings({ ...readings, [m.key]: e.target.value })}
            />
            {tried?.readings[m.key] && <span className="max-w-56 text-xs text-iron">{tried.readings[m.key]}</span>}
          </label>
        ))}
      </div>
      <div role="status" className="grid gap-1">
        {tried?.problems.map((p) => (
          <p key={p} className="text-sm text-iron">
            {p}
          </p>
        ))}
        {tried?.values.map((v) => (
          <p key={v.key}>
            <span className="text-soft">{v.name}:</span>{" "}
            {v.shown ? <strong className="font-[650]">{v.shown}</strong> : <span className="text-soft">{v.why}</span>}
          </p>
        ))}
        {tried?.alarms.map((a) => (
          <p key={a} className="text-sm text-ochre-deep">
            {a}
          </p>
        ))}
      </div>
    </fieldset>
  );
}
