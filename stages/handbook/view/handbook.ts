import { calculatorOf, calculators } from "@/core/handbook/calculators";
import type { Result } from "@/core/handbook/compute";
import { type Field, fieldsOfCalculator, outcomeOf } from "@/core/handbook/outcome";
import { formatNumber } from "@/core/quantity/quantity";
import { plainLetters } from "@/core/text/plain";
import { type HandbookTarget, handbookSubject } from "@/core/vocabulary/handbook";
import type { UnitSystem } from "@/core/vocabulary/project";
import type { Working } from "@/core/working/working";

/** A calculation that stays with something, as it is stored. */
export interface StoredUse {
  readonly id: string;
  readonly calculator: string;
  readonly inputs: Readonly<Record<string, string>>;
  readonly units: UnitSystem;
  readonly note: string;
  readonly madeBy: string;
  readonly madeAt: string;
  readonly version: number;
  readonly kind: HandbookTarget;
  readonly targetId: string;
  /** What it stays with, for people. */
  readonly target: string;
}

/** A stored calculation that is opened to be looked at and changed. */
export type OpenUse = Pick<StoredUse, "id" | "inputs" | "units" | "note" | "version" | "targetId">;

/** A calculation as it is shown beside what it was made for. */
export interface ToldUse extends Pick<StoredUse, "id" | "note" | "madeBy" | "madeAt" | "target" | "version"> {
  readonly name: string;
  /** What it comes to, some of it where that is much. */
  readonly results: readonly { readonly name: string; readonly text: string; readonly unit: string }[];
  /** How much more it comes to, or why it comes to nothing any more, in words. */
  readonly more: string;
  readonly working: Working | null;
  readonly inputs: string;
  readonly href: string;
}

/** What the address keeps of a calculator: which one, what was typed, which use is changed, or for what it is made. */
export const handbookHref = (
  base: string,
  calculator: string,
  more: { inputs?: Readonly<Record<string, string>>; use?: string; for?: string; units?: UnitSystem } = {},
): string => {
  const { inputs = {}, use, for: target, units } = more;
  const query = new URLSearchParams({
    ...(calculator && { c: calculator }),
    ...(units && { units }),
    ...Object.fromEntries(Object.entries(inputs).map(([k, v]) => [`i.${k}`, v])),
    ...(use && { use }),
    ...(target && { for: target }),
  });
  return `${base}/handbook${query.size ? `?${query}` : ""}`;
};

/** What an address says of a calculator's inputs. */
export const inputsAt = (query: URLSearchParams): Record<string, string> =>
  Object.fromEntries([...query].flatMap(([k, v]) => (k.startsWith("i.") ? [[k.slice(2), v] as const] : [])));

/** Inputs that differ from a calculator's first ones: what the address has to say. */
export const changedInputs = (
  fields: readonly Field[],
  typed: Readonly<Record<string, string>>,
): Record<string, string> =>
  Object.fromEntries(
    fields.flatMap((f) => ((typed[f.symbol] ?? f.value) === f.value ? [] : [[f.symbol, typed[f.symbol]!]])),
  );

const mostTold = 3;

/** What was typed into a field, with the field's unit where it has none of its own. */
const withUnit = (f: Field, typed: string): string =>
  `${f.symbol} = ${typed}${f.unit === "1" || /[^\d.,;\s±−-]/.test(typed) ? "" : ` ${f.unit}`}`;

/** A stored calculation, computed anew from its inputs. */
export function toldUse(base: string, use: StoredUse): ToldUse {
  const { id, note, madeBy, madeAt, target, version, inputs } = use;
  const c = calculatorOf(use.calculator);
  const told = { id, note, madeBy, madeAt, target, version };
  if (!c) {
    const more = "It is not in the handbook any more.";
    return { ...told, name: use.calculator, results: [], more, working: null, inputs: "", href: "" };
  }
  const outcome = outcomeOf(c, inputs, use.units);
  const fields = fieldsOfCalculator(c, use.units).filter((f) => !f.lines);
  const all = outcome.ok ? outcome.results : [];
  return {
    ...told,
    name: c.name,
    results: all.slice(0, mostTold).map(({ name, text, unit }) => ({ name, text, unit: unit === "1" ? "" : unit })),
    more: outcome.ok
      ? all.length > mostTold
        ? `and ${all.length - mostTold} more`
        : ""
      : `It comes to nothing: ${outcome.wrong.map((w) => w.message).join(" ")}`,
    working: outcome.ok ? outcome.working : null,
    inputs: fields.map((f) => withUnit(f, inputs[f.symbol] ?? f.value)).join(", "),
    href: handbookHref(base, c.id, { inputs, use: id }),
  };
}

/** The calculators by subject, those found by some words. */
export function bySubject(words: string): { subject: string; found: typeof calculators }[] {
  const wanted = plainLetters(words.trim()).split(/\s+/);
  const found = calculators.filter((c) => {
    const text = plainLetters(`${c.name} ${c.use} ${handbookSubject.labels[c.subject]}`);
    return wanted.every((w) => text.includes(w));
  });
  return handbookSubject.values
    .map((s) => ({ subject: handbookSubject.labels[s], found: found.filter((c) => c.subject === s) }))
    .filter((s) => s.found.length);
}

/** A result of two settings beside each other. */
export interface Compared {
  readonly symbol: string;
  readonly name: string;
  readonly unit: string;
  readonly first: string;
  readonly second: string;
  /** The second less the first, and what percent of the first that is. */
  readonly by: string;
}

/** Two settings of a calculator, result by result; a difference within both ± together is told as none. */
export function comparedResults(first: readonly Result[], second: readonly Result[]): Compared[] {
  return first.flatMap((a) => {
    const b = second.find((r) => r.symbol === a.symbol);
    if (!b) return [];
    const off = b.value - a.value;
    const sign = off > 0 ? "+" : "";
    const percent = a.value === 0 ? "" : `, ${sign}${formatNumber((off / Math.abs(a.value)) * 100, 0)} %`;
    const within = Math.abs(off) < 2 * Math.hypot(a.u, b.u);
    const by = off === 0 ? "the same" : within ? "within their ±" : `${sign}${formatNumber(off)}${percent}`;
    const { symbol, name, unit } = a;
    return [{ symbol, name, unit: unit === "1" ? "" : unit, first: a.text, second: b.text, by }];
  });
}
