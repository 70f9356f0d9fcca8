import { describeLimit, type Limit, runMeasure } from "@/core/needs/requirement";
import { fromSi } from "@/core/quantity/quantity";
import { levelsOf } from "@/core/run/reading";
import type { RequirementRow } from "../queries/requirements";

/** The limit of a requirement; null when it has no measure yet. */
export const limitOf = (
  r: Pick<RequirementRow, "comparator" | "target" | "second" | "sides" | "unit"> &
    Partial<Pick<RequirementRow, "reading">>,
): Limit | null => {
  if (r.comparator === null) return null;
  const levels = r.reading && levelsOf(r.reading);
  const { comparator, target, second, sides } = r;
  return { comparator, target, second, sides, unit: r.unit ?? "1", ...(levels && { levels }) };
};

/** A requirement's measure in words. */
export function measureWords(
  r: RequirementRow,
  protocols: readonly {
    id: string;
    name: string;
    definition: {
      measures: readonly { key: string; name: string }[];
      derived: readonly { key: string; name: string }[];
    };
  }[],
): string {
  const run = runMeasure(r.measure);
  if (!run) return r.measure ?? "";
  const p = protocols.find((x) => x.id === run.protocol);
  return (
    [...(p?.definition.measures ?? []), ...(p?.definition.derived ?? [])]
      .find((c) => c.key === run.channel)
      ?.name.toLowerCase() ?? run.channel
  );
}

export const limitWords = (r: RequirementRow, currency: string): string => {
  const limit = limitOf(r);
  if (!limit) return "";
  return r.measure === "cost"
    ? `${describeLimit({ ...limit, unit: "1" })}${currency ? ` ${currency}` : ""}`
    : describeLimit(limit);
};

const inUnit = (si: string, unit: string | null) =>
  fromSi(si, unit ?? "1")
    .toSignificantDigits(10)
    .toString();

/** A requirement as its form and its line in a table hold it: the numbers in its own unit. */
export const asTyped = (r: RequirementRow) => ({
  statement: r.statement,
  kind: r.kind,
  priority: r.priority,
  measure: r.measure ?? "",
  comparator: r.comparator ?? "",
  unit: r.unit ?? "",
  target: r.target === null ? "" : inUnit(r.target, r.unit),
  second: r.second === null ? "" : inUnit(r.second, r.unit),
  sides: r.sides ? `${r.sides.map((x) => inUnit(x, r.unit ?? "mm")).join(" × ")} ${r.unit ?? "mm"}` : "",
  method: r.method ?? "",
  source: r.source,
  reason: "",
});
