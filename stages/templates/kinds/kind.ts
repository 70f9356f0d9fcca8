import type { PointsRule } from "@/core/points/rule";
import type { ProtocolDefinition } from "@/core/run/protocol";
import type { BuildStage } from "@/core/vocabulary/builds";
import type { Comparator, Priority, RequirementKind, VerificationMethod } from "@/core/vocabulary/needs";
import type { ProjectKind } from "@/core/vocabulary/project";
import type { Better } from "@/core/vocabulary/runs";
import { rubricShelf } from "@/stages/reviews/view/rubric-shelf";

/** A limit as it is typed; with a protocol it is of one of its channels. */
interface Limit {
  readonly measure: string;
  readonly protocol?: string;
  readonly comparator: Comparator;
  readonly target?: string;
  readonly second?: string;
  readonly sides?: string;
  readonly unit?: string;
}

/** A kind of project as it is written here; what is left out is as a new form has it. */
export interface Kind {
  readonly name: string;
  readonly about: string;
  readonly sessions: number;
  readonly project: { title: string; purpose: string; kind: ProjectKind; client?: string; currency?: string };
  readonly settings?: Readonly<Record<string, unknown>>;
  readonly brief: string;
  readonly questions?: readonly string[];
  readonly tools: readonly {
    readonly name: string;
    readonly caution: string;
    readonly months?: number;
    readonly shared?: boolean;
    readonly checks?: string;
  }[];
  readonly protocols: readonly { readonly name: string; readonly definition: ProtocolDefinition }[];
  readonly requirements: readonly object[];
  readonly rubrics: readonly object[];
  readonly milestones: readonly {
    readonly title: string;
    readonly session: number;
    readonly gate?: { readonly stage: BuildStage; readonly items: readonly object[] };
  }[];
  readonly tasks: readonly {
    readonly title: string;
    readonly length: number;
    readonly after?: readonly string[];
    readonly milestone?: string;
  }[];
  readonly events?: readonly object[];
  readonly scheme: { readonly decimals: number; readonly components: readonly object[] };
}

const requirement =
  (priority: Priority, kind: RequirementKind) => (statement: string, method: VerificationMethod, limit?: Limit) => ({
    statement,
    kind,
    priority,
    method,
    source: "brief",
    ...(limit ?? { comparator: "yes" }),
  });

/** A limit that must hold. */
export const must = requirement("must", "constraint");
/** Something to do well. */
export const should = requirement("should", "criterion");
export const could = requirement("could", "criterion");

export const atMost = (measure: string, target: string, unit: string): Limit => ({
  measure,
  comparator: "≤",
  target,
  unit,
});
export const costs = (target: string): Limit => ({ measure: "cost", comparator: "≤", target, unit: "1" });
export const fitsIn = (sides: string): Limit => ({ measure: "envelope", comparator: "fits", sides });
/** A limit on what a protocol measures. */
export const under = (
  protocol: string,
  measure: string,
  comparator: Comparator,
  target: string,
  unit: string,
  second?: string,
): Limit => ({ protocol, measure, comparator, target, unit, ...(second && { second }) });

/** Rubrics of the shelf, by their names. */
export const rubrics = (...names: string[]): { name: string; criteria: readonly object[] }[] =>
  rubricShelf.filter((r) => names.includes(r.name)).map(({ name, criteria }) => ({ name, criteria }));

/** A gate before material is cut: what nearly every project asks for. */
export const buildGate = (...tools: string[]) => ({
  stage: "prototype" as const,
  items: [
    { kind: "each", label: "Own sketch with main sizes" },
    { kind: "team", label: "Drawing or model of the whole, with fasteners chosen" },
    { kind: "coverage", needs: 80 },
    ...tools.map((tool) => ({ kind: "tool", tool, needs: 1 })),
  ],
});

export const knife = {
  name: "Craft knife",
  caution: "Metal rule and cutting mat, away from the body, cap on when it is put down.",
};
export const glueGun = {
  name: "Glue gun",
  caution: "Tip and glue burn for minutes: stand only, never passed from hand to hand.",
};
export const drill = {
  name: "Drill press",
  caution: "Eyes protected, sleeves and hair tied back, the piece clamped; an adult of the workshop is in the room.",
  months: 12,
  shared: true,
  checks: "Guard in place and clear\nEmergency stop tried\nChuck key out, table locked",
};
export const solder = {
  name: "Soldering iron",
  caution: "In its stand, extraction on, eyes protected; wash hands after. Nothing is soldered that is connected.",
};

/** What is said of every project's safety: the school's own rules stand first. */
export const safety = [
  "The school's workshop rules come first, and the trained adult in the room decides.",
  "No tool without its training; eyes protected where anything is cut, drilled, loaded or let go.",
  "A near miss is told like an accident: nobody is blamed for telling.",
];

/** A brief in its usual parts. */
export const brief = (need: string, rules: readonly string[], ends: string, more: readonly string[] = []): string =>
  [
    "## Need",
    need,
    "## Rules",
    rules.map((r) => `- ${r}`).join("\n"),
    "## How it ends",
    ends,
    "## Safety",
    [...safety, ...more].map((r) => `- ${r}`).join("\n"),
  ].join("\n\n");

export const part = (key: string, name: string, weight: number, source: object, more: object = {}) => ({
  key,
  name,
  weight: String(weight),
  source,
  ...more,
});
export const late = { late: { perSession: "5", grace: 1, floor: "50" } };
export const performance = (measure: object, rule: PointsRule) => ({ kind: "points", full: "100", measure, rule });
/** Straight between anchors: a value and its points. */
export const line = (...anchors: (readonly [at: string, points: string])[]): PointsRule => ({
  kind: "line",
  anchors: anchors.map(([at, points]) => ({ at, points })),
});
/** The parts of a grade that are alike in most projects; 40 % of the whole. */
export const usualParts = (review: string, gate: string) => [
  part("gate", "Drawing and training in time", 10, { kind: "milestone", milestone: gate }, late),
  part("notebook", "Notebook", 15, { kind: "notebook", every: 2 }),
  part("review", "Review", 15, { kind: "rubric", review }),
];

/** Attempts that are ranked, as most events of a first project are. */
export const attempts = (name: string, protocol: string, channel: string, better: Better, more: object) => ({
  attempts: {
    name,
    protocol,
    channel,
    better,
    school: "best",
    n: 3,
    foul: "out",
    ranking: "competition",
    ties: "resolution",
    tieBreaks: ["second", "lighter"],
    seed: "1",
    cautions: "Cautions of the protocol read aloud\nThe course is clear, and somebody watches its end",
    ...more,
  },
});
