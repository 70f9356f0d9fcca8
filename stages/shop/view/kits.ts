import { linesOf } from "@/core/text/lines";

/** A thing in a kit and how often. */
export interface KitLine {
  readonly name: string;
  readonly count: number;
}

export type KitContents = { ok: true; lines: KitLine[] } | { ok: false; message: string };

/** What a kit holds, one thing a line: “4 × clamp”, “4 clamp” or “clamp” for one. */
export function readContents(text: string): KitContents {
  const lines: KitLine[] = [];
  for (const line of linesOf(text)) {
    const [, number, rest] = /^(?:(\d+)\s*[x×*]?\s+)?(.+)$/i.exec(line) ?? [];
    const name = (rest ?? "").replace(/^[x×*]\s*/i, "").trim();
    const count = number === undefined ? 1 : Number(number);
    if (!name || count < 1 || count > 9999)
      return { ok: false, message: `“${line}” cannot be read. Write for example 4 × clamp, one thing a line.` };
    if (lines.some((l) => l.name.toLowerCase() === name.toLowerCase()))
      return { ok: false, message: `${name} stands in the list twice. Change its count instead.` };
    lines.push({ name, count });
  }
  return lines.length && lines.length <= 60
    ? { ok: true, lines }
    : {
        ok: false,
        message: lines.length ? "A kit holds at most 60 things." : "Write what is in it, one thing a line.",
      };
}

/** The same as it is typed. */
export const writeContents = (lines: readonly KitLine[]): string =>
  lines.map((l) => `${l.count} × ${l.name}`).join("\n");

/** What is missing of a kit that was counted back, in words; empty where nothing is. */
export const missingOf = (lines: readonly KitLine[], counted: readonly number[]): string[] =>
  lines.flatMap((l, i) => {
    const short = l.count - (counted[i] ?? 0);
    return short > 0 ? [`${short} × ${l.name}`] : [];
  });
