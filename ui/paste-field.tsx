"use client";

import type { ReactNode } from "react";

/** Where a table is pasted from a spreadsheet, with what it should look like. */
export function PasteField({
  label,
  value,
  onChange,
  rows = 6,
  disabled,
  placeholder,
  children,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
  rows?: number;
  disabled?: boolean;
  placeholder: string;
  /** What its headings are. */
  children?: ReactNode;
}) {
  return (
    <label className="grid gap-1">
      <span className="text-[12.5px] font-[600]">{label}</span>
      <textarea
        rows={rows}
        disabled={disabled}
        className="input font-[450]"
        value={value}
        onChange={(e) => onChange(e.target.value)}
        placeholder={placeholder}
      />
      {children && <span className="text-sm text-soft">{children}</span>}
    </label>
  );
}
