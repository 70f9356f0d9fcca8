import Decimal from "decimal.js";
import type { Limit } from "../needs/requirement";
import { describeLimit, limitRange } from "../needs/requirement";
import { sameDimension } from "../quantity/dimension";
import { limitsInText, type StatedLimit, type StatedSides, sidesInText } from "../quantity/limits-in-text";
import { parseUnit } from "../quantity/units";

/** The sections that a one-page brief has; each with the words its heading may be recognised by. */
export const briefParts = ["Need", "Client", "Rules", "Deliverables", "Dates", "Safety", "Prizes"] as const;

export interface BriefSection {
  readonly title: string;
  readonly body: string;
}

/**
 * A brief cut at its headings; text before the first heading has an empty title.
 * @example briefSections("# Pump\n\nHello\n\n## Rules\n\n- At most 5 kg").map((s) => s.title) // => ["Pump", "Rules"]
 */
export function briefSections(markdown: string): BriefSection[] {
  const out: { title: string; body: string }[] = [];
  for (const line of markdown.split("\n")) {
    const head = /^#{1,4}\s+(.+?)\s*#*$/.exec(line);
    if (head) out.push({ title: head[1]!, body: "" });
    else if (out.length) out.at(-1)!.body += `${line}\n`;
    else if (line.trim()) out.push({ title: "", body: `${line}\n` });
  }
  return out.map((s) => ({ title: s.title, body: s.body.trim() }));
}

/**
 * The sections of a one-page brief that a text does not have.
 * @example
 * missingParts("## Need\n\nWater.\n\n## Rules of the contest\n\n- x")
 * // => ["Client", "Deliverables", "Dates", "Safety", "Prizes"]
 */
export function missingParts(markdown: string): string[] {
  const titles = briefSections(markdown)
    .filter((s) => s.body)
    .map((s) => s.title.toLowerCase());
  return briefParts.filter((p) => !titles.some((t) => t.includes(p.toLowerCase().replace(/s$/, ""))));
}

export interface Rule {
  /** Stays the same when only the numbers change: the rule's words with every number replaced. */
  readonly key: string;
  readonly text: string;
  readonly limits: readonly StatedLimit[];
  /** Three sides where the rule states a size. */
  readonly size: StatedSides | null;
}

/** No brief of one page has more rules, nor longer ones; what is beyond is text. */
const most = { rules: 200, letters: 400 };

/**
 * The rules of a brief that hold a number: the list items of its section of rules. Markdown emphasis is taken off.
 * @example
 * rulesWithNumbers("## Rules\n\n- Weighs at most **5.0 kg**\n- One operator\n").map((r) => [r.key, r.text])
 * // => [["weighs at most # kg", "Weighs at most 5.0 kg"]]
 */
export function rulesWithNumbers(markdown: string): Rule[] {
  return briefSections(markdown)
    .filter((s) => /rule|limit/i.test(s.title))
    .flatMap((s) =>
      s.body.split("\n").flatMap((line) => {
        const item = /^\s*(?:[-*+]|\d+[.)])\s+(.*)$/.exec(line)?.[1]?.replace(/[*_`]/g, "").trim();
        if (!item || item.length > most.letters || !/\d/.test(item)) return [];
        const size = sidesInText(item);
        return [
          {
            key: item
              .toLowerCase()
              .replace(/\d+(?:[.,]\d+)*/g, "#")
              .replace(/\s+/g, " "),
            text: item,
            limits: size ? [] : limitsInText(item),
            size,
          },
        ];
      }),
    )
    .slice(0, most.rules);
}

/**
 * Whether the numbers of a rule say what a requirement's limit says: every bound of the limit is among the numbers that
 * the rule states in the same kind of quantity.
 * Gives null when they agree, otherwise what each place says.
 * @example
 * ruleDiffers(rulesWithNumbers("## Rules\n- At most 5.0 kg")[0], {
 *   comparator: "≤",
 *   target: "6",
 *   second: null,
 *   sides: null,
 *   unit: "kg",
 * })
 * // => "the rule says 5.0 kg, the requirement ≤ 6 kg"
 * @example
 * ruleDiffers(rulesWithNumbers("## Rules\n- At most 5.0 kg")[0], {
 *   comparator: "≤",
 *   target: "5",
 *   second: null,
 *   sides: null,
 *   unit: "kg",
 * })
 * // => null
 */
export function ruleDiffers(rule: Rule, limit: Limit): string | null {
  const says = rule.size ? rule.size.text : rule.limits.map((l) => l.text).join(", ");
  const differ = `the rule says ${says || "no number of this kind"}, the requirement ${describeLimit(limit)}`;
  if (limit.comparator === "yes") return null;
  if (limit.comparator === "fits") {
    const sorted = (x: readonly string[]) =>
      x
        .map(Number)
        .sort((a, b) => a - b)
        .join();
    return rule.size && limit.sides && sorted(rule.size.sides) === sorted(limit.sides) ? null : differ;
  }
  const unit = parseUnit(limit.unit);
  const same = rule.limits.filter(
    (l) => unit && (l.unit === "1" ? limit.unit === "1" : sameDimension(l.dimension, unit.dimension)),
  );
  const stated = same.flatMap((l) => [l.low, l.high, l.around?.value ?? null]).filter((x) => x !== null);
  // A rule that names a value without its tolerance agrees with a limit around it.
  const needed =
    limit.comparator === "±" && !same.some((l) => l.around)
      ? [limit.target]
      : limitRange(limit).map((d) => d?.toString() ?? null);
  return needed.every((x) => x === null || stated.some((s) => new Decimal(s).eq(x))) ? null : differ;
}
