/** Ids are UUIDs; ours are time-ordered, version 7, which yup's own uuid() does not know. */
export const idPattern = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;

export const isId = (text: string | null | undefined): text is string => idPattern.test(text ?? "");

declare const of: unique symbol;
/** The id of a row of a table: a text that cannot be taken for the id of another table's row. */
export type Id<Table extends string> = string & { readonly [of]?: Table };
