import { type Clash, clashingLimits } from "@/core/needs/conflicts";
import { coverage, vagueWordsIn } from "@/core/needs/requirement";
import type { Verdict } from "@/core/vocabulary/needs";
import type { RequirementRow } from "../queries/requirements";
import type { ProjectState } from "../queries/state";
import { limitOf, limitWords, measureWords } from "./requirements";

/** Pairs of requirements in force whose limits cannot both hold. */
export const clashesOf = (list: readonly RequirementRow[]): Clash[] =>
  clashingLimits(list.map((r) => ({ measure: r.measure, limit: limitOf(r) })));

type Facts = Pick<ProjectState, "requirements" | "teams" | "newest" | "protocols" | "verdict">;

/** What of the register can be picked out, and what that is called. */
export const registerFilters = {
  all: "All",
  must: "must",
  missed: "not met anywhere",
  stale: "stale",
  bare: "no measure",
} as const;
export type RegisterFilter = keyof typeof registerFilters;

export interface RegisterLine {
  readonly r: RequirementRow;
  readonly group: "Musts" | "Should and could";
  /** Vague words of a statement that has no measure. */
  readonly vague: readonly string[];
  /** What is measured and its limit, in words; null where there is no measure yet. */
  readonly measure: string | null;
  readonly limit: string | null;
  readonly source: string;
  /** By team in their order: how its newest build stands. */
  readonly marks: readonly { team: string; build: string | undefined; value: Verdict }[];
  /** Newest builds that meet it. */
  readonly met: number;
  /** Missed by more than half of the teams. */
  readonly bad: boolean;
}

/** What the register shows: the requirements picked out, musts first, each with its limit in words and every mark. */
export function registerView(
  facts: Facts,
  traced: ReadonlyMap<string, number>,
  currency: string,
  wanted: { filter?: string; open?: string },
) {
  const filter: RegisterFilter =
    wanted.filter && wanted.filter in registerFilters ? (wanted.filter as RegisterFilter) : "all";
  const lineOf = (r: RequirementRow): RegisterLine => {
    const marks = facts.teams.map((t) => {
      const build = facts.newest.get(t.id)?.id;
      return { team: t.name, build, value: facts.verdict(r.id, build) };
    });
    const count = (v: Verdict) => marks.filter((m) => m.value === v).length;
    const statements = traced.get(r.id) ?? 0;
    return {
      r,
      group: r.priority === "must" ? "Musts" : "Should and could",
      vague: r.comparator ? [] : vagueWordsIn(r.statement),
      measure: r.comparator ? measureWords(r, facts.protocols) : null,
      limit: r.comparator ? (r.comparator === "yes" ? "yes or no" : limitWords(r, currency)) : null,
      source: r.source || (statements ? `${statements} ${statements === 1 ? "statement" : "statements"}` : ""),
      marks,
      met: count("met"),
      bad: count("not met") * 2 > facts.teams.length,
    };
  };
  const keep: Record<RegisterFilter, (l: RegisterLine) => boolean> = {
    all: () => true,
    must: (l) => l.r.priority === "must",
    missed: (l) => l.met === 0 && l.marks.some((m) => m.value === "not met"),
    stale: (l) => l.marks.some((m) => m.value === "stale"),
    bare: (l) => !l.r.comparator,
  };
  const lines = facts.requirements.map(lineOf).filter(keep[filter]);
  const musts = facts.requirements.filter((r) => r.priority === "must");
  return {
    filter,
    lines: [...lines.filter((l) => l.group === "Musts"), ...lines.filter((l) => l.group !== "Musts")],
    selected: facts.requirements.find((r) => r.code === wanted.open),
    musts: musts.length,
    unverifiable: musts.filter((r) => !r.method || !r.comparator).length,
    clashes: clashesOf(facts.requirements).map((c) => ({
      a: facts.requirements[c.a]!.code,
      b: facts.requirements[c.b]!.code,
      why: c.why,
    })),
    /** By team: musts that its newest build meets. */
    coverage: facts.teams.map((t) => ({
      team: t.name,
      ...coverage(
        facts.requirements.map((r) => ({
          priority: r.priority,
          verdict: facts.verdict(r.id, facts.newest.get(t.id)?.id),
        })),
      ),
    })),
  };
}
