"use client";

import { type ReactNode, useRef } from "react";
import { buttonClass } from "./page";

/** Text files that hold a list. */
export const listFiles = ".csv,.txt,.tsv,text/csv,text/plain";

/** A button that asks for a file; the same file can be chosen again. */
export function FileButton({
  children,
  label,
  accept,
  disabled,
  look = "plain",
  onFile,
}: {
  children: ReactNode;
  /** What the field is called. */
  label: string;
  accept: string;
  disabled: boolean;
  look?: "plain" | "quiet";
  onFile: (file: File) => void;
}) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className={buttonClass(look)} disabled={disabled} onClick={() => field.current?.click()}>
        {children}
      </button>
      <input
        ref={field}
        type="file"
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = "";
          if (file) onFile(file);
        }}
      />
    </>
  );
}
