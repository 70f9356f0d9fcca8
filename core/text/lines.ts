/**
 * The lines of a text that say something, each without the spaces around it.
 * @param text as it was typed
 * @example linesOf(" bore = 40 mm\n\nstroke = 250 mm ") // => ["bore = 40 mm", "stroke = 250 mm"]
 */
export const linesOf = (text: string): string[] =>
  text
    .split("\n")
    .map((line) => line.trim())
    .filter(Boolean);
