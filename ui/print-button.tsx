"use client";

/** Prints the page as it stands. */
export function PrintButton() {
  return (
    <button
      type="button"
      onClick={() => window.print()}
      className="text-soft underline decoration-line underline-offset-3 hover:text-ink"
    >
      Print
    </button>
  );
}
