import { type InspectedLine, inspectionMargin, passes } from "@/core/contest/inspection";
import { isBuildMeasure, type Limit, type Observation, statusOf } from "@/core/needs/requirement";
import { formatNumber, fromSi, parseQuantity } from "@/core/quantity/quantity";
import { type ProjectUnits, showSides } from "@/core/quantity/systems";
import { seenOutcome } from "@/core/vocabulary/needs";
import { readSides } from "@/platform/schema/entered";
import type { RequirementRow } from "@/stages/needs/queries/requirements";
import { limitOf, limitWords } from "@/stages/needs/view/requirements";

/** What is looked at on a build: one line of its inspection. */
export interface InspectionLine {
  /** The requirement's id, or `allowed` and the part's. */
  readonly key: string;
  readonly code: string;
  readonly label: string;
  readonly must: boolean;
  readonly reads: "value" | "sides" | "word";
  readonly limit: Limit | null;
  /** The limit in words. */
  readonly asks: string;
  /** The unit that is shown: of a cost the currency. */
  readonly unit: string;
  /** What the team has recorded of this build, as it would be typed. */
  readonly declared: string;
  /** It is summed up from the parts list: what is recorded stands in the field already. */
  readonly rolled: boolean;
}

/** A line with what was found. */
export interface Check extends InspectedLine {
  readonly key: string;
  readonly code: string;
  readonly asks: string;
  readonly typed: string;
  /** How far inside the limit, in words; empty where it has no margin. */
  readonly margin: string;
}

interface Declared {
  readonly mass: string | null;
  readonly cost: string | null;
  readonly sides: readonly string[] | null;
  readonly parts: readonly { readonly name: string; readonly count: number }[];
}

const inUnit = (si: string, unit: string) => fromSi(si, unit).toSignificantDigits(6).toString();

/** The lines of a build's inspection: limits on the build itself, what is verified by looking, what is allowed. */
export function inspectionLines(
  requirements: readonly RequirementRow[],
  allowed: readonly { id: string; name: string; most: number }[],
  build: Declared,
  currency: string,
  units: ProjectUnits,
): InspectionLine[] {
  const own = requirements.filter((r) => isBuildMeasure(r.measure) || (r.method === "inspection" && !r.measure));
  const rank = (r: RequirementRow) => (isBuildMeasure(r.measure) ? 0 : 1);
  const asked = own
    .toSorted((a, b) => rank(a) - rank(b))
    .map((r): InspectionLine => {
      const limit = limitOf(r);
      const unit = limit?.unit ?? "1";
      const measured = isBuildMeasure(r.measure) ? r.measure : null;
      const si = measured && measured !== "envelope" ? build[measured] : null;
      return {
        key: r.id,
        code: r.code,
        label: measured === "envelope" ? "size" : (measured ?? r.statement),
        must: r.priority === "must",
        reads: limit?.comparator === "fits" ? "sides" : limit?.target ? "value" : "word",
        limit: measured === "cost" && limit ? { ...limit, unit: "1" } : limit,
        unit: measured === "cost" ? currency : unit,
        asks: limit?.comparator === "yes" ? "" : limitWords(r, currency),
        declared:
          measured === "envelope"
            ? build.sides
              ? `${showSides(build.sides, units)} ${units.side}`
              : ""
            : si === null
              ? ""
              : measured === "cost"
                ? formatNumber(si, 2)
                : `${inUnit(si, unit)} ${unit}`,
        rolled: measured === "cost",
      };
    });
  const counts = allowed.map((a): InspectionLine => {
    const has = build.parts.filter((p) => p.name.toLowerCase().includes(a.name.toLowerCase()));
    return {
      key: `allowed ${a.id}`,
      code: "",
      label: a.name,
      must: true,
      reads: "value",
      limit: { comparator: "≤", target: String(a.most), second: null, sides: null, unit: "1" },
      unit: "1",
      asks: a.most === 0 ? "none" : `at most ${a.most}`,
      declared: build.parts.length ? String(has.reduce((n, p) => n + p.count, 0)) : "",
      rolled: false,
    };
  });
  return [...asked, ...counts];
}

/** What was typed in a line, read; or what is wrong with it. */
function observe(line: InspectionLine, typed: string): Observation | null | { wrong: string } {
  if (!typed) return null;
  const word = seenOutcome.values.find((v) => v === typed.toLowerCase());
  if (word === "not applicable" || (word && line.reads === "word")) return { kind: "finding", outcome: word, note: "" };
  if (line.reads === "word") return { wrong: `Say ${seenOutcome.values.join(", ")}.` };
  if (line.reads === "sides") {
    const sides = readSides(typed, line.limit!.unit);
    return sides
      ? { kind: "sides", sides }
      : { wrong: `Write the three sides with × between, for example 590 × 380 × 395 ${line.limit!.unit}.` };
  }
  const read = parseQuantity(typed, line.limit!.unit);
  if (!read.ok) return { wrong: read.message };
  if (Number(read.quantity.si) < 0) return { wrong: "A measured value is not below zero." };
  return { kind: "value", value: read.quantity.si, U: 0 };
}

function marginWords({ unit: shown, rolled }: InspectionLine, limit: Limit, seen: Observation): string {
  const si = inspectionMargin(limit, seen);
  if (si === null) return "";
  const unit = shown === "1" ? "" : ` ${shown}`;
  const size = (rolled ? formatNumber(si, 2) : inUnit(si, limit.unit)).replace(/[-−]/, "");
  if (Number(si) >= 0) return `${size}${unit} to spare`;
  return `${size}${unit} ${limit.comparator === "≥" ? "short" : "over"}`;
}

/** A line with what was typed into it, judged; or what is wrong with what was typed. */
export function checkLine(line: InspectionLine, text: string): Check | { wrong: string } {
  const typed = text.trim();
  const seen = observe(line, typed);
  if (seen && "wrong" in seen) return seen;
  const { key, code, label, must, asks, limit } = line;
  const named = { key, code, label: code ? `${label} (${code})` : label, must, asks, typed };
  if (!seen) return { ...named, verdict: "untested", margin: "" };
  if (seen.kind === "finding")
    return { ...named, verdict: seen.outcome === "partly" ? "marginal" : seen.outcome, margin: "" };
  return { ...named, verdict: statusOf(limit!, seen, []).value, margin: marginWords(line, limit!, seen) };
}

/** All lines with what was typed: what was found, what is wrong with it, and what stands between it and passing. */
export function checkAll(lines: readonly InspectionLine[], typed: Readonly<Record<string, string>>) {
  const read = lines.map((line) => ({ line, is: checkLine(line, typed[line.key] ?? "") }));
  const checks = read.flatMap(({ is }) => ("wrong" in is ? [] : [is]));
  const wrong = Object.fromEntries(read.flatMap(({ line, is }) => ("wrong" in is ? [[line.key, is.wrong]] : [])));
  return { checks, wrong, ...passes(checks) };
}

/**
 * A sheet on which every build is found as its team recorded it, and what is looked at in order; a part of which
 * nothing is recorded as many times as is allowed.
 */
export function asRecorded(lines: readonly InspectionLine[]) {
  const found = (l: InspectionLine) => (l.reads === "word" ? "met" : l.declared || (l.code ? "" : l.limit!.target!));
  const typed = Object.fromEntries(lines.map((l) => [l.key, found(l)]));
  const { over, missing } = checkAll(lines, typed);
  return { typed, waives: over.length > 0 || missing.length > 0 };
}
