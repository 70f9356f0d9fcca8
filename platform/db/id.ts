/** Ids are UUIDs; ours are time-ordered, version 7, which yup's own uuid() does not know. */
export const idPattern = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;

export const isId = (text: string | null | undefined): text is string => idPattern.test(text ?? "");
