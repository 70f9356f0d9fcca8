import { parseQuantity } from "@/core/quantity/quantity";
import type { FindingOutcome, Verdict } from "@/core/vocabulary/needs";
import type { RequirementRow } from "../queries/requirements";
import type { ProjectState } from "../queries/state";
import { limitOf, limitWords } from "./requirements";

/** What is typed in a cell: a word, or a number with its unit where the requirement has one. */
export type Typed =
  | { readonly kind: "outcome"; readonly outcome: FindingOutcome }
  | { readonly kind: "value" }
  | { readonly kind: "wrong"; readonly message: string };

const words: Record<string, FindingOutcome> = {
  m: "met",
  met: "met",
  y: "met",
  yes: "met",
  "+": "met",
  n: "not met",
  no: "not met",
  "not met": "not met",
  "-": "not met",
  x: "not applicable",
};

/** Reads a cell of an inspection; `unit` is null where the requirement has no number. */
export function readCell(typed: string, unit: string | null): Typed {
  const word = words[typed.trim().toLowerCase()];
  if (word) return { kind: "outcome", outcome: word };
  if (unit === null) return { kind: "wrong", message: "m is met, n not met, x does not apply." };
  const read = parseQuantity(typed, unit);
  return read.ok ? { kind: "value" } : { kind: "wrong", message: `${read.message} Or m met, n not met.` };
}

export interface InspectionRow {
  readonly id: string;
  readonly code: string;
  readonly statement: string;
  readonly limit: string;
  /** Of its number; null where there is none. */
  readonly unit: string | null;
  readonly must: boolean;
  /** How it stands for each build, in the order of the builds. */
  readonly verdicts: readonly Verdict[];
}

const unitOf = (r: RequirementRow) => {
  const limit = limitOf(r);
  return limit?.target && limit.comparator !== "fits" && limit.comparator !== "yes" ? limit.unit : null;
};

/** What is looked at rather than measured by a run or weighed: musts first, against the newest builds. */
export function inspectionView(state: ProjectState, currency: string) {
  const builds = state.teams.flatMap((t) => state.newest.get(t.id) ?? []);
  const looked = state.requirements.filter((r) => !r.measure);
  const rank = { must: 0, should: 1, could: 2 } as const;
  return {
    builds: builds.map((b) => ({ id: b.id as string, name: `${b.team} G${b.number}` })),
    rows: looked
      .toSorted((a, b) => rank[a.priority] - rank[b.priority])
      .map(
        (r): InspectionRow => ({
          id: r.id,
          code: r.code,
          statement: r.statement,
          limit: limitWords(r, currency),
          unit: unitOf(r),
          must: r.priority === "must",
          verdicts: builds.map((b) => state.verdict(r.id, b.id)),
        }),
      ),
  };
}
