import { plainLetters } from "./plain";

/** A piece of a text, and whether it is what was looked for. */
export interface ExcerptPart {
  readonly text: string;
  readonly hit: boolean;
}

/**
 * The words of a search: plain small letters and figures, each once.
 * @example searchWords("Leak, leak & Ångström-4") // => ["leak", "angstrom", "4"]
 */
export function searchWords(text: string): string[] {
  return [
    ...new Set(
      plainLetters(text)
        .split(/[^\p{L}\p{N}]+/u)
        .filter(Boolean),
    ),
  ];
}

/** Where words begin with what was looked for: from and to, in the text as it stands. */
function hits(text: string, words: readonly string[]): [number, number][] {
  return [...text.matchAll(/[\p{L}\p{N}\p{M}]+/gu)].flatMap((m): [number, number][] => {
    const plain = plainLetters(m[0]);
    return words.some((w) => plain.startsWith(w)) ? [[m.index, m.index + m[0].length]] : [];
  });
}

/**
 * What of a text is shown where it was found: about so many letters around the first hit, cut between words, with the
 * hits told apart.
 * @example
 * excerpt("The seal leaked at the pivot.", ["leak"], 60)
 * // => [{ text: "The seal ", hit: false }, { text: "leaked", hit: true }, { text: " at the pivot.", hit: false }]
 */
export function excerpt(text: string, words: readonly string[], length = 200): ExcerptPart[] {
  const flat = text.replaceAll(/\s+/g, " ").trim();
  const found = hits(flat, words);
  const first = found[0]?.[0] ?? 0;
  let from = Math.max(0, first - Math.floor(length / 4));
  let to = Math.min(flat.length, from + length);
  // Cut between words.
  if (from > 0) from = flat.indexOf(" ", from) + 1 || from;
  if (to < flat.length) to = Math.max(flat.lastIndexOf(" ", to), from + 1);
  const parts: ExcerptPart[] = [];
  const add = (a: number, b: number, hit: boolean) => {
    if (b > a) parts.push({ text: flat.slice(a, b), hit });
  };
  let at = from;
  for (const [a, b] of found.filter(([a, b]) => a >= from && b <= to)) {
    add(at, a, false);
    add(a, b, true);
    at = b;
  }
  add(at, to, false);
  if (from > 0) parts.unshift({ text: "… ", hit: false });
  if (to < flat.length) parts.push({ text: " …", hit: false });
  return parts;
}
