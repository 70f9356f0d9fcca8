/**
 * Names as people write them: with commas, and an “and” before the last.
 * @example listed(["Alder"]) // => "Alder"
 * @example listed(["Alder", "Gully", "Weir"]) // => "Alder, Gully and Weir"
 */
export const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join("") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;
