import type { EditionChangeKind } from "../vocabulary/project";
import { sameBy } from "./features";

/** Something that an edition has and the next may change: a requirement, a protocol, an event, a rule. */
export interface EditionItem {
  /** What it is the same by from edition to edition: a requirement's code, a protocol's name. */
  readonly key: string;
  readonly name: string;
  /** What is told of it, by what it is: the limit, the priority, the method. */
  readonly facts: Readonly<Record<string, string>>;
}

/** What became of something from one edition to the next. */
export interface EditionChange {
  readonly kind: EditionChangeKind;
  readonly name: string;
  /** What of it is different; nothing where it is new or gone. */
  readonly facts: readonly { readonly what: string; readonly before: string; readonly after: string }[];
}

const byKey = (items: readonly EditionItem[]) => new Map(items.map((i) => [i.key, i]));

/**
 * What changed from one edition to the next: first what is different, then what is new, then what is gone, each in the
 * order of its edition; and how many stayed as they were. What has no partner by its key has the one of the same name,
 * whatever its case and marks.
 * @example
 * changesBetween(
 *   [{ key: "R-1", name: "Mass", facts: { limit: "≤ 6 kg" } }, { key: "R-2", name: "Size", facts: {} }],
 *   [{ key: "R-1", name: "Mass", facts: { limit: "≤ 5 kg" } }, { key: "R-3", name: "Noise", facts: {} }],
 * ).changes.map((c) => `${c.kind} ${c.name} ${c.facts.map((f) => f.before + " to " + f.after)}`)
 * // => ["changed Mass ≤ 6 kg to ≤ 5 kg", "new Noise ", "gone Size "]
 */
export function changesBetween(
  before: readonly EditionItem[],
  after: readonly EditionItem[],
): { changes: EditionChange[]; same: number } {
  const old = byKey(before);
  const now = byKey(after);
  const alone = new Map(before.filter((i) => !now.has(i.key)).map((i) => [sameBy(i.name), i]));
  const partner = new Map<EditionItem, EditionItem>();
  for (const item of after) {
    const name = sameBy(item.name);
    const found = old.get(item.key) ?? alone.get(name);
    if (!found) continue;
    partner.set(item, found);
    if (!old.has(item.key)) alone.delete(name);
  }
  const paired = new Set(partner.values());
  const changed = [...partner].flatMap(([item, was]): EditionChange[] => {
    const what = [...new Set([...Object.keys(item.facts), ...Object.keys(was.facts)])];
    const facts = what
      .map((w) => ({ what: w, before: was.facts[w] ?? "", after: item.facts[w] ?? "" }))
      .filter((f) => f.before !== f.after);
    return facts.length ? [{ kind: "changed", name: item.name, facts }] : [];
  });
  const only = (kind: "new" | "gone", items: readonly EditionItem[]) =>
    items.map((i): EditionChange => ({ kind, name: i.name, facts: [] }));
  return {
    changes: [
      ...changed,
      ...only(
        "new",
        after.filter((i) => !partner.has(i)),
      ),
      ...only(
        "gone",
        before.filter((i) => !paired.has(i)),
      ),
    ],
    same: partner.size - changed.length,
  };
}
