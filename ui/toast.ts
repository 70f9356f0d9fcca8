export const toastEvent = "ironstone:toast";

/** What is said for a few seconds, and under which what was taken out can be brought back. */
export interface Said {
  readonly text: string;
  readonly undo?: string;
}

/** What was said before there was anybody to show it. */
const unheard: Said[] = [];

/** Says something for a few seconds, wherever the reader goes meanwhile: what was saved as the page went on. */
export function toast(text: string, undo?: string): void {
  const said = { text, undo };
  // Whoever shows it says so.
  if (window.dispatchEvent(new CustomEvent<Said>(toastEvent, { detail: said, cancelable: true }))) unheard.push(said);
}

/** What was said and not shown yet; it is given once. */
export const takeUnheard = (): Said[] => unheard.splice(0);
