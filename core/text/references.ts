/** A piece of a text: plain, or one that names a generation or a requirement. */
export type Piece =
  | { readonly text: string }
  | { readonly text: string; readonly build: number }
  | { readonly text: string; readonly requirement: string };

/**
 * A text cut where it names a generation (G3) or a requirement, each as a piece of its own; put together again
 * the pieces are the text.
 * @example
 * piecesOf("G3 leaks .")
 * // => [{ text: "G3", build: 3 }, { text: " leaks, see " }, { text: "R-05", requirement: "R-05" }, { text: "." }]
 */
export function piecesOf(text: string): Piece[] {
  const pieces: Piece[] = [];
  let end = 0;
  for (const m of text.matchAll(/(?<![\p{L}\p{N}_-])(?:G(\d{1,3})|(R-\d{2,4}))(?![\p{L}\p{N}_-])/gu)) {
    if (m.index > end) pieces.push({ text: text.slice(end, m.index) });
    pieces.push(m[1] ? { text: m[0], build: Number(m[1]) } : { text: m[0], requirement: m[2]! });
    end = m.index + m[0].length;
  }
  if (end < text.length || !pieces.length) pieces.push({ text: text.slice(end) });
  return pieces;
}
