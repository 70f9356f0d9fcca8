export const toastEvent = "ironstone:toast";

/** Says something for a few seconds, wherever the reader goes meanwhile: what was saved as the page went on. */
export const toast = (text: string) => window.dispatchEvent(new CustomEvent<string>(toastEvent, { detail: text }));
