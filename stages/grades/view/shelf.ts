import { newPart, type TypedPart } from "./typed-scheme";

/** What a project has that a scheme can lean on, in choices of its form. */
export interface Sources {
  readonly reviews: readonly { value: string; label: string }[];
  readonly milestones: readonly { value: string; label: string }[];
  readonly measures: readonly { value: string; label: string }[];
  readonly rounds: readonly { value: string; label: string }[];
}

export interface Template {
  readonly name: string;
  readonly why: string;
  /** Peer factor too, where a rating is there. */
  readonly peers: boolean;
  parts(of: Sources): TypedPart[];
}

const part = (depth: number, name: string, weight: number, more: Partial<TypedPart> = {}): Omit<TypedPart, "key"> => {
  const { key: _, ...rest } = newPart("", depth, { name, weight: String(weight), ...more });
  return rest;
};
const group = (depth: number, name: string, weight: number, more: Partial<TypedPart> = {}) =>
  part(depth, name, weight, { kind: "group", ...more });
const points = (of: Sources, depth: number, name: string, weight: number): Omit<TypedPart, "key"> =>
  of.measures[0]
    ? part(depth, name, weight, { kind: "points", measure: of.measures[0].value })
    : part(depth, name, weight);
const review = (of: Sources, at: number, depth: number, name: string, weight: number): Omit<TypedPart, "key"> => {
  const r = of.reviews[at];
  return r ? part(depth, r.label, weight, { kind: "rubric", review: r.value }) : part(depth, name, weight);
};
/** Each milestone with the same weight, with one class session of grace. */
const milestones = (of: Sources, depth: number): Omit<TypedPart, "key">[] =>
  of.milestones.length
    ? of.milestones
        .slice(0, 12)
        .map((m) => part(depth, m.label, 1, { kind: "milestone", milestone: m.value, isLate: true, grace: "1" }))
    : [part(depth, "Drawing on time", 1)];
const notebook = (depth: number, weight: number) => part(depth, "Notebook", weight, { kind: "notebook" });

const keyed = (parts: Omit<TypedPart, "key">[]): TypedPart[] => parts.map((p, i) => ({ key: `k${i + 1}`, ...p }));

/** Schemes to begin with; what the project does not have yet is a mark that is entered. */
export const shelf: readonly Template[] = [
  {
    name: "points for performance",
    why: "what was measured decides; a review and the notebook beside it",
    peers: false,
    parts: (of) => keyed([points(of, 0, "Performance", 60), review(of, 0, 0, "Review", 20), notebook(0, 20)]),
  },
  {
    name: "rubric only",
    why: "reviews and a mark for construction; a brave design that failed can be good",
    peers: false,
    parts: (of) =>
      keyed([review(of, 0, 0, "First review", 35), review(of, 1, 0, "Final review", 45), part(0, "Construction", 20)]),
  },
  {
    name: "milestones and notebook",
    why: "steady work: what came when it was due, and the record of it",
    peers: false,
    parts: (of) => keyed([group(0, "Milestones", 60), ...milestones(of, 1), notebook(0, 40)]),
  },
  {
    name: "mixed, two-thirds team",
    why: "the team's work times the peer factor, and each one's own part",
    peers: true,
    parts: (of) =>
      keyed([
        group(0, "Team", 66, { peer: of.rounds.length > 0 }),
        points(of, 1, "Performance", 2),
        review(of, 0, 1, "Review", 2),
        part(1, "Requirements met", 1, { kind: "coverage" }),
        group(0, "Own work", 34),
        notebook(1, 2),
        part(1, "Own part", 1),
        group(1, "Milestones", 1),
        ...milestones(of, 2),
      ]),
  },
];
