"use client";

import { useState } from "react";

/** Something shown once: it is stored as a hash only. */
export function Once({ label, value }: { label: string; value: string }) {
  const [copied, setCopied] = useState(false);
  return (
    <div className="mt-2 border-l-4 border-slate bg-slate-wash px-3 py-2 text-sm">
      <p>{label} It is shown this once.</p>
      <p className="flex flex-wrap items-center gap-3">
        <code className="font-[600] break-all select-all">{value}</code>
        <button
          type="button"
          className="underline"
          onClick={async () => {
            await navigator.clipboard.writeText(value);
            setCopied(true);
          }}
        >
          {copied ? "Copied" : "Copy"}
        </button>
      </p>
    </div>
  );
}
