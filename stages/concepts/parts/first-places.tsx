"use client";

import { useEffect, useMemo, useState } from "react";

/** How often each concept comes first over random weights, computed in a worker while the page stays free. */
export function FirstPlaces({
  input,
  sets,
  seed,
}: {
  input: import("@/core/concepts/fragility").FragilityInput;
  sets: number;
  seed: string;
}) {
  const [step, setStep] = useState<{ done: number; shares: number[] } | null>(null);
  const text = JSON.stringify(input);
  const question = useMemo(() => JSON.parse(text) as typeof input, [text]);
  useEffect(() => {
    setStep(null);
    const worker = new Worker(new URL("../../../workers/fragility.ts", import.meta.url));
    worker.onmessage = (e) => setStep(e.data);
    worker.postMessage({ input: question, sets, seed });
    return () => worker.terminate();
  }, [question, sets, seed]);
  const rows = question.options
    .map((o, i) => ({ ...o, share: step?.shares[i] ?? 0 }))
    .sort((a, b) => b.share - a.share);
  return (
    <div>
      <p className="mb-1 text-sm text-soft" role="status">
        {step
          ? `${step.done.toLocaleString("en")} of ${sets.toLocaleString("en")} weight sets, seed ${seed}`
          : "Counting…"}
      </p>
      <ul className="grid gap-0.5">
        {rows.slice(0, 12).map((r) => (
          <li key={r.key} className="grid grid-cols-[minmax(0,11rem)_1fr_3rem] items-center gap-2">
            <span className="truncate">{r.name}</span>
            <span aria-hidden className="h-2 bg-stone-1">
              <span className="block h-full bg-slate" style={{ width: `${100 * r.share}%` }} />
            </span>
            <span className="text-right">{(100 * r.share).toFixed(0)} %</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
