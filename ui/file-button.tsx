"use client";

import { useRef } from "react";
import { buttonClass } from "./page";

/** A button that asks for a list in a text file; a larger one than a list is is not taken. */
export function FileButton({
  children,
  label,
  disabled,
  most,
  tooLarge,
  onFile,
  onRefuse,
}: {
  children: string;
  /** What the field is called. */
  label: string;
  disabled: boolean;
  /** Bytes. */
  most: number;
  /** What is said of a larger one. */
  tooLarge: string;
  onFile: (file: File) => void;
  onRefuse: (words: string) => void;
}) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className={buttonClass()} disabled={disabled} onClick={() => field.current?.click()}>
        {children}
      </button>
      <input
        ref={field}
        type="file"
        accept=".csv,.txt,.tsv,text/csv,text/plain"
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = "";
          if (file) file.size > most ? onRefuse(tooLarge) : onFile(file);
        }}
      />
    </>
  );
}
