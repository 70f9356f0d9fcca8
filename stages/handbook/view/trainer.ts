import { changedVariables } from "@/core/builds/variables";
import type { SchemeNode } from "@/core/grades/scheme";
import { runMeasure } from "@/core/needs/requirement";
import { fromSi } from "@/core/quantity/quantity";
import { channelsOf, type ProtocolDefinition } from "@/core/run/protocol";
import type { Exercise, TrainerFacts } from "@/core/trainer/exercise";
import { type TrainerKind, trainerKind } from "@/core/vocabulary/handbook";
import type { RequirementRow } from "@/stages/needs/queries/requirements";
import { limitOf } from "@/stages/needs/view/requirements";

interface BuildFacts {
  readonly id: string;
  readonly team: string;
  readonly number: number;
  readonly parents: readonly string[];
  readonly variables: Readonly<Record<string, string>>;
}

/** Two values of each design variable that builds of a team had. */
function twoValued(team: string, builds: readonly BuildFacts[]): TrainerFacts["variables"] {
  const values = new Map<string, Set<string>>();
  for (const b of builds)
    for (const [name, value] of Object.entries(b.variables)) {
      const seen = values.get(name) ?? new Set();
      if (value.trim()) seen.add(value);
      values.set(name, seen);
    }
  return [...values].flatMap(([name, seen]) => {
    const [one, ...more] = seen;
    return one !== undefined && more.length ? [{ team, name, one, other: more.at(-1)! }] : [];
  });
}

/** About what a channel comes to: what a requirement asks of it, else ten. */
function aboutOf(requirements: readonly RequirementRow[], channel: { key: string; unit: string }): number {
  const asked = requirements.find((r) => runMeasure(r.measure)?.channel === channel.key && Number(r.target) > 0);
  return asked ? fromSi(asked.target!, channel.unit).toNumber() : 10;
}

/** What exercises are made from, out of a class's record. */
export function trainerFactsOf(
  requirements: readonly RequirementRow[],
  builds: readonly BuildFacts[],
  protocols: readonly { readonly definition: ProtocolDefinition }[],
  components: readonly SchemeNode[],
): TrainerFacts {
  const byId = new Map(builds.map((b) => [b.id, b]));
  const main = protocols[0]?.definition;
  const channel = main && channelsOf(main).find((c) => c.key === main.primary);
  return {
    limits: requirements.flatMap((r) => {
      const limit = limitOf(r);
      return limit ? [{ code: r.code, statement: r.statement, limit }] : [];
    }),
    pairs: builds.flatMap((b) => {
      const from = b.parents.length === 1 ? byId.get(b.parents[0]!) : undefined;
      if (!from || !changedVariables(from.variables, b.variables).length) return [];
      return [{ name: `${b.team} G${from.number} → G${b.number}`, before: from.variables, after: b.variables }];
    }),
    variables: [...new Set(builds.map((b) => b.team))].flatMap((team) =>
      twoValued(
        team,
        builds.filter((b) => b.team === team),
      ),
    ),
    measure: channel ? { name: channel.name, unit: channel.unit, about: aboutOf(requirements, channel) } : null,
    conditions: (main?.conditions ?? []).map(
      (c) => `${c.name.toLowerCase()} ${c.target}${c.unit === "1" ? "" : ` ${c.unit}`}`,
    ),
    components,
  };
}

/** An exercise as it is shown, as a text: an answer is to the same one. */
export const seenOf = ({ question, given, answer }: Pick<Exercise, "question" | "given" | "answer">): string =>
  [question, ...given, ...(answer.kind === "choice" ? answer.options : [answer.unit])].join("\n").slice(0, 4000);

/** An exercise on its way to the browser: without what is right. */
export interface Asked {
  readonly kind: TrainerKind;
  readonly seed: string;
  readonly question: string;
  readonly given: readonly string[];
  readonly options: readonly string[];
  /** Of an answer that is typed: its unit and what it looks like. */
  readonly typed: { readonly unit: string; readonly like: string } | null;
  readonly seen: string;
}

/** What is asked of an exercise. */
export function askedOf(e: Exercise, seed: string): Asked {
  const { kind, question, given, answer } = e;
  return {
    kind,
    seed,
    question,
    given,
    options: answer.kind === "choice" ? answer.options : [],
    typed:
      answer.kind === "choice" ? null : { unit: answer.unit, like: answer.kind === "rounded" ? "8.62 ± 0.09" : "83.4" },
    seen: seenOf(e),
  };
}

interface TrainedRow {
  readonly personId: string;
  readonly kind: TrainerKind;
  readonly answers: number;
  readonly right: number;
}

/** How somebody does at one kind: what is right of what was answered, and whether it asks for help. */
export interface Skill {
  readonly kind: TrainerKind;
  readonly text: string;
  /** Three answers or more, and less than two thirds of them right. */
  readonly needs: boolean;
}

/** How somebody does, kind by kind. */
export function skillsOf(rows: readonly TrainedRow[], personId: string): Skill[] {
  return trainerKind.values.map((kind) => {
    const row = rows.find((r) => r.personId === personId && r.kind === kind);
    if (!row) return { kind, text: "", needs: false };
    return {
      kind,
      text: `${row.right} of ${row.answers}`,
      needs: row.answers >= 3 && row.right * 3 < row.answers * 2,
    };
  });
}

/** The kind to take next: what needs it most, else what was answered least. */
export function nextKind(
  rows: readonly TrainedRow[],
  personId: string,
  kinds: readonly TrainerKind[],
): TrainerKind | null {
  const own = (k: TrainerKind) => rows.find((r) => r.personId === personId && r.kind === k);
  const rate = (k: TrainerKind) => (own(k) ? own(k)!.right / own(k)!.answers : 0);
  const many = (k: TrainerKind) => own(k)?.answers ?? 0;
  return [...kinds].sort((a, b) => many(a) - many(b) || rate(a) - rate(b))[0] ?? null;
}
