import { sameDimension } from "../quantity/dimension";
import { limitsInText, sidesInText } from "../quantity/limits-in-text";
import { parseUnit } from "../quantity/units";
import type { Comparator, Priority, RequirementKind, VerificationMethod } from "../vocabulary/needs";

/** What a sentence asks for, as a requirement says it: numbers in SI, null where the sentence says nothing. */
export interface ProposedRequirement {
  readonly kind: RequirementKind;
  readonly priority: Priority;
  readonly measure: "mass" | "cost" | "envelope" | null;
  readonly comparator: Comparator | null;
  readonly target: string | null;
  readonly second: string | null;
  readonly sides: readonly string[] | null;
  readonly unit: string | null;
  readonly method: VerificationMethod | null;
}

const weighs = /\b(?:weigh|weighs|weight|mass|heavy|heavier|light|lighter)\b/i;
const costs = /[$€£¥]|\b(?:costs?|budget|price|credits?|cr|spend|parts list)\b/i;

/**
 * The requirement that a sentence states: its size, or its first bounded quantity. Mass, cost and size are those of the
 * build where the words say so. A person looks at it afterwards.
 * @example proposeRequirement("Weighs at most 9 lb").comparator // => "≤"
 * @example proposeRequirement("Weighs at most 9 lb").target // => "4.08233133"
 * @example proposeRequirement("Fits into 18 × 12 × 14 in").measure // => "envelope"
 * @example proposeRequirement("The hose is at least 3 ft 6 in long").target // => "1.0668"
 * @example proposeRequirement("The handle stands 36 ± 0.5 in up").comparator // => "±"
 * @example proposeRequirement("Nice to look at").comparator // => null
 */
export function proposeRequirement(sentence: string): ProposedRequirement {
  const nothing: ProposedRequirement = {
    kind: "constraint",
    priority: "should",
    measure: null,
    comparator: null,
    target: null,
    second: null,
    sides: null,
    unit: null,
    method: null,
  };
  const size = sidesInText(sentence);
  if (size)
    return {
      ...nothing,
      measure: "envelope",
      comparator: "fits",
      sides: size.sides,
      unit: size.unit,
      method: "inspection",
    };
  const money = costs.test(sentence);
  const limit = limitsInText(sentence).find((l) => l.bound !== "=" && (l.unit !== "1" || money));
  if (!limit) return nothing;
  const mass = weighs.test(sentence) && sameDimension(limit.dimension, parseUnit("kg")!.dimension);
  const measure = mass ? "mass" : money && limit.unit === "1" ? "cost" : null;
  return {
    ...nothing,
    measure,
    comparator: limit.around ? "±" : limit.bound,
    target: limit.around?.value ?? (limit.bound === "≤" ? limit.high : limit.low),
    second: limit.around?.tolerance ?? (limit.bound === "between" ? limit.high : null),
    unit: limit.unit,
    method: measure ? "inspection" : "test",
  };
}
