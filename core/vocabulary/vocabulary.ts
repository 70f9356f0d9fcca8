/** A closed list: its values with their labels, and the columns of the database that hold nothing else. */
export interface Vocabulary<V extends string> {
  readonly values: readonly V[];
  /** What people read; a one-line reason follows the colon where there is a choice between methods. */
  readonly labels: Readonly<Record<V, string>>;
  /** For a select or radio rows, in the list's order. */
  readonly options: { value: V; label: string }[];
  /** `table.column`, compared with the database's CHECK by a test. */
  readonly columns: readonly string[];
}

/** The values of a vocabulary, as a type. */
export type Term<T> = T extends Vocabulary<infer V> ? V : never;

/**
 * A closed list from its values and labels; an empty label means that the value is its own.
 * @example
 * vocabulary({ must: "", could: "if time allows" }).options[1]
 * // => { value: "could", label: "if time allows" }
 */
export function vocabulary<const L extends Readonly<Record<string, string>>>(
  labels: L,
  columns: readonly string[] = [],
): Vocabulary<keyof L & string> {
  const values = Object.keys(labels) as (keyof L & string)[];
  const options = values.map((value) => ({ value, label: labels[value] || value }));
  return {
    values,
    labels: Object.fromEntries(options.map((o) => [o.value, o.label])) as Record<keyof L & string, string>,
    options,
    columns,
  };
}

/**
 * A vocabulary without some of its values.
 * @example without(vocabulary({ open: "", accepted: "", declined: "" }), "open").values // => ["accepted", "declined"]
 */
export function without<V extends string, const W extends V>(
  list: Vocabulary<V>,
  ...values: W[]
): Vocabulary<Exclude<V, W>> {
  const kept = list.options.filter((o) => !(values as string[]).includes(o.value));
  return vocabulary(Object.fromEntries(kept.map((o) => [o.value, o.label]))) as unknown as Vocabulary<Exclude<V, W>>;
}

/**
 * A label as its name and its one-line reason: what stands before and after the colon.
 * @example nameAndReason("block: until signed") // => ["block", "until signed"]
 */
export function nameAndReason(label: string): [name: string, reason: string] {
  const at = label.indexOf(": ");
  return at < 0 ? [label, ""] : [label.slice(0, at), label.slice(at + 2)];
}
