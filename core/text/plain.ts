// Letters that do not come apart into a plain letter and a mark.
const whole: Record<string, string> = { ł: "l", ø: "o", đ: "d", ð: "d", þ: "th", ß: "ss", æ: "ae", œ: "oe", ı: "i" };

/**
 * A text in small plain letters, without marks: what is searched by.
 * @example plainLetters("Łucja Ångström-Çelik") // => "lucja angstrom-celik"
 */
export function plainLetters(text: string): string {
  return text
    .toLowerCase()
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .replace(/[łøđðþßæœı]/g, (c) => whole[c]!);
}

const order = new Intl.Collator("en", { numeric: true });

/**
 * The order in which people look for names: numbers by their size, marked letters beside the plain ones.
 * @example ["Team 10", "Team 2", "Çelik", "Dora"].sort(byName) // => ["Çelik", "Dora", "Team 2", "Team 10"]
 */
export function byName(a: string, b: string): number {
  return order.compare(a, b);
}

/** What a number looks like, with a point or a comma, so that it stays one. */
const number = /^[+-]?\d+([.,]\d+)?(e[+-]?\d+)?$/i;

/**
 * A cell that no spreadsheet takes for a formula, whichever mark it cuts cells at: what begins with = + - or @, at the
 * beginning or after a line end, tab, comma or semicolon, is led by an apostrophe. Numbers stay numbers.
 * @example spreadsheetCell("a;=1+1") // => "a;'=1+1"
 * @example spreadsheetCell("-3.5") // => "-3.5"
 */
export function spreadsheetCell(text: string): string {
  if (number.test(text)) return text;
  return text.replace(/(^|[\r\n\t;,])(?=(?:[^\S\r\n\t]|["'])*[=+\-@\uff1d\uff0b\uff0d\uff20])/g, "$1'");
}
