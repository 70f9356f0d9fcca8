/** Marks an element with a hint: shown when the pointer rests on it or the keyboard reaches it. */
export const tip = (text: string | false | null | undefined) =>
  text ? { "data-tip": text, "aria-description": text } : {};
