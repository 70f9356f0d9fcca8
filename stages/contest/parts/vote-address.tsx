"use client";

import { useEffect, useState } from "react";
import { encode } from "uqr";

/** Where the vote is: an address to type, and the same as a code to point a phone at. */
export function VoteAddress({ code, className }: { code: string; className: string }) {
  const [origin, setOrigin] = useState("");
  useEffect(() => setOrigin(window.location.origin), []);
  if (!origin) return null;
  const { data, size } = encode(`${origin}/vote/${code}`, { ecc: "M", border: 2 });
  const path = data.flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x} ${y}h1v1h-1z`] : []))).join("");
  return (
    <div className="flex flex-wrap items-center gap-[1.5em]">
      <svg viewBox={`0 0 ${size} ${size}`} role="img" aria-label="The same address as a code" className={className}>
        <rect width={size} height={size} fill="#ffffff" />
        <path d={path} fill="#000000" />
      </svg>
      <p className="wrap-anywhere">
        {origin.replace(/^https?:\/\//, "")}/vote/<strong>{code}</strong>
      </p>
    </div>
  );
}
