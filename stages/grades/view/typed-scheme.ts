import { endOf, type OutlineRow, outlineOf } from "@/core/grades/outline";
import { type Component, type GradedMeasure, type SchemeDefinition, scaleOf } from "@/core/grades/scheme";
import type { MarkScaleKind } from "@/core/vocabulary/grades";
import { emptyRule, readRule, showRule, type TypedRule } from "@/ui/rule-fields-read";
import { readScale, typedScale } from "./typed-scale";

/** A line of the scheme's form: a component or a group, with everything that its kinds may ask. */
export interface TypedPart {
  key: string;
  depth: number;
  name: string;
  weight: string;
  /** A kind of source, or `group`. */
  kind: string;
  review: string;
  milestone: string;
  measure: string;
  every: string;
  full: string;
  rule: TypedRule;
  scale: MarkScaleKind;
  of: string;
  letters: string;
  drop: string;
  peer: boolean;
  isLate: boolean;
  perSession: string;
  grace: string;
  floor: string;
}

/** The scheme as it stands in its form. */
export interface TypedScheme {
  decimals: string;
  rounding: string;
  most: boolean;
  letters: string;
  round: string;
  low: string;
  high: string;
  components: TypedPart[];
}

const bare: Omit<TypedPart, "key" | "depth" | "name" | "weight" | "kind"> = {
  review: "",
  milestone: "",
  measure: "",
  every: "2",
  full: "100",
  rule: { ...emptyRule, kind: "line" },
  ...typedScale(),
  drop: "0",
  peer: false,
  isLate: false,
  perSession: "10",
  grace: "0",
  floor: "50",
};

/** A part that is new in the form, at a depth; what it is made of is typed. */
export const newPart = (key: string, depth: number, more: Partial<TypedPart> = {}): TypedPart => ({
  key,
  depth,
  name: "",
  weight: "",
  kind: "entered",
  ...bare,
  ...more,
});

/** A measure as one choice of a list. */
export function measureText(m: GradedMeasure): string {
  if ("event" in m) return `event:${m.event}`;
  if ("overall" in m) return "overall";
  if ("recorded" in m) return `recorded:${m.recorded}`;
  return `protocol:${m.protocol}:${m.channel}:${m.build ?? "newest"}`;
}

/** The measure that a choice of the list stands for. */
export function measureOf(text: string): object | undefined {
  const [kind, id, channel, build] = text.split(":");
  if (kind === "event") return { event: id };
  if (kind === "overall") return { overall: true };
  if (kind === "recorded") return { recorded: id };
  return kind === "protocol" ? { protocol: id, channel, ...(build === "best" && { build }) } : undefined;
}

function typedPart(row: OutlineRow): TypedPart {
  const group = !("source" in row);
  const part = newPart(row.key, row.depth, { name: row.name, weight: row.weight, peer: row.peer ?? false });
  if (group) return { ...part, kind: "group", drop: String(row.drop ?? 0) };
  const c = row as Component;
  const { source } = c;
  return {
    ...part,
    kind: source.kind,
    ...("review" in source && { review: source.review }),
    ...(source.kind === "milestone" && { milestone: source.milestone }),
    ...(source.kind === "notebook" && { every: String(source.every) }),
    ...(source.kind === "points" && {
      full: source.full,
      rule: showRule(source.rule),
      measure: measureText(source.measure),
    }),
    ...typedScale(scaleOf(c)),
    ...(c.late && { isLate: true, perSession: c.late.perSession, grace: String(c.late.grace), floor: c.late.floor }),
  };
}

/** A scheme in its form. */
export const typedScheme = (s: SchemeDefinition): TypedScheme => ({
  decimals: String(s.decimals),
  rounding: s.rounding ?? "half up",
  most: s.most !== undefined,
  letters: (s.letters ?? []).map((l) => `${l.letter} ${l.from}`).join("\n"),
  round: s.peers?.round ?? "",
  low: s.peers?.low ?? "0.85",
  high: s.peers?.high ?? "1.10",
  components: outlineOf(s.components).map(typedPart),
});

const number = (text: string) => text.trim().replace(",", ".");

function sourceOf(c: TypedPart): object | undefined {
  switch (c.kind) {
    case "group":
      return undefined;
    case "rubric":
    case "individual":
      return { kind: c.kind, review: c.review };
    case "milestone":
      return { kind: c.kind, milestone: c.milestone };
    case "notebook":
      return { kind: c.kind, every: number(c.every) };
    case "points":
      return { kind: c.kind, full: c.full, rule: readRule(c.rule) ?? undefined, measure: measureOf(c.measure) };
    case "entered":
      return { kind: c.kind, scale: readScale(c) };
    default:
      return { kind: c.kind };
  }
}

/** Whether what comes late can be told of a part of this kind. */
export const canBeLate = (kind: string): boolean => kind === "milestone" || kind === "entered";

const rowOf = (c: TypedPart): object => ({
  depth: c.depth,
  key: c.key,
  name: c.name,
  weight: number(c.weight),
  ...(c.peer && { peer: true }),
  ...(c.kind === "group" && Number(c.drop) > 0 && { drop: Number(c.drop) }),
  ...(c.isLate &&
    canBeLate(c.kind) && {
      late: { perSession: number(c.perSession), grace: number(c.grace), floor: number(c.floor) },
    }),
  source: sourceOf(c),
});

/** What the form sends: what is not asked for is left out. */
export function readTyped(v: TypedScheme): object {
  const letters = v.letters.split("\n").flatMap((line) => {
    const [letter, from] = line.trim().split(/[\s:=]+/);
    return letter ? [{ letter, from: number(from ?? "").replace("%", "") }] : [];
  });
  return {
    decimals: v.decimals,
    rounding: v.rounding,
    ...(v.most && { most: "100" }),
    ...(v.round && { peers: { round: v.round, low: number(v.low), high: number(v.high) } }),
    ...(letters.length && { letters }),
    components: v.components.map(rowOf),
  };
}

/** Whether a group above a part is multiplied by the peer factor: twice would be too much. */
export const underFactor = (parts: readonly { depth: number; peer: boolean }[], at: number): boolean => {
  const above = parts.findLastIndex((p, i) => i < at && p.depth < parts[at]!.depth);
  return above >= 0 && (parts[above]!.peer || underFactor(parts, above));
};

/** What can be done with a line of the outline. */
export type OutlineMove = "up" | "down" | "in" | "out" | "remove";

/** The outline after a move: a group takes what lies in it along. As it is where the move can't be made. */
export function moved<P extends { depth: number; kind: string }>(
  parts: readonly P[],
  at: number,
  how: OutlineMove,
): P[] {
  const end = endOf(parts, at);
  const block = parts.slice(at, end);
  const rest = [...parts.slice(0, at), ...parts.slice(end)];
  const depth = parts[at]!.depth;
  if (how === "remove") return rest;
  if (how === "up" || how === "down") {
    const before = parts.findLastIndex((p, i) => i < at && p.depth <= depth);
    if (how === "up") {
      if (before < 0 || parts[before]!.depth < depth) return [...parts];
      return [...rest.slice(0, before), ...block, ...rest.slice(before)];
    }
    if (end >= parts.length || parts[end]!.depth < depth) return [...parts];
    const after = endOf(parts, end) - block.length;
    return [...rest.slice(0, after), ...block, ...rest.slice(after)];
  }
  const by = how === "in" ? 1 : -1;
  const above = parts[at - 1];
  const deepest = above ? above.depth + (above.kind === "group" ? 1 : 0) : 0;
  if (how === "in" && depth + 1 > deepest) return [...parts];
  if (how === "out" && depth === 0) return [...parts];
  const shifted = block.map((p) => ({ ...p, depth: p.depth + by }));
  if (how === "in") return [...parts.slice(0, at), ...shifted, ...parts.slice(end)];
  // Out of its group means below it: what follows in the group stays there.
  const parent = parts.findLastIndex((p, i) => i < at && p.depth < depth);
  const after = endOf(parts, parent) - block.length;
  return [...rest.slice(0, after), ...shifted, ...rest.slice(after)];
}
