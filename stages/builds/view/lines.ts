import { linesOf } from "@/core/text/lines";

/** What was typed as `name = value`, one a line; other lines are none. */
export const readLines = (text: string): { name: string; value: string }[] =>
  linesOf(text).flatMap((line) => {
    const at = line.indexOf("=");
    return at > 0 ? [{ name: line.slice(0, at).trim(), value: line.slice(at + 1).trim() }] : [];
  });

/** Names with their values as they are typed, one a line. */
export const writeLines = (values: Readonly<Record<string, string>>): string =>
  Object.entries(values)
    .map(([name, value]) => `${name} = ${value}`)
    .join("\n");
