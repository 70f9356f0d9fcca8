/** What may be chosen: the value that is kept and the words that are shown. */
export type Option = { value: string; label: string };
