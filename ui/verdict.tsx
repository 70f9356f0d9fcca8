"use client";

import type { Verdict } from "@/core/vocabulary/needs";
import { cx } from "./classes";

// The six marks are cuts through one stone: whole, split, half filled, hollow, weathered (a core left in a broken rim),
// none.
const shapes: Record<Verdict, React.ReactNode> = {
  met: <path d="M2.5 1h7L12 4.2v5.6L9.5 12h-7L1 9.5v-6z" fill="var(--color-moss)" />,
  "not met": (
    <g>
      <path d="M2.5 1h7L1 9.8V3.5z" fill="var(--color-iron)" />
      <path d="M12 4v5.8L9.5 12H4z" fill="none" stroke="var(--color-iron)" strokeWidth="1.1" />
    </g>
  ),
  marginal: (
    <g>
      <path
        d="M2.8 1.6h6.5l2.1 2.8v5.2l-2.1 1.8H2.8L1.6 9.3V3.7z"
        fill="none"
        stroke="var(--color-ochre)"
        strokeWidth="1.2"
      />
      <path d="M1.6 6.6h9.8v3l-2.1 1.8H2.8L1.6 9.3z" fill="var(--color-ochre)" />
    </g>
  ),
  untested: (
    <path
      d="M2.8 1.6h6.5l2.1 2.8v5.2l-2.1 1.8H2.8L1.6 9.3V3.7z"
      fill="none"
      stroke="var(--color-faint)"
      strokeWidth="1.3"
    />
  ),
  stale: (
    <g>
      <path
        d="M2.8 1.6h6.5l2.1 2.8v5.2l-2.1 1.8H2.8L1.6 9.3V3.7z"
        fill="none"
        stroke="var(--color-slate)"
        strokeWidth="1.3"
        strokeDasharray="2.2 1.7"
      />
      <circle cx="6.5" cy="6.5" r="2" fill="var(--color-slate)" />
    </g>
  ),
  "not applicable": <path d="M2 6.5h9" stroke="var(--color-faint)" strokeWidth="1.6" />,
};

/** One of the six verdicts: told by shape, colour and word. */
export function VerdictMark({ verdict, word = false, size = 14 }: { verdict: Verdict; word?: boolean; size?: number }) {
  return (
    <span className="inline-flex items-center gap-1.5 whitespace-nowrap" data-tip={verdict}>
      <svg width={size} height={size} viewBox="0 0 13 13" aria-hidden="true" className="shrink-0">
        {shapes[verdict]}
      </svg>
      <span className={cx(!word && "sr-only")}>{verdict}</span>
    </span>
  );
}

export function VerdictLegend() {
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-sm text-soft" aria-label="Verdict marks">
      {(Object.keys(shapes) as Verdict[]).map((v) => (
        <li key={v}>
          <VerdictMark verdict={v} word />
        </li>
      ))}
    </ul>
  );
}
